# frozen_string_literal: true

module Norvel
  module Edits
    # Takes the full stop, colon, comma or semicolon away that ends paragraphs, as headings are written.
    class DropEndMarks < Edit
      MARK = /(?<![.?!…])[.:;,](?=[\s\u00A0]*\z)/

      def initialize(ids)
        @ids = ids
      end

      def change(document)
        document.replace(chosen(document, @ids).map { |one| RewriteText.replace(one, MARK) })
      end

      def title(_document)
        "Take the mark at the end of #{count(@ids.size)} away"
      end

      def changes_text?
        true
      end
    end
  end
end
