# frozen_string_literal: true

module Norvel
  module CLI
    # The laid-out pages: labels, sections, lines, and why each page ended where it did.
    class Pages < Command
      USAGE = "pages FILE [--json]"

      private

      def options(parser)
        json_option(parser)
      end

      def perform
        document = read(positional(1))
        pages = Layout.of(document)
        @options[:json] ? @out.puts(Report::Pages.new(pages).to_json) : text(pages)
        0
      end

      def text(pages)
        pages.sheets.each do |sheet|
          first = sheet.paragraphs.first&.text.to_s[0, 50].tr("\n\t", "  ")
          said = sheet.blank ? "blank" : "#{sheet.each_line.count} lines"
          @out.puts [sheet.page, sheet.label, "section #{sheet.section}", said, sheet.ended_by, first].join("\t")
        end
        pages.estimates.each { |sentence| @out.puts "  #{sentence}" }
      end
    end
  end
end
