# frozen_string_literal: true

module Norvel
  module Report
    # Pages as the command line's JSON tells them (docs/command-line.md): lengths in points to 0.01.
    class Pages
      ENDINGS = Hash.new { |_, reason| reason.to_s }.merge(column_break: "page_break").freeze

      def initialize(result)
        @result = result
        @places = result.document.paragraphs.each.with_index(1).to_h { |paragraph, index| [paragraph.id, index] }
      end

      # The pages as the command line tells them.
      def to_json
        JSON.generate(to_h)
      end

      # As a Hash of plain values.
      def to_h
        {pages: @result.sheets.map { |sheet| page(sheet) }, contents: @result.contents.map { |entry| entry(entry) },
         settled: @result.settled?, estimates: @result.estimates}
      end

      private

      def page(sheet)
        indexes = sheet.paragraphs.filter_map { |paragraph| @places[paragraph.id] }
        {page: sheet.page, label: sheet.label, section: sheet.section, side: sheet.side, blank: sheet.blank,
         first_index: indexes.min, last_index: indexes.max, ended_by: ENDINGS[sheet.ended_by],
         lines: sheet.each_line.reject { |line| line.block.beside? }.map { |line| line(line) }}
      end

      def line(line)
        {index: @places[line.block.paragraph.id], line: line.line + 1, text: line.text, x_pt: line.left.round(2),
         baseline_pt: line.baseline.round(2), width_pt: line.width.round(2)}
      end

      def entry(entry)
        {index: entry.index, level: entry.level, text: entry.text, label: entry.label}
      end
    end
  end
end
