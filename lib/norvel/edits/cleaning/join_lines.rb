# frozen_string_literal: true

module Norvel
  module Edits
    # A space where a line break stands in the middle of a sentence. Breaks that may be meant, as in verse and
    # addresses, stay.
    class JoinLines < Edit
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        document.replace(chosen(document, @ids).map { |paragraph| joined(paragraph) })
      end

      def title(_document)
        "Take line breaks out of sentences in #{count(@ids.size)}"
      end

      def removes_white_space?
        true
      end

      private

      def joined(paragraph)
        RewriteText.replace(paragraph, Survey::ByHand::RUNNING_BREAK, with: " ")
      end
    end
  end
end
