# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # A family of rules: +findings+ are those on the document as a whole, +on+ those that a paragraph alone gives rise to.
      class Family
        # Do its findings on a paragraph follow from the look that styles give it? Else they stay as long as the paragraph does.
        def self.looks?
          true
        end

        def initialize(check)
          @check = check
          @guide = check.guide
          @document = check.document
        end

        def findings
          []
        end

        def on(_paragraph)
          []
        end

        private

        def finding(rule, message:, asked:, found:, cause:, paragraph: nil, section: nil, mend: nil, cite: nil)
          @severities ||= {}
          severity = @severities[rule] ||= @guide.severity(rule)
          Finding.new(rule:, severity:, cite: cite&.to_s, paragraph: paragraph&.id, section: section || paragraph&.section, message:, asked:, found:, cause: [rule, *cause], mend:)
        end

        def ids(findings)
          findings.filter_map(&:paragraph)
        end
      end
    end
  end
end
