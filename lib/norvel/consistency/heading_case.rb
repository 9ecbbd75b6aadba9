# frozen_string_literal: true

module Norvel
  module Consistency
    # Headings of one level in several cases, or with a full stop at the end where the others have none. Case is judged
    # in English alone, where nouns tell nothing.
    class HeadingCase < Subject
      RULE = "heading_case"
      WORDS = {upper: "capitals", title: "capitals on its words", sentence: "a capital on the first word"}.freeze
      LONG = 4 # letters of a word whose case tells
      END_MARK = /(?<![.?!…])[.:;,]\z/

      def odds
        headings.flat_map { |level, list| [*(english? ? cases(level, list) : []), *end_marks(level, list)] }
      end

      private

      def english?
        return @english unless @english.nil?
        tag = Survey::Language.of_document(@document) || @document.info[:language].to_s
        @english = tag.start_with?("en")
      end

      def cases(level, list)
        cased = list.filter_map { |one| (found = case_of(one)) && [one, found] }
        most = usual(cased.map(&:last)) or return []
        cased.reject { |_, found| found == most }.map do |one, found|
          odd(paragraph: one, usual: WORDS[most], found: WORDS[found],
            message: "A heading of level #{level} has #{WORDS[found]}, the others have #{WORDS[most]}")
        end
      end

      # nil where it can't be told.
      def case_of(paragraph)
        text = Survey::Traits.of(paragraph).bare
        return :upper if text.match?(/[[:upper:]]{2}/) && !text.match?(/[[:lower:]]/)
        words = text.scan(/[[:alpha:]]+/).drop(1).select { |word| word.size >= LONG }
        large = words.count { |word| word.match?(/\A[[:upper:]]/) }
        return :title if large == words.size && large > 1
        :sentence if large.zero? && words.any?
      end

      def end_marks(level, list)
        marks = list.map { |one| one.text.strip[END_MARK].to_s }
        most = usual(marks) or return []
        list.zip(marks).reject { |_, mark| mark == most }.map do |one, mark|
          spoken = ->(sign) { sign.empty? ? "no mark" : "“#{sign}”" }
          odd(paragraph: one, usual: spoken[most], found: spoken[mark],
            message: "A heading of level #{level} ends with #{spoken[mark]}, the others with #{spoken[most]}")
        end
      end
    end
  end
end
