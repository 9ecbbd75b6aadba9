# frozen_string_literal: true

module Norvel
  module Survey
    # Headings and titles whose words were typed in capitals, where the property would show them so.
    module TypedCapitals
      ROLES = /\A(?:title|subtitle|heading_\d)\z/
      LEAST = 4 # letters of a word; shorter ones may be abbreviations

      module_function

      # [Document::Paragraph, …]
      def of(document)
        document.paragraphs.select { |paragraph| typed?(paragraph) && Survey.role(document, paragraph).match?(ROLES) }
      end

      def typed?(paragraph)
        Traits.of(paragraph).capitals? && paragraph.text.scan(UsualCase::WORD).any? { |word| word.size >= LEAST } &&
          paragraph.runs.none?(&:spans)
      end

      private_class_method :typed?
    end
  end
end
