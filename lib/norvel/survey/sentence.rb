# frozen_string_literal: true

module Norvel
  module Survey
    # The survey in one honest sentence or two; figures that matter stand between asterisks.
    module Sentence
      module_function

      # The survey in one or two sentences; what is between stars stands out.
      def of(survey)
        document = survey.document
        worded = document.paragraphs.size - survey.by_hand[:blank_paragraphs].size
        return ["The document holds no text.", unseen(document)].compact.join(" ") if worded.zero?
        [wearing(survey, worded), blanks(survey), headings(survey), unseen(document)].compact.join(" ")
      end

      # What a file embeds in another format is not read.
      def unseen(document)
        return if document.unseen.zero?
        what = (document.unseen == 1) ? "a piece" : "#{document.unseen} pieces"
        "The file also holds *#{what}* in another format, which Norvel can't see and leaves as it is."
      end

      def wearing(survey, worded)
        looks, styles = survey.looks.size, survey.styles_used.size
        if survey.direct.values.sum.zero?
          return "#{counted(worded, "paragraph")} wear *#{counted(looks, "look")}* by *#{counted(styles, "style")}*: " \
            "what is seen is what the styles say."
        end
        only = "only " if styles < looks
        "#{counted(worded, "paragraph")} wear *#{counted(looks, "look")}* but #{only}*#{counted(styles, "style")}*."
      end

      def blanks(survey)
        count = survey.by_hand[:blank_paragraphs].size
        "*#{count}* more #{(count == 1) ? "is" : "are"} blank." if count.positive?
      end

      def headings(survey)
        seen, marked = survey.outline.seen.size, survey.outline.marked.size
        return "Nothing looks like a heading." if seen.zero? && marked.zero?
        return "All *#{seen}* headings are marked as such." if seen == marked && survey.outline.seen.all?(&:marked)
        unmarked = survey.outline.seen.count { |entry| !entry.marked }
        marked = seen - unmarked
        verb = (marked < 2) ? "is" : "are"
        "*#{seen}* look like headings; *#{marked.zero? ? "none" : marked}* #{verb} marked as one."
      end

      def counted(count, noun)
        Quantity.words(count, noun)
      end

      private_class_method :unseen, :wearing, :blanks, :headings, :counted
    end
  end
end
