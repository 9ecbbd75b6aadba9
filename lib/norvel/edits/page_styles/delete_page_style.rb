# frozen_string_literal: true

module Norvel
  module Edits
    # Takes the name of a page set-up away. Sections keep the set-up.
    class DeletePageStyle < Edit
      include PageStyles

      def initialize(name)
        @name = name
      end

      def change(document)
        document.with(page_styles: (document.page_styles - [page_style(document, @name)]).freeze)
      end

      def title(_document)
        "Delete the page style #{@name}"
      end
    end
  end
end
