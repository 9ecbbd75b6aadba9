# frozen_string_literal: true

module Norvel
  module Layout
    # What a font file says of its letters, as frozen values, in font units: from head, hhea, hmtx and cmap, with the
    # GPOS table as it stands (ISO/IEC 14496-22).
    #   units     to the em; ascent, gap: positive; descent: negative
    #   glyphs    {code point => number of its glyph}; advances: by glyph
    #   pairs     bytes of the GPOS table, nil where there is none
    FontFile = Value.define(:units, :ascent, :descent, :gap, :glyphs, :advances, :pairs) do
      # The last advance holds for all glyphs after it (hmtx, numberOfHMetrics).
      def advance(glyph)
        advances[glyph] || advances.last
      end

      class << self
        # The metrics of the font in a file.
        def read(path)
          require "ttfunk"
          file = TTFunk::File.open(path)
          head = file.horizontal_header
          new(units: file.header.units_per_em, ascent: head.ascent, descent: head.descent, gap: head.line_gap,
            glyphs: file.cmap.unicode.first.code_map.freeze,
            advances: file.horizontal_metrics.metrics.map(&:advance_width).freeze, pairs: pairs(file))
        end

        private

        def pairs(file)
          table = file.directory.tables["GPOS"]
          table && file.contents.string.byteslice(table[:offset], table[:length]).freeze
        end
      end
    end
  end
end
