# frozen_string_literal: true

module Norvel
  module Structure
    # A contents list that was typed: entries in a row that no field makes.
    class TypedContents
      LEAST = 2 # entries that make a list
      LONGEST = 300 # letters of an entry
      END_OF_IT = 6 # letters that are looked at first
      PAGED = /[0-9ivxlc]\s*\z/i # how an entry ends that says its page
      LEADER = /(?:[.\u2026·]\s*){3,}/ # dots that were typed

      # paragraphs: its entries; levels: how deep it lists, as far as they are headings; whole: is every entry a heading
      # of the document, and every heading of those levels an entry, in their order?
      List = Value.define(:paragraphs, :levels, :whole)

      def initialize(document)
        @document = document
      end

      # [List, …] in reading order.
      def lists
        @lists ||= rows.filter_map { |row| list(row) }
      end

      # What an entry says, without dots and page.
      def self.words(text)
        plain = ContentsLists.plain(text.gsub(LEADER, "\t"))
        plain.sub(/(?:\s|\A)(?:[0-9]{1,4}|[ivxlc]{1,7})\z/i, "").strip
      end

      private

      # Stretches of entries outside of fields.
      def rows
        made = ContentsLists.in(@document).flat_map { |one| (one.first..one.last).to_a }.to_h { |place| [place, true] }
        places = @document.paragraphs.each_index.select { |place| !made[place] && entry?(@document.paragraphs[place]) }
        stretches = places.slice_when { |one, other| other != one + 1 }
        stretches.map { |row| row.map { |place| @document.paragraphs[place] } }.select { |row| row.size >= LEAST }
      end

      def entry?(paragraph)
        return false if paragraph.container || paragraph.blank?
        Survey.role(@document, paragraph) == "contents_entry" || names_heading?(paragraph)
      end

      # The words of a heading with a page behind them.
      def names_heading?(paragraph)
        text = paragraph.text
        return false if text.size > LONGEST || !PAGED.match?(text[-END_OF_IT..] || text)
        words = TypedContents.words(paragraph.text)
        words != ContentsLists.plain(paragraph.text) && by_words.key?(words.downcase)
      end

      # Only what names headings is one.
      def list(row)
        said = row.map { |paragraph| TypedContents.words(paragraph.text) }
        levels = said.filter_map { |words| by_words[words.downcase] }
        return if levels.size < LEAST
        deepest = levels.max
        wanted = headings.select { |level, _| level <= deepest }.map { |_, words| words.downcase }
        List.new(paragraphs: row, levels: deepest, whole: said.map(&:downcase) == wanted)
      end

      # [[level, words], …] of the headings in their order.
      def headings
        @headings ||= @document.paragraphs.filter_map do |paragraph|
          level = @document.heading_level(paragraph)
          marker = @document.markers[paragraph.id].to_s
          [level, ContentsLists.plain([marker, paragraph.text].join(" "))] if level.positive? && !paragraph.blank?
        end
      end

      def by_words
        @by_words ||= headings.to_h { |level, words| [words.downcase, level] }
      end
    end
  end
end
