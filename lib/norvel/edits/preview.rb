# frozen_string_literal: true

module Norvel
  module Edits
    # What an edit would do, before it does it.
    class Preview
      # One paragraph before and after; either is nil when it would come or go.
      Pair = Struct.new(:before, :after)

      attr_reader :before, :after, :title

      def initialize(before, after, title)
        @before = before
        @after = after
        @title = title
      end

      # Paragraphs that are not as they were: set, moved to a style, gone or new.
      def touched
        @touched ||= begin
          old = before.everything.to_h { |p| [p.id, p] }
          new = after.everything.to_h { |p| [p.id, p] }
          (old.keys | new.keys).filter_map { |id|
            Pair.new(old[id], new[id]) unless old[id].equal?(new[id]) || old[id] == new[id]
          }
        end
      end

      # Paragraphs whose look would be another, whether they or their styles are touched.
      def restyled
        @restyled ||= after.everything.filter_map do |paragraph|
          next unless before.include?(paragraph.id)
          was = before.paragraph(paragraph.id)
          Pair.new(was, paragraph) unless before.look(was) == after.look(paragraph) &&
            before.letter_look(was) == after.letter_look(paragraph)
        end
      end
    end
  end
end
