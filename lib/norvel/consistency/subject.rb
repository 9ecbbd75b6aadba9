# frozen_string_literal: true

module Norvel
  module Consistency
    # What subjects share.
    class Subject
      FEW = 3 # alike at least, for there to be a usual way
      MOST = 0.75 # of them

      def initialize(document, settled)
        @document = document
        @settled = settled
      end

      # [Odd, …] in the order of the text; nothing where there is no usual way.
      def odds
        raise NotImplementedError
      end

      private

      # The value that most have, nil where there is none.
      def usual(values, least: FEW, share: MOST)
        value, count = values.tally.max_by(&:last)
        value if count && count >= least && count >= values.size * share && count < values.size
      end

      def odd(message:, usual:, found:, **rest)
        Odd.new(rule: self.class::RULE, message:, usual:, found:, **rest)
      end

      def role(paragraph)
        @settled.role(paragraph)
      end

      # The paragraphs of the text itself that hold words.
      def worded
        @worded ||= @document.paragraphs.reject(&:blank?)
      end

      # {level => [Paragraph, …]} of the headings of the text itself, which title page and contents lines are not.
      def headings
        @headings ||= worded.select { |one| role(one).start_with?("heading_") && one.part == :body }
          .group_by { |one| role(one)[/\d/].to_i }
      end

      def look(paragraph)
        @document.look(paragraph)
      end

      def letters(paragraph)
        @document.letter_look(paragraph)
      end

      # Lengths within a twentieth of a point are one: that is how files round.
      def rounded(value)
        value.is_a?(Float) ? (value * 10).round / 10.0 : value
      end
    end
  end
end
