# frozen_string_literal: true

module Norvel
  module Formats
    module PlainText
      # Plain text to Markup::Text: paragraphs by blank lines, or by lines where there are none; lines that were
      # broken by hand are joined; titles that are underlined, and lists that are typed, are what they look like.
      class Reader
        UNDERLINED = /\A(?:={3,}|-{3,}|~{3,}|\*{3,})\s*\z/
        BLANK = /^[ \t]+$/
        MAJOR = /\A[=*]/
        BULLET = /\A\s{0,6}[-*•–]\s+(?=\S)/
        NUMBER = /\A\s{0,6}\(?(\d{1,3})[.)]\s+(?=\S)/
        WRAPPED = 40..100 # characters a line that was broken by hand is long: common practice

        # The Markup::Text of the source.
        def self.text(source)
          new(source).text
        end

        def initialize(source)
          text = source.delete_prefix("\uFEFF").gsub(/\r\n?/, "\n").tr("\f\v", "\n").gsub(BLANK, "")
          lines = text.gsub(/\n{3,}/, "\n\n").split("\n", -1).each { |line| Document.refuse_longer(line.size) }
          @lines = lines.map { |line| Characters.typed(line.rstrip) }
          @keys = 0
        end

        # The Markup::Text of the source.
        def text
          made = groups.flat_map { |lines| blocks(lines) }.freeze
          Markup.refuse_more(made.size)
          Markup::Text.new(blocks: made)
        end

        private

        # Lines that belong together. Without blank lines each is a paragraph, unless they are broken by hand.
        def groups
          parted = @lines.chunk_while { |one, other| one.empty? == other.empty? }.reject { |lines| lines.first.empty? }
          return parted if parted.size > 1 || wrapped?(parted.first || [])
          parted.flatten.zip
        end

        # All but the last about as long as a page is wide.
        def wrapped?(lines)
          lines.size > 1 && lines[0..-2].all? { |line| WRAPPED.cover?(line.size) } &&
            lines[0..-2].map(&:size).minmax.then { |least, most| most - least <= 25 }
        end

        # Underlined titles at the begin, and what follows them.
        def blocks(lines)
          titles = (0...lines.size).step(2).take_while { |at| UNDERLINED.match?(lines[at + 1].to_s) }
          rest = lines.drop(titles.size * 2)
          titles.map { |at| heading(lines[at], lines[at + 1]) } + (rest.empty? ? [] : untitled(rest))
        end

        def untitled(lines)
          return list(lines) if [BULLET, NUMBER].any? { |mark| mark.match?(lines.first) } && listed?(lines)
          return [paragraph("body", lines.map(&:strip).join(" "))] if joined?(lines)
          lines.map { |line| paragraph("body", line.strip) }
        end

        def heading(line, below)
          paragraph(below.match?(MAJOR) ? "heading_1" : "heading_2", line.strip)
        end

        # Lines between blank ones are one paragraph, but for short ones that are meant as lines, like an address.
        def joined?(lines)
          lines.size == 1 || wrapped?(lines) || lines[0..-2].sum(&:size) / (lines.size - 1) >= WRAPPED.min
        end

        # A list begins every entry alike; other lines go on with the one above.
        def listed?(lines)
          mark = BULLET.match?(lines.first) ? BULLET : NUMBER
          starts = lines.select { |line| mark.match?(line) }
          return false unless starts.size > 1 || mark == BULLET || lines.size == 1
          mark == BULLET || counted?(starts)
        end

        def counted?(starts)
          numbers = starts.map { |line| line[NUMBER, 1].to_i }
          numbers.each_cons(2).all? { |one, other| other == one + 1 }
        end

        def list(lines)
          ordered = !BULLET.match?(lines.first)
          mark = ordered ? NUMBER : BULLET
          key = number_of_list(lines, ordered)
          start = ordered ? lines.first[NUMBER, 1].to_i : 1
          lines.slice_before { |line| mark.match?(line) }.map do |entry|
            words = entry.map.with_index { |line, index| index.zero? ? line.sub(mark, "") : line.strip }.join(" ")
            place = Markup::ListPlace.new(key:, ordered:, start:)
            paragraph("list_item", words, place)
          end
        end

        # Entries with a blank line between them go on with the list before.
        def number_of_list(lines, ordered)
          first = ordered ? lines.first[NUMBER, 1].to_i : nil
          goes_on = ordered ? @next == first && first > 1 : @next == :bullet
          @keys += 1 unless goes_on
          @next = ordered ? lines.reverse.filter_map { |line| line[NUMBER, 1] }.first.to_i + 1 : nil
          @keys
        end

        def paragraph(role, words, place = nil)
          Markup::Block.new(role:, pieces: [Markup::Piece.new(text: words.gsub(/\s+/, " "))].freeze, place:)
        end
      end
    end
  end
end
