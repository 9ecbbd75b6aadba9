# frozen_string_literal: true

module Norvel
  module Report
    # A check as plain data: the JSON of `check` (docs/command-line.md), and what its other forms need.
    class CheckReport
      # shown: does the guide count as one? Without one a document is held against itself.
      def initialize(check)
        @check = check
        @document = check.document
        @guide = check.guide
      end

      # All of it in one: what names the file, then to_h, groups, rules and size.
      def whole(**named)
        {**named, **to_h, groups:, rules:, **size}
      end

      # {guide:, meets:, counts:, findings: […], exceptions: […], unchecked: […]}
      def to_h
        {guide: (@guide.name unless @guide.none?), meets: @check.meets?, counts: @check.counts,
         findings: @check.findings.map { |one| finding(one) }, exceptions:, unchecked:}
      end

      # [{severity:, rule:, size:, message:, label:}, …] by cause, worst first.
      def groups
        @check.groups.map do |group|
          {severity: group.severity, rule: group.rule, size: group.size, message: group.first.message,
           label: group.first.mend&.label}
        end
      end

      # The rules that were asked for.
      def rules
        @check.rules_asked
      end

      # {pages:, words:} where pages are known.
      def size
        {pages: Layout.pages(@document)&.sheets&.size, words: @document.word_count}
      end

      private

      def places
        @places ||= @document.paragraphs.each.with_index(1).to_h { |paragraph, index| [paragraph.id, index] }
      end

      def finding(finding)
        {rule: finding.rule, severity: finding.severity, index: places[finding.paragraph], page: @check.page(finding),
         section: finding.section, message: finding.message, expected: finding.asked, found: finding.found,
         cite: finding.cite, mend: finding.mend&.name, **beside(finding)}
      end

      # Where it is when not in the text: {part: "footnote", note: 4}.
      def beside(finding)
        story = finding.paragraph && @document.story_of(finding.paragraph)
        return {} unless story
        notes[story.id] ? {part: story.kind, note: notes[story.id]} : {part: story.kind}
      end

      # Notes are counted in the order they stand in, each kind for itself.
      def notes
        @notes ||= @document.stories.select { |story| %w[footnote endnote].include?(story.kind) }.group_by(&:kind)
          .flat_map { |_, list| list.each.with_index(1).map { |story, number| [story.id, number] } }.to_h
      end

      def exceptions
        @check.granted.map do |one|
          {rule: one.rule, because: one.because, by: one.granted["by"], on: one.granted["on"],
           indexes: one.findings.filter_map { |finding| places[finding.paragraph] }.uniq, count: one.findings.size}
        end
      end

      def unchecked
        @check.unchecked.map do |entry|
          indexes = entry.paragraphs.filter_map { |id| places[id] }
          {rule: entry.rule, why: entry.why, **(indexes.any? ? {indexes:} : {})}
        end
      end
    end
  end
end
