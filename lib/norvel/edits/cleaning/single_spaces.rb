# frozen_string_literal: true

module Norvel
  module Edits
    # One space where several stand between words, or at the begin and end of a paragraph.
    class SingleSpaces < Edit
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        document.replace(chosen(document, @ids).map { |paragraph| single(paragraph) })
      end

      def title(_document)
        "Single spaces in #{count(@ids.size)}"
      end

      def removes_white_space?
        true
      end

      private

      def single(paragraph)
        led = RewriteText.replace(paragraph, Survey::ByHand::LEADING_SPACE)
        RewriteText.replace(led, Survey::ByHand::DOUBLE_SPACE, with: " ")
      end
    end
  end
end
