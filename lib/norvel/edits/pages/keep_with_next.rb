# frozen_string_literal: true

module Norvel
  module Edits
    # Keeps headings on one page with the text below them: by their style where only headings wear it, else each by
    # itself; blank paragraphs between a heading and its text go along.
    class KeepWithNext < Edit
      # ids: of headings
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        headings = chosen(document, @ids).reject { |heading| document.look(heading)[:keep_with_next] }
        styles = headings.filter_map { |heading| document.style_of(heading) }.uniq
          .select { |style| own?(style, document) }
        after = styles.inject(document) do |now, style|
          ChangeStyle.new(style.id, {keep_with_next: true}).change(now)
        end
        left = chosen(after, @ids).flat_map { |heading| [heading, *between(after, heading)] }
          .reject { |paragraph| after.look(paragraph)[:keep_with_next] }
        after.replace(left.map { |paragraph| set_directly(after, paragraph, :keep_with_next, true) })
      end

      def title(_document)
        "Keep #{count(@ids.size, "heading")} with the text below"
      end

      private

      def own?(style, document)
        document.paragraphs.all? do |paragraph|
          !document.style_of(paragraph).equal?(style) || document.settled.role(paragraph).start_with?("heading_")
        end
      end

      def between(document, heading)
        document.paragraphs.drop(document.text_position(heading.id) + 1)
          .take_while { |paragraph| paragraph.blank? && !paragraph.ends_page? }.first(10)
      end
    end
  end
end
