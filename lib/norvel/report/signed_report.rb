# frozen_string_literal: true

require "date"

module Norvel
  module Report
    # What a document is, what it was held against, what became of it and what proves its words: plain data of the page
    # that a supervisor signs and an office files.
    class SignedReport
      # A change of the ledger: title; kinds: what a bulk change did, in sentences; on: a Date
      Made = Value.define(:title, :kinds, :on, kinds: [].freeze)

      # check: a Guide::Check of the document, its pages worked out; file: its name; first: the document as it came, nil
      # where nothing was changed; changes: [Made, …] in order; on: a Date; file_digest: of the file, where it is known
      def initialize(check, file:, first: nil, changes: [], on: Date.today, file_digest: nil)
        @check = check
        @document = check.document
        @file = file
        @first = first || @document
        @changes = changes
        @on = on
        @file_digest = file_digest
      end

      # Everything as plain values; places are told by page and line.
      def to_h
        {file: @file, format: @document.format, on: @on.iso8601, **described, **judged, pages:, fonts:,
         changes: @changes.map { |one| {title: one.title, kinds: one.kinds, on: one.on.iso8601} }, seal:}
      end

      private

      def described
        info = @document.info
        {title: info[:title], author: info[:author], language: info[:language], words: @document.word_count,
         objects: Seal.of(@document).counts}
      end

      def judged
        plain = CheckReport.new(@check).to_h
        {**plain.slice(:guide, :meets, :counts, :exceptions, :unchecked), edition: @check.guide.data["edition"]&.to_s,
                                                                          fault: @check.fault, topics:, left:}
      end

      # [{topic:, asked:, met:, unchecked:, open:}, …]: rules by topic, and how many findings are open.
      def topics
        found = @check.findings.group_by(&:rule)
        unknown = @check.unchecked.map(&:rule)
        by_topic = (@check.rules_asked.uniq - unknown).group_by { |rule| Guide::RuleTopics.of(rule) }
        apart = unknown.uniq.group_by { |rule| Guide::RuleTopics.of(rule) }
        Guide::RuleTopics.words.filter_map do |topic, words|
          rules, unjudged = by_topic.fetch(topic, []), apart.fetch(topic, [])
          next if rules.empty? && unjudged.empty?
          {topic: words, asked: rules.size + unjudged.size, met: rules.count { |rule| !found.key?(rule) },
           unchecked: unjudged.size, open: rules.sum { |rule| found.fetch(rule, []).size }}
        end
      end

      # [{severity:, rule:, message:, cite:, count:, places: ["page 3, line 12", …]}, …] by cause, worst first.
      def left
        @check.groups.map do |group|
          {severity: group.severity, rule: group.rule, message: group.first.message, cite: group.first.cite,
           count: group.size, places: group.findings.filter_map { |one| where(one) }.uniq}
        end
      end

      def where(finding)
        at = lines[finding.paragraph]
        return at if at
        page = @check.page(finding) or return
        "page #{layout.sheets[page - 1].label}"
      end

      # Where each paragraph begins: {id => "page 3, line 12"}
      def lines
        @lines ||= (layout&.sheets || []).each_with_object({}) do |sheet, found|
          sheet.lines.each_with_index do |line, index|
            id = line.block.paragraph&.id
            found[id] ||= "page #{sheet.label}, line #{index + 1}" if id
          end
        end
      end

      def layout
        Layout.pages(@document)
      end

      # {count:, labels: ["i–vi", "1–68"], size: "A4"}, nil where pages can't be worked out.
      def pages
        return unless layout
        section = @document.sections.first
        {count: layout.sheets.size, labels: layout.labels,
         size: PaperSizes.name_of(section.width, section.height, 1.0)}
      end

      # [{font:, words:, set_in:}, …], most words first. set_in: what it is measured in where it does not ship
      def fonts
        counts = Hash.new(0)
        @document.working.each do |paragraph|
          paragraph.letters.each { |run| counts[@document.run_look(run, paragraph)[:font]] += run.words.split.size }
        end
        counts.reject { |font, count| font.nil? || count.zero? }.sort_by { |_, count| -count }.map do |font, words|
          family = ShippedFonts.stand_in(font).family
          {font:, words:, set_in: (family unless family.casecmp?(font))}
        end
      end

      def seal
        parts = SealParts.new(@first, @document)
        {text_digest: "sha256:#{Seal.of(@document).words}", text_digest_before: "sha256:#{Seal.of(@first).words}",
         file_digest: @file_digest, words_unchanged: Seal.of(@document).same_words?(Seal.of(@first)),
         parts: parts.parts.map(&:to_h), white_space: parts.spaces.map(&:to_h)}
      end
    end
  end
end
