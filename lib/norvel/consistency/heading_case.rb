# frozen_string_literal: true

module Norvel
  module Consistency
    # Headings of one level in several cases, or with a full stop at the end where the others have none. Case is judged
    # in English alone, where nouns tell nothing.
    class HeadingCase < Subject
      RULE = "heading_case"
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
        cased = list.filter_map { |one| (found = Survey::LetterCase.of(one)) && [one, found] }
          .reject { |_, found| found == :lower }
        most = usual(cased.map(&:last)) or return []
        cased.reject { |_, found| found == most }.map { |one, found| case_odd(one, level, *words(most, found)) }
      end

      def words(*cases)
        Survey::LetterCase::WORDS.values_at(*cases)
      end

      def case_odd(paragraph, level, usual, found)
        odd(paragraph:, usual:, found:, message: "A heading of level #{level} has #{found}, the others have #{usual}")
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
