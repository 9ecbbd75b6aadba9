# frozen_string_literal: true

module Norvel
  module Edits
    # Makes one paragraph of one and the next, with a space between where none is. It keeps the look of the first.
    class JoinParagraphs < Edit
      def initialize(id)
        @id = id
      end

      def change(document)
        position = document.text_position(@id)
        first, second = document.paragraphs[position, 2]
        raise Refused, "There is no paragraph after this one to join it with." unless second
        unless [first.part, first.container].eql?([second.part, second.container]) && first.holds != :last_in_cell &&
            first.holds != :section_break
          raise Refused, "The two paragraphs stand in different places of the document (a table or box lies between)."
        end
        special = [first, second].map(&:special?)
        if special.all?
          raise Refused, "Both paragraphs hold images, notes, fields or links, so they can't be joined here."
        end
        document.with(paragraphs: document.paragraphs.dup
          .tap { |list| list[position, 2] = [joined(first, second, special.last || !second.holds.nil?)] }.freeze)
      end

      def title(document)
        "Join paragraphs #{document.text_position(@id) + 1} and #{document.text_position(@id) + 2}"
      end

      def removes_white_space?
        true
      end

      private

      def joined(first, second, second_known)
        space = (first.raw_text.match?(/\s\z/) || second.raw_text.match?(/\A\s/) || first.blank? ||
          second.blank?) ? [] : [Document::Run.new(" ", nil, first.runs.last&.direct || Styles::PropertySet::EMPTY,
            nil)]
        fresh = ->(paragraph) { paragraph.runs.map { |run| run.with(source: nil) } }
        if second_known
          second.with(id: second.id, style_id: first.style_id, direct: first.direct,
            runs: (fresh[first] + space + second.runs).freeze)
        else
          first.with(runs: (first.runs + space + fresh[second]).freeze)
        end
      end
    end
  end
end
