# frozen_string_literal: true

module Norvel
  class Guide
    # What another guide would find in the same document: findings that come, and findings that go.
    class WhatIf
      # now, after: a Check each, of one document
      def initialize(now, after)
        @now = now
        @after = after
      end

      # Findings that it would have and now has not.
      def more
        @more ||= beyond(@after.findings, @now.findings)
      end

      # Findings that it now has and would not have.
      def fewer
        @fewer ||= beyond(@now.findings, @after.findings)
      end

      private

      # Those of a list that another has no like of; several of one kind at one place count each.
      def beyond(list, others)
        left = others.map { |one| kind(one) }.tally
        list.reject { |one| (left[kind(one)] ||= 0).positive?.tap { |known| left[kind(one)] -= 1 if known } }
      end

      def kind(finding)
        [finding.rule, finding.severity, finding.paragraph, finding.section, finding.cause]
      end
    end
  end
end
