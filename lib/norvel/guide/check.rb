# frozen_string_literal: true

module Norvel
  class Guide
    # A document held against a guide.
    class Check
      SEVERITIES = %w[must should advice].freeze

      attr_reader :guide, :document

      def initialize(guide, document)
        @guide = guide
        @document = document
      end

      # Every Finding, in the order of the rules, each in document order; granted exceptions left out.
      def findings
        @findings ||= Rules::ALL.flat_map { |rule| rule.new(self).findings }.reject { |finding| excepted?(finding) }
      end

      # Findings by cause, worst first, then largest.
      def groups
        @groups ||= findings.group_by(&:cause).values.map { |list| Group.new(list) }.sort_by.with_index { |group, index| [SEVERITIES.index(group.severity), -group.size, index] }
      end

      def counts
        @counts ||= SEVERITIES.to_h { |severity| [severity, findings.count { |f| f.severity == severity }] }
      end

      def meets?
        counts["must"].zero?
      end

      # The rules the guide states, by name, for this document's roles.
      def rules_asked
        @rules_asked ||= Rules::ALL.flat_map { |rule| rule.asked(guide, roles.values.uniq) }
      end

      # The role of every paragraph, by id.
      def roles
        @roles ||= document.paragraphs.to_h { |paragraph| [paragraph.id, Survey::StyleRoles.role(document, paragraph)] }
      end

      def role(paragraph)
        roles[paragraph.id]
      end

      private

      def excepted?(finding)
        guide.exceptions.any? do |exception|
          next unless File.fnmatch(exception["rule"], finding.rule)
          style = exception.dig("where", "style")
          style.nil? || (finding.paragraph && document.style_name(document.paragraph(finding.paragraph)) == style)
        end
      end
    end
  end
end
