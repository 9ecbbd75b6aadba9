# frozen_string_literal: true

module Norvel
  module Formats
    # A document as a file of a format that wears no styles, with what was not carried. What is written is read again:
    # no word of the text may be missing.
    class MarkupFile
      # target: a MarkupFormat
      def initialize(document, target)
        @document = document
        @target = target
        @report = CarryReport.new
      end

      # Raises Unwritable.
      def written
        Unmodelled.tell(@document, @report)
        undressing = ToMarkup.new(@document, @report)
        text = undressing.text
        looks = {document: @document, styles: undressing.styles}
        source = written_as(text, **looks) || written_plainly(text, **looks) || refuse
        Written.new(source, @report)
      end

      private

      def written_as(text, **told)
        source = @target.writer.call(text, @report, **told)
        source unless missing?(text, @target.reader.call(source))
      end

      # Signs that stand too close to be told apart are left out.
      def written_plainly(text, **looks)
        @report.approximate("words set apart", "plain, as their signs would run together")
        written_as(text, **looks, plain: true)
      end

      # Markers of lists and notes stand among the letters in some formats, so those are compared that are no digits.
      def missing?(text, again)
        letters(text) != letters(again)
      end

      def letters(text)
        text.words.join.gsub(/[^\p{L}]/, "")
      end

      def refuse
        raise Unwritable, "The file that was written does not read back with the same words, so it was not handed over."
      end
    end
  end
end
