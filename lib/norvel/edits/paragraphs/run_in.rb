# frozen_string_literal: true

module Norvel
  module Edits
    # Lets a heading stand in the line of the text that follows: two paragraphs in a style each, the first with a
    # paragraph mark that is not seen (the style separator of ISO/IEC 29500-1 17.3.2.36). Or ends that again.
    class RunIn < Edit
      MARK = {hidden: true, specVanish_run: {}}.freeze

      # Does this paragraph run in with the next (a hidden mark, 17.3.2.36)?
      def self.on?(paragraph)
        paragraph.mark.key?(:specVanish_run)
      end

      def initialize(ids, on: true)
        @ids = ids
        @on = on
      end

      def change(document)
        document.replace(chosen(document, @ids).map do |paragraph|
          following = document.paragraphs[document.text_position(paragraph.id) + 1]
          place = document.text_position(paragraph.id) + 1
          raise Refused, "Paragraph #{place} has no text after it to run into." if @on &&
            (following.nil? || following.blank? || following.part != paragraph.part)
          paragraph.with(mark: @on ? paragraph.mark.merge(MARK) : paragraph.mark.without(*MARK.keys))
        end)
      end

      def title(_document)
        @on ? "Run #{count(@ids.size, "heading")} into the text" : "Give #{count(@ids.size, "heading")} a line again"
      end
    end
  end
end
