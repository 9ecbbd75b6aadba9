# frozen_string_literal: true

module Norvel
  module Layout
    # One font file with its metrics, in ems: what a line of it takes and what each character takes. The file is read
    # once, whole, into plain values; from then on nothing is guarded, since two threads that measure the same character
    # come to the same width.
    class Face
      # How often letters stand in running text, of 1000 (English prose, from memory of the usual tables; spaces
      # included). A mean over them is the width of an average character.
      FREQUENCIES = {
        " " => 180, "e" => 104, "t" => 74, "a" => 67, "o" => 62, "i" => 57, "n" => 57, "s" => 52, "h" => 50, "r" => 49,
        "d" => 35,
        "l" => 33, "u" => 23, "c" => 23, "m" => 20, "w" => 19, "f" => 18, "g" => 16, "y" => 16, "p" => 16, "b" => 12,
        "v" => 8, "k" => 6
      }.freeze

      MOST_WORDS = 60_000 # kept at a time
      UNSEEN = /[\u00AD\u200B-\u200F\u2028-\u202E\u2060-\u2064\uFEFF\p{Cc}]/ # format characters take no room
      TWINS = {"\u2011" => "-", "\u2010" => "-", "\u00A0" => " ", "\u202F" => "\u2009", "\u2009" => " "}.freeze
      SQUARE = %i[ID IX EB EM OW CW NS H2 H3].to_h { |name| [name, true] }.freeze

      # Its file's name.
      attr_reader :name

      def initialize(path)
        @path = path
        @name = File.basename(path)
        @advances = {}
        @words = {}
        @kerned = {}
        @measure = method(:width)
      end

      # From the baseline up, and from it down, both positive; what the font wants between lines.
      def ascent
        metrics.ascent.fdiv(metrics.units)
      end

      # Below the base line, of one em.
      def descent
        -metrics.descent.fdiv(metrics.units)
      end

      # Between lines, of one em.
      def gap
        metrics.gap.fdiv(metrics.units)
      end

      # A line set single: ascent, descent and gap.
      def line_height
        @line_height ||= ascent + descent + gap
      end

      # The width of a character; of one that it lacks, what it takes in the next face that ships with it.
      def advance(character)
        @advances[character] ||= measured(character)
      end

      # Is there a glyph for it?
      def has?(character)
        !glyph(character).zero?
      end

      # A Word of this face, measured once.
      def word(text)
        @words[text] || learn(text)
      end

      # The same with its letters kerned.
      def kerned(text)
        @kerned[text] || begin
          @kerned = {} if @kerned.size >= MOST_WORDS
          @kerned[text] = Word.new(text, method(:kerned_width))
        end
      end

      # The width of a text with pair kerning.
      def kerned_width(text)
        width(text) + text.each_char.each_cons(2).sum { |left, right| kern(left, right) }.fdiv(metrics.units)
      end

      # The width of a text without kerning.
      def width(text)
        Arabic.shaped(text).each_char.sum { |character| advance(character) }
      end

      # The width of an average character of running text.
      def average
        @average ||= FREQUENCIES.sum { |character, times| advance(character) * times } / FREQUENCIES.values.sum
      end

      private

      def learn(text)
        @words = {} if @words.size >= MOST_WORDS
        @words[text] = Word.new(text, @measure)
      end

      def kern(left, right)
        (@kerning ||= Kerning.new(metrics.pairs)).between(glyph(left), glyph(right))
      end

      def measured(character)
        return 0.0 if UNSEEN.match?(character)
        own = glyph(character)
        return metrics.advance(own).fdiv(metrics.units) unless own.zero?
        other = TWINS[character] and return advance(other)
        face = Fonts.face_with(character, self)
        face ? face.advance(character) : guessed(character)
      end

      # What no face that ships has: an em for what stands in a square, nothing for marks, a letter's width else.
      def guessed(character)
        return 1.0 if SQUARE.key?(LineBreak.of(character))
        (LineBreak.of(character) == :CM) ? 0.0 : 0.55
      end

      def glyph(character)
        metrics.glyphs[character.ord] || 0
      end

      def metrics
        @metrics ||= FontFile.read(@path)
      end
    end
  end
end
