# frozen_string_literal: true

module Norvel
  module Edits
    # Lets chapters begin on a page of their own, whatever ends the page before.
    class BeginOnPage < Edit
      include ByStyle

      # ids: of the headings of chapters
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        flagged(document, chosen(document, @ids), :page_break_before)
      end

      def title(_document)
        "Begin #{count(@ids.size, "chapter")} on a new page"
      end
    end
  end
end
