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
        told = plain.slice(:guide, :meets, :counts, :exceptions, :unchecked)
        {**told, edition: @check.guide.data["edition"]&.to_s, fault: @check.fault, topics:, left:}
      end

      # [{topic:, asked:, met:, broken:, open:}, …]: rules by topic, those that hold and those that don't; how many
      # findings are open. What is neither could not be checked.
      def topics
        found = @check.findings.group_by(&:rule)
        by_topic = @check.rules_asked.group_by { |rule| Guide::RuleTopics.of(rule) }
        Guide::RuleTopics.words.filter_map do |topic, words|
          rules = by_topic[topic] or next
          {topic: words, asked: rules.size, met: (rules & @check.rules_met).size, broken: (rules & found.keys).size,
           open: found.slice(*rules).values.sum(&:size)}
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
        at = lines[finding.paragraph] || beside(finding.paragraph)
        return at if at
        page = @check.page(finding) or return
        "page #{layout.sheets[page - 1].label}"
      end

      # "in the footnotes" of a paragraph beside the text.
      def beside(id)
        story = id && @document.story_of(id)
        "in the #{SealParts::BESIDE.fetch(story.kind)}" if story
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

      # [{font:, share:, set_in:}, …], of most letters first. share: of all letters, from 0 to 1; set_in: what it is
      # measured in where it does not ship
      def fonts
        counts = letters_by_font
        counts.sort_by { |_, count| -count }.map do |font, count|
          family = ShippedFonts.stand_in(font).family
          {font:, share: count.fdiv(counts.values.sum).round(4), set_in: (family unless family.casecmp?(font))}
        end
      end

      def letters_by_font
        counts = Hash.new(0)
        @document.working.each do |paragraph|
          paragraph.letters.each do |run|
            counts[@document.run_look(run, paragraph)[:font]] += run.words.count("^ \t\n")
          end
        end
        counts.reject { |font, count| font.nil? || count.zero? }
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
