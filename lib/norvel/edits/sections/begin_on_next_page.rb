# frozen_string_literal: true

module Norvel
  module Edits
    # Lets sections begin on the next page, whichever side it is.
    class BeginOnNextPage < Edit
      # ids: paragraphs, each of a section that is to begin so
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        numbers = chosen(document, @ids).map(&:section).uniq
        document.with(sections: document.sections.each.with_index(1).map { |section, number|
          numbers.include?(number) ? section.with(starts: "next_page") : section
        }.freeze)
      end

      def title(_document)
        "Begin #{count(@ids.size, "section")} on the next page"
      end
    end
  end
end
