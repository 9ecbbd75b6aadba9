# frozen_string_literal: true

module Norvel
  class Guide
    # How far a document meets each sentence of its guide: what was found, of how many places, what is granted, and
    # what could not be judged.
    class Tally
      # findings: open ones; total: places where it could be met or not, nil where that is the document; granted: number
      # of findings under an exception; unchecked: reasons why it was not judged
      Line = Value.define(:findings, :total, :granted, :unchecked) do
        # Places that are not as asked.
        def differ
          findings.map { |one| one.paragraph || one.section }.uniq.size
        end

        # Is all of it checked, and nothing found?
        def met?
          findings.empty? && unchecked.empty?
        end
      end

      # check: a Check of the document
      def initialize(check)
        @check = check
        @open = check.findings.group_by(&:rule)
        @granted = check.granted.flat_map(&:findings).group_by(&:rule)
      end

      # The Line of a Sentences::Sentence.
      def of(sentence)
        why = @check.unchecked.select { |entry| sentence.rules.any? { |rule| covers?(rule, entry.rule) } }.map(&:why)
        Line.new(findings: about(@open, sentence), total: total(sentence.place),
          granted: about(@granted, sentence).size, unchecked: why.uniq)
      end

      private

      # findings: by rule
      def about(findings, sentence)
        own = findings.select { |rule, _| sentence.rules.any? { |stated| covers?(stated, rule) } }.values.flatten
        case sentence.place
        in ["parts", *] then own.select { |one| of_part?(one, sentence.value["part"]) }
        in ["roles", role, *] then own.select { |one| of_role?(one, role) }
        else own
        end
      end

      # What looks like a heading is of the level that it looks like.
      def of_role?(finding, role)
        finding.rule != "headings.unmarked" || @check.role(@check.document.paragraph(finding.paragraph)) == role
      end

      # The rules of parts are the same for all of them; each finding is about one.
      def of_part?(finding, part)
        finding.rule.start_with?("contents.") || finding.cause.flatten.include?(part)
      end

      def covers?(pattern, rule)
        pattern == rule || File.fnmatch(pattern, rule)
      end

      def total(place)
        case place.first
        when "roles" then by_role[place[1]] || 0
        when "notes" then by_role["note"] || 0
        when "page" then @check.document.sections.size
        end
      end

      def by_role
        @by_role ||= @check.document.working.reject(&:blank?).map { |one| @check.role(one) }.tally
      end
    end
  end
end
