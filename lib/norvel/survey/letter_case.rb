# frozen_string_literal: true

module Norvel
  module Survey
    # In which case the words of a heading are typed: :upper, :title, :sentence, :lower; nil where that can't be told.
    # Title and sentence case are told in languages alone that write nouns small.
    module LetterCase
      LONG = 4 # letters of a word whose case tells
      WORDS = {upper: "capitals", title: "capitals on its words", sentence: "a capital on the first word",
               lower: "small letters"}.freeze
      NOUNS = %w[de lb].freeze # languages that write every noun with a capital

      module_function

      # :upper, :lower, :title or :sentence; nil where it can't be told.
      def of(paragraph)
        text = Traits.of(paragraph).bare
        return :upper if text.match?(/[[:upper:]]{2}/) && !text.match?(/[[:lower:]]/)
        return :lower if text.match?(/[[:lower:]]/) && !text.match?(/[[:upper:]]/)
        words = text.scan(/[[:alpha:]]+/).drop(1).select { |word| word.size >= LONG }
        large = words.count { |word| word.match?(/\A[[:upper:]]/) }
        return :title if large == words.size && large > 1
        :sentence if large.zero? && words.any?
      end

      # Can title and sentence case be told in the language of a document?
      def told?(document)
        document.reading[LetterCase] ||= [told_in(document)]
        document.reading[LetterCase].first
      end

      def told_in(document)
        tag = Language.of_document(document) || Language.primary(document.info[:language].to_s)
        !tag.nil? && !tag.empty? && !NOUNS.include?(tag[0, 2])
      end

      private_class_method :told_in
    end
  end
end
