# frozen_string_literal: true

module Norvel
  module Pdf
    # What was drawn of each paragraph, letter by letter, against what it says: nothing is left out unsaid.
    class DrawnWords
      def initialize(document)
        @document = document
        @drawn = Hash.new { |all, id| all[id] = +"" }
      end

      # Words of a paragraph that are on a page.
      def add(paragraph, text)
        @drawn[paragraph.id] << text
      end

      # Says in a CarryReport which paragraphs are not there, or not whole.
      def tell(report)
        @document.paragraphs.each_with_index do |paragraph, index|
          missing = letters(paragraph.seen_text) - letters(@drawn[paragraph.id])
          next unless missing > computed(paragraph)
          what = @drawn[paragraph.id].empty? ? "paragraphs that stand on no page" : "letters that stand on no page"
          report.lost(what, place: index + 1, count: @drawn[paragraph.id].empty? ? 1 : missing)
        end
      end

      private

      # Letters that fields showed last: what they show now may be shorter.
      def computed(paragraph)
        paragraph.runs.select { |run| run.within.any?(Document::FieldResult) }.sum { |run| letters(run.words) }
      end

      def letters(text)
        Document::LinkedWords.letters(text)
      end
    end
  end
end
