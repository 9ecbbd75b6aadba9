# frozen_string_literal: true

module Norvel
  module Consistency
    # Running text whose paragraphs are told apart in several ways: an indent here, space there, a blank line elsewhere.
    class ParagraphBreaks < Subject
      RULE = "paragraph_break"
      LEAST = 6

      def odds
        breaks = Survey::ParagraphBreaks.new(@document, @settled).all
        most = usual(breaks.map(&:last), least: LEAST) or return []
        return [] if most == [:none]
        breaks.reject { |_, way| way == most }.map { |paragraph, way| deviation(paragraph, way, most) }
      end

      private

      def deviation(paragraph, way, most)
        usual, found = [most, way].map { |list| Survey::ParagraphBreaks.words(list) }
        odd(paragraph:, usual:, found:,
          message: "The paragraph is told from the one before by #{found}, most are by #{usual}")
      end
    end
  end
end
