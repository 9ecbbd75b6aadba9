# frozen_string_literal: true

module Norvel
  module Layout
    # The pair kerning of a font (ISO/IEC 14496-22 GPOS, lookup type 2 by the feature kern of the default script): by
    # how much a glyph moves nearer to the next, in font units. Only what letters side by side do to each other.
    class Kerning
      SCRIPTS = %w[latn DFLT].freeze
      PAIRS, EXTENSION = 2, 9
      ADVANCE = 0x0004 # of a value record: the horizontal advance

      # table: the bytes of GPOS, nil where a font has none
      def initialize(table)
        @data = table
        @known = {}
      end

      # By how much, in font units, mostly less than nothing. left, right: numbers of glyphs
      def between(left, right)
        @known[(left << 16) | right] ||= subtables.sum do |lookup|
          lookup.lazy.filter_map { |subtable| value(subtable, left, right) }.first || 0
        end
      end

      private

      def word(at)
        (@data.getbyte(at) << 8) | @data.getbyte(at + 1)
      end

      def signed(at)
        number = word(at)
        (number > 0x7FFF) ? number - 0x10000 : number
      end

      def long(at)
        (word(at) << 16) | word(at + 2)
      end

      def tag(at)
        @data.byteslice(at, 4)
      end

      # Where the subtables of pairs begin, lookup by lookup: all lookups speak, in each the first that knows the pair.
      def subtables
        @subtables ||= @data ? lookups.map { |at| pairs_of(at) } : []
      end

      def lookups
        list = word(8)
        features.uniq.sort.map { |index| list + word(list + 2 + (index * 2)) }
      end

      # Numbers of the lookups that the feature kern names.
      def features
        language = default_language or return []
        list = word(6)
        count = word(language + 4)
        (0...count).flat_map do |n|
          record = list + 2 + (word(language + 6 + (n * 2)) * 6)
          next [] unless tag(record) == "kern"
          feature = list + word(record + 4)
          (0...word(feature + 2)).map { |index| word(feature + 4 + (index * 2)) }
        end
      end

      def default_language
        list = word(4)
        scripts = (0...word(list)).to_h { |n| [tag(list + 2 + (n * 6)), list + word(list + 6 + (n * 6))] }
        script = scripts.values_at(*SCRIPTS).compact.first or return
        offset = word(script)
        script + offset unless offset.zero?
      end

      def pairs_of(lookup)
        kind = word(lookup)
        (0...word(lookup + 4)).filter_map do |n|
          at = lookup + word(lookup + 6 + (n * 2))
          kind, at = word(at + 2), at + long(at + 4) if kind == EXTENSION || extension?(lookup)
          at if kind == PAIRS
        end
      end

      def extension?(lookup)
        word(lookup) == EXTENSION
      end

      # What a subtable says of a pair; nil where it says nothing.
      def value(at, left, right)
        index = coverage(at + word(at + 2), left) or return
        formats = [word(at + 4), word(at + 6)]
        (word(at) == 1) ? by_glyph(at, index, right, formats) : by_class(at, left, right, formats)
      end

      def size(format)
        format.digits(2).sum * 2
      end

      # The horizontal advance in a value record; 0 where it holds none.
      def advance(at, format)
        return 0 unless format.anybits?(ADVANCE)
        signed(at + size(format & (ADVANCE - 1)))
      end

      def by_glyph(at, index, right, formats)
        set = at + word(at + 10 + (index * 2))
        length = 2 + formats.sum { |format| size(format) }
        count = word(set)
        found = (0...count).bsearch { |n| word(set + 2 + (n * length)) >= right } or return
        record = set + 2 + (found * length)
        advance(record + 2, formats[0]) if word(record) == right
      end

      def by_class(at, left, right, formats)
        one, other = glyph_class(at + word(at + 8), left), glyph_class(at + word(at + 10), right)
        length = formats.sum { |format| size(format) }
        return if one >= word(at + 12) || other >= word(at + 14)
        advance(at + 16 + (((one * word(at + 14)) + other) * length), formats[0])
      end

      # The place of a glyph among those that a subtable is about, nil for none.
      def coverage(at, glyph)
        count = word(at + 2)
        if word(at) == 1
          found = (0...count).bsearch { |n| word(at + 4 + (n * 2)) >= glyph }
          return (found if found && word(at + 4 + (found * 2)) == glyph)
        end
        range = range_of(at + 4, count, glyph) or return
        word(range + 4) + glyph - word(range)
      end

      def glyph_class(at, glyph)
        if word(at) == 1
          place = glyph - word(at + 2)
          return place.between?(0, word(at + 4) - 1) ? word(at + 6 + (place * 2)) : 0
        end
        range = range_of(at + 4, word(at + 2), glyph)
        range ? word(range + 4) : 0
      end

      # The record of a range of glyphs, each of six bytes.
      def range_of(at, count, glyph)
        found = (0...count).bsearch { |n| word(at + (n * 6) + 2) >= glyph } or return
        record = at + (found * 6)
        record if word(record) <= glyph
      end
    end
  end
end
