# frozen_string_literal: true

module Norvel
  module Edits
    # Lets the style of headings begin a page, in place of the breaks and blank paragraphs that did.
    class BeginPagesByStyle < Edit
      # headings, breaks, blanks: ids of paragraphs (Structure::PageStarts)
      def initialize(headings, breaks, blanks)
        @headings = headings
        @breaks = breaks
        @blanks = blanks
      end

      def change(document)
        began = BeginOnPage.new(@headings).change(document)
        began = RemovePageBreaks.new(there(began, @breaks)).change(began) if there(began, @breaks).any?
        began.without(there(began, @blanks))
      end

      def title(document)
        names = @headings.filter_map { |id| document.style_of(document.paragraph(id))&.name }.uniq
        "Let #{names.join(", ")} begin #{count(@headings.size, "page")} in place of breaks"
      end

      def removes_white_space?
        true
      end

      private

      def there(document, ids)
        ids.select { |id| document.include?(id) }
      end
    end
  end
end
