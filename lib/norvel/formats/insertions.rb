# frozen_string_literal: true

module Norvel
  module Formats
    # What was inserted while changes were tracked and nobody took or refused (ISO/IEC 29500-1 17.13.5.18 ins; ISO/IEC
    # 26300-1 5.5.7.3 text:insertion): the text holds it, and where it stands can be shown.
    class Insertions
      # document: as its file has it, or changed since
      def initialize(document)
        nodes, came = Formats[document.format].tracked&.call(document)
        @found = (nodes || []).each_with_index.with_object({}) do |(words, place), found|
          ranges = ranges(words, raw = came[place].raw_text)
          found[place] = [raw, ranges] if ranges.any?
        end
      end

      # Is there any?
      def any?
        @found.any?
      end

      # [[from, to], …] of the letters of a paragraph that were inserted; none of one whose words are others now.
      def in(paragraph)
        raw, ranges = @found[paragraph.source]
        (raw && raw == paragraph.raw_text) ? ranges : []
      end

      # Was anything in a line inserted? line: Layout::Placed
      def in?(line)
        ranges = self.in(line.block.paragraph)
        return false if ranges.empty?
        items, set = line.block.set_items, line.block.lines[line.line]
        return false if set.to < set.from
        first, last = items.starts[set.from], items.starts[set.to] + items.sizes[set.to]
        ranges.any? { |from, to| from < last && to > first }
      end

      private

      # words: [[text, was it inserted?], …] of a paragraph, in order
      def ranges(words, raw)
        at = 0
        words.filter_map do |text, inserted|
          from = raw.index(text, at) or next
          at = from + text.size
          [from, at] if inserted
        end
      end
    end
  end
end
