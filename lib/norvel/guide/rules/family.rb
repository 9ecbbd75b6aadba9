# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # A family of rules, declared in its RULES.
      class Family
        # Do its findings on a paragraph follow from the look that styles give it? Else they stay as long as the
        # paragraph does.
        def self.looks?
          self::RULES.any? { |rule| rule.goes_by == :look }
        end

        # The names of the rules that a guide states, for these roles.
        def self.asked(guide, _roles)
          self::RULES.select { |rule| rule.asked(guide) }.map(&:name)
        end

        def initialize(check)
          @check = check
          @guide = check.guide
          @document = check.document
        end

        # Findings on the document as a whole.
        def findings
          []
        end

        # Findings that a paragraph alone gives rise to.
        def on(_paragraph)
          []
        end

        private

        # Can paragraphs go in a style of this name? Not where it is one of words or tables.
        def style_for_paragraphs?(name)
          !@document.styles.called(name).nil? || @document.styles.named(name).nil?
        end

        def asked?(name)
          !Rules[name].asked(@guide).nil?
        end

        # [least, most] of what a guide asks of a length, in points: a value, {min: …, max: …}
        def bounds(asked)
          stated = asked.is_a?(Hash) ? asked.values_at("min", "max") : [asked, asked]
          stated.map { |one| one && Length.typed(one) }
        end

        # The unit that a guide writes a length in, nil where it has none.
        def unit_of(asked)
          Guide.unit(asked) || Length.reading
        end

        def spoken_range(least, most, unit)
          one, other = [least, most].map { |bound| bound && Length.spoken(bound, unit) }
          return one if one == other
          return "#{one} to #{other}" if one && other
          one ? "at least #{one}" : "at most #{other}"
        end

        # cause: what findings with one cause have in common, beside the rule
        def finding(rule, message:, asked:, found:, cause:, paragraph: nil, section: nil, mend: nil, cite: nil)
          @severities ||= {}
          severity = @severities[rule] ||= @guide.severity(rule)
          Finding.new(rule:, severity:, cite: cite&.to_s, paragraph: paragraph&.id, section: section ||
            paragraph&.section,
            message:, asked:, found:, cause: [rule, *cause], mend:)
        end
      end
    end
  end
end
