# frozen_string_literal: true

module Norvel
  module Layout
    # A document laid out: its sheets, and what follows from them.
    class Result
      attr_reader :document, :sheets, :stories, :running_titles

      # rounds: how often it was laid out until fields in the text said what they should
      def initialize(document, sheets, stories, heads, values, rounds: 1)
        @document, @sheets, @stories, @heads, @values, @rounds = document, sheets, stories, heads, values, rounds
        @settled = true
        @running_titles = {}
      end

      attr_reader :values, :rounds

      # Did the fields in the text come to rest, so that labels are right?
      def settled?
        @settled
      end

      # The same, of fields that never came to rest.
      def unsettled
        @settled = false
        self
      end

      # Heads and feet of a sheet: [[story, x, y, Column], …]
      def heads(sheet)
        @heads.on(sheet, self)
      end

      # Which heads and feet a sheet shows, as Story.
      def running(sheet)
        @heads.stories(sheet)
      end

      # The first sheet that a paragraph stands on, by its id; nil for one that stands nowhere (hidden, or beside).
      def sheet_of(id)
        (page = first_pages[id]) && sheets[page]
      end

      # The sheets that a paragraph stands on.
      def sheets_of(id)
        first = first_pages[id] or return []
        sheets[first..].take_while.with_index { |sheet, n| n.zero? || sheet.paragraphs.first&.id == id || sheet.blank }
          .reject(&:blank)
      end

      # How many sheets a section takes, by its number.
      def sheets_of_section(number)
        (@sheets_of_sections ||= sheets.map(&:section).tally)[number]
      end

      # The label of the page where a paragraph begins.
      def label_of(id)
        sheet_of(id)&.label
      end

      # Sheets with this label, in order.
      def labelled(label)
        sheets.select { |sheet| sheet.label.casecmp?(label.strip) }
      end

      # The labels of its sheets, from the first to the last of each counting: ["i–vi", "1–68"]
      def labels
        form = ->(sheet) { document.sections[sheet.section - 1]&.number_format }
        sheets.slice_when { |was, now| now.number != was.number + 1 || form[was] != form[now] }
          .map { |run| [run.first.label, run.last.label].uniq.join("–") }
      end

      # Headings with their labels.
      def contents
        @contents ||= Contents.new(self).entries
      end

      # What is an estimate, in sentences.
      def estimates
        @estimates ||= Estimates.new(self).sentences
      end

      # Are some of a sheet's line ends estimates?
      def estimated?(sheet)
        @estimating ||= Estimates.new(self)
        found = []
        sheet.bands.each { |_, _, column| Placing.blocks(column) { |block| found << block } }
        @estimating.any?(found)
      end

      def inspect
        "#<Result #{document.name}: #{sheets.size} sheets>"
      end

      private

      def first_pages
        @first_pages ||= sheets.each_with_index.with_object({}) do |(sheet, number), found|
          sheet.paragraphs.each { |paragraph| found[paragraph.id] ||= number }
        end
      end
    end
  end
end
