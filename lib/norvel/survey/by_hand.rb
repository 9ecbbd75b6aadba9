# frozen_string_literal: true

module Norvel
  module Survey
    # Spacing and structure that was made with characters where a property would do. Each detector answers for one paragraph.
    module ByHand
      LEADING_TAB = /\A *\t/
      LEADING_SPACE = /\A[ \u00A0]{2,}/
      DOUBLE_SPACE = /(?<=\S) {2,}(?=\S)/
      LINE_BREAK = /\n/
      # A break in running text, as opposed to one in an address or verse: the sentence goes on after it.
      SENTENCE_GOES_ON = /[[:alnum:],;)’'-][ \u00A0]*\n[ \u00A0]*[[:lower:]]/
      PAGE_BREAK = /\f/

      module_function

      def leading_tab?(paragraph)
        !paragraph.blank? && LEADING_TAB.match?(paragraph.text)
      end

      def leading_space?(paragraph)
        !paragraph.blank? && LEADING_SPACE.match?(paragraph.text)
      end

      def double_space?(paragraph)
        DOUBLE_SPACE.match?(paragraph.text)
      end

      def line_break?(paragraph)
        LINE_BREAK.match?(paragraph.text)
      end

      def running_line_break?(paragraph)
        SENTENCE_GOES_ON.match?(paragraph.text)
      end

      def page_break?(paragraph)
        PAGE_BREAK.match?(paragraph.raw_text)
      end
    end
  end
end
