# frozen_string_literal: true

module Norvel
  class Guide
    # One place where a document does not meet a rule.
    #   rule, severity, cite   from the guide
    #   paragraph              its id, nil for findings on the page set-up or the document
    #   section                number, nil for findings on the document
    #   message, asked, found  in words and the guide's units
    #   cause                  findings with one cause are one group; an array that is equal for them
    #   mend                   a Mend, or nil
    Finding = Struct.new(:rule, :severity, :cite, :paragraph, :section, :message, :asked, :found, :cause, :mend,
      :exception, keyword_init: true) do
      # The same at a paragraph.
      def at(paragraph)
        dup.tap do |finding|
          finding.paragraph = paragraph.id
          finding.section = paragraph.section
        end
      end

      # The same with another mend.
      def mended_by(other)
        dup.tap { |finding| finding.mend = other }
      end
    end

    # Findings with one cause.
    Group = Struct.new(:findings) do
      # The first of its findings.
      def first
        findings.first
      end

      # The name of their rule.
      def rule
        first.rule
      end

      # Of their rule: "must", "should" or "note".
      def severity
        first.severity
      end

      # How many they are.
      def size
        findings.size
      end

      # Ids of the paragraphs it is about.
      def paragraphs
        findings.filter_map(&:paragraph)
      end

      # A name for addresses that stays while the cause does.
      def key
        Digest::SHA256.hexdigest(first.cause.inspect)[0, 12]
      end

      # The mends of all its findings as one edit, nil when there is none. hand, look: how paragraphs go in a style
      # where a person chooses, of Edits::PutInStyle
      def edit(guide, **how)
        mend = first.mend or return
        (mend.put? && how.any?) ? put(guide, mend, **how) : mend.edit(findings, guide)
      end

      private

      def put(guide, mend, hand: :goes, look: :style)
        put = Mend.put(findings, guide, *mend.steps.first.drop(1), hand:, look:)
        return put if mend.steps.size == 1
        Edits::Several.new([put, mend.with(steps: mend.steps.drop(1)).edit(findings, guide)])
      end
    end
  end
end
