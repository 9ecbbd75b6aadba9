# frozen_string_literal: true

module Norvel
  module Edits
    # Keeps headings on one page with the text below them: by their style where only headings wear it, else each by
    # itself; blank paragraphs between a heading and its text go along.
    class KeepWithNext < Edit
      include ByStyle

      # ids: of headings
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        now = flagged(document, chosen(document, @ids), :keep_with_next)
        blanks = chosen(now, @ids).flat_map { |heading| between(now, heading) }
          .reject { |paragraph| now.look(paragraph)[:keep_with_next] }
        now.replace(blanks.map { |paragraph| set_directly(now, paragraph, :keep_with_next, true) })
      end

      def title(_document)
        "Keep #{count(@ids.size, "heading")} with the text below"
      end

      private

      def between(document, heading)
        document.paragraphs.drop(document.text_position(heading.id) + 1)
          .take_while { |paragraph| paragraph.blank? && !paragraph.ends_page? }.first(10)
      end
    end
  end
end
