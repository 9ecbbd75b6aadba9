# frozen_string_literal: true

module Norvel
  module Layout
    # One font file with its metrics, in ems: what a line of it takes and what each character takes. Read from hhea,
    # hmtx and cmap (ISO/IEC 14496-22); nothing is read before it is asked for.
    class Face
      # How often letters stand in running text, of 1000 (English prose, from memory of the usual tables; spaces
      # included). A mean over them is the width of an average character.
      FREQUENCIES = {
        " " => 180, "e" => 104, "t" => 74, "a" => 67, "o" => 62, "i" => 57, "n" => 57, "s" => 52, "h" => 50, "r" => 49,
        "d" => 35,
        "l" => 33, "u" => 23, "c" => 23, "m" => 20, "w" => 19, "f" => 18, "g" => 16, "y" => 16, "p" => 16, "b" => 12,
        "v" => 8, "k" => 6
      }.freeze

      def initialize(path)
        @path = path
        @advances = {}
        @guard = Mutex.new
      end

      # From the baseline up, and from it down, both positive; what the font wants between lines.
      def ascent
        header.ascent.fdiv(units)
      end

      def descent
        -header.descent.fdiv(units)
      end

      def gap
        header.line_gap.fdiv(units)
      end

      # A line set single: ascent, descent and gap.
      def line_height
        @line_height ||= ascent + descent + gap
      end

      # The width of a character; that of a missing one is the font's own sign for it.
      def advance(character)
        @advances[character] || @guard.synchronize { @advances[character] ||= measured(character) }
      end

      # The width of a text without kerning.
      def width(text)
        text.each_char.sum { |character| advance(character) }
      end

      # The width of an average character of running text.
      def average
        @average ||= FREQUENCIES.sum { |character, times| advance(character) * times } / FREQUENCIES.values.sum
      end

      private

      def measured(character)
        glyph = (@map ||= file.cmap.unicode.first)[character.ord]
        file.horizontal_metrics.for(glyph || 0).advance_width.fdiv(units)
      end

      def header
        file.horizontal_header
      end

      def units
        @units ||= file.header.units_per_em
      end

      def file
        @file ||= begin
          require "ttfunk"
          TTFunk::File.open(@path)
        end
      end
    end
  end
end
