# frozen_string_literal: true

module Norvel
  class Guide
    # What a change does to the findings of a document.
    class Outcome
      # What moves with every line end, or is tidied when all else is settled: no change is held back by it.
      LAST = %w[pagination.* count.* contents.stale captions.number consistent.page_ends clean.empty_page
        clean.unused_style clean.doubled_style].freeze

      # was, now: the Check of the state before and after it
      def initialize(was, now)
        @was = was
        @now = now
      end

      # Findings that go: nothing of their rule is found at their place any more.
      def gone
        @gone ||= beyond(@was, @now)
      end

      # Findings that come.
      def come
        @come ||= beyond(@now, @was)
      end

      # Those that come for a cause that was not there, at least as grave as +severity+: what no mend may bring.
      def raised(severity = Check::SEVERITIES.last)
        new_ones.select { |finding| grave?(finding, severity) }
      end

      # Would it raise such findings, or bring more than it takes?
      def worse?(severity = Check::SEVERITIES.last)
        raised(severity).any? || settled(come) > settled(gone)
      end

      # Is it as grave, or graver?
      def grave?(finding, severity)
        Check::SEVERITIES.index(finding.severity) <= Check::SEVERITIES.index(severity)
      end

      private

      def new_ones
        @new_ones ||= begin
          causes = @was.findings.to_h { |finding| [finding.cause, true] }
          come.reject { |one| causes[one.cause] || last?(one.rule) || as_before?(one) }
        end
      end

      def beyond(check, other)
        places = other.findings.to_h { |finding| [place(finding), true] }
        check.findings.reject { |finding| places[place(finding)] }
      end

      # Was the value that is found the same before? Then it is asked for now, and the change did not bring it.
      def as_before?(finding)
        name = finding.rule[/\A(?:role|notes)\.(?:.*\.)?(\w+)\z/, 1]
        one, other = [@was, @now].map { |check| value(check.document, finding.paragraph, name) }
        !one.nil? && one == other
      end

      def value(document, id, name)
        return unless id && document.include?(id)
        paragraph = document.paragraph(id)
        return document.style_of(paragraph)&.name if name == "style"
        return unless name && Styles::Properties.key?(name)
        property = Styles::Properties[name]
        look = (property.on == :paragraph) ? document.look(paragraph) : document.letter_look(paragraph)
        look[property.name]
      end

      def settled(findings)
        findings.count { |finding| !last?(finding.rule) }
      end

      def place(finding)
        [finding.rule, finding.paragraph || finding.section]
      end

      def last?(rule)
        LAST.any? { |pattern| File.fnmatch(pattern, rule) }
      end
    end
  end
end
