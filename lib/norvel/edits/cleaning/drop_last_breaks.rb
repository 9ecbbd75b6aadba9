# frozen_string_literal: true

module Norvel
  module Edits
    # Takes line breaks away that nothing follows in their paragraph.
    class DropLastBreaks < Edit
      LAST = /(?:[ \u00A0]*\n)+[ \u00A0]*\z/

      def initialize(ids)
        @ids = ids
      end

      def change(document)
        document.replace(chosen(document, @ids).map { |paragraph| RewriteText.replace(paragraph, LAST) })
      end

      def title(_document)
        "Take line breaks off the ends of #{count(@ids.size)}"
      end

      def removes_white_space?
        true
      end
    end
  end
end
