# frozen_string_literal: true

module Norvel
  module Edits
    # Lets the numbers of a list start again at a paragraph, or go on from the list of its kind before it. All that
    # follow it in its list come along (ISO/IEC 29500-1 17.9.27 startOverride; a list that starts anew is a list of the
    # same definition).
    class StartList < StyleEdit
      # id: the paragraph; again: true to start anew, false to continue
      def initialize(id, again:, at: 1)
        @id = id
        @again = again
        @at = at
      end

      def change(document)
        list_id, level = document.cascade.list_of(document.paragraph(@id))
        raise Refused, "Paragraph #{document.text_position(@id) + 1} is in no list." unless list_id
        raise Refused, "Bullets have no numbers to start again." if document.numbering.level(list_id, level)&.bullet?
        numbering, target = @again ? anew(document, list_id, level) : before(document, list_id)
        moved = followers(document, list_id).map do |paragraph|
          paragraph.with(direct: paragraph.direct.merge(list_id: target, list_level: document.cascade.list_of(paragraph)
            .last))
        end
        document.with(numbering:).replace(moved)
      end

      def title(document)
        "#{@again ? "Start the numbers again" : "Continue the numbers"} at paragraph #{document.text_position(@id) + 1}"
      end

      private

      def anew(document, list_id, level)
        list = document.numbering.list(list_id)
        starts = (level..8).to_h { |number|
          [number, (number == level) ? @at : document.numbering.level(list_id, number)&.start || 1]
        }
        document.numbering.add(Document::Numbering::List.new(list.definition_id, starts, list.overrides))
      end

      # The nearest list before this paragraph that counts with the same definition.
      def before(document, list_id)
        definition = document.numbering.list(list_id).definition_id
        ids = document.paragraphs.first(document.text_position(@id)).reverse_each.lazy.filter_map do |paragraph|
          document.cascade.list_of(paragraph)&.first
        end
        earlier = ids.find { |id| id != list_id && document.numbering.list(id).definition_id == definition }
        raise Refused, "No list of this kind stands before paragraph #{document.text_position(@id) + 1}." unless earlier
        [document.numbering, earlier]
      end

      def followers(document, list_id)
        document.paragraphs.drop(document.text_position(@id)).select do |paragraph|
          document.cascade.list_of(paragraph)&.first == list_id
        end
      end
    end
  end
end
