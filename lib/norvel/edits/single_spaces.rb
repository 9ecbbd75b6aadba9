# frozen_string_literal: true

module Norvel
  module Edits
    # One space where several stand between words, or at the begin and end of a paragraph.
    class SingleSpaces < Edit
      EXTRA = /(?<=\S ) +(?=\S)|\A +(?=\S)/

      def initialize(ids)
        @ids = ids
      end

      def change(document)
        document.replace(chosen(document, @ids).map { |paragraph| RewriteText.cut(paragraph, RewriteText.matches(paragraph.raw_text, EXTRA)) })
      end

      def title(_document)
        "Single spaces in #{count(@ids.size)}"
      end

      def removes_white_space?
        true
      end
    end
  end
end
