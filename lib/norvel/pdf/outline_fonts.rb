# frozen_string_literal: true

module Norvel
  module Pdf
    # Fonts whose outlines are of the kind CFF (Adobe Technical Note 5176), as a file holds them: the font as it is with
    # the outlines that are not shown emptied, its glyphs called by their numbers (ISO 32000-1 9.7.4.2). The libraries'
    # own subsets name glyphs wrongly: signs outside of their first encoding came out as others.
    module OutlineFonts
      CHARSTRINGS = 17 # the operator of a top dictionary that says where they stand (table 9)
      EMPTY = "\x0E".b # endchar (Technical Note 5177, 4.6)
      HEAD = <<~CMAP
        /CIDInit /ProcSet findresource begin
        12 dict begin
        begincmap
        /CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def
        /CMapName /Adobe-Identity-UCS def
        /CMapType 2 def
        1 begincodespacerange
        <0000> <FFFF>
        endcodespacerange
      CMAP
      FOOT = <<~CMAP
        endcmap
        CMapName currentdict /CMap defineresource pop
        end
        end
      CMAP
      IDENTITY = {Registry: "Adobe", Ordering: "Identity", Supplement: 0}.freeze

      # The bytes of a CFF table with the outlines of these glyphs alone; glyph 0 stays.
      #   source: TTFunk::File; glyphs: numbers
      def self.outlines(source, glyphs)
        table = source.directory.tables["CFF "]
        bytes = source.contents.string.byteslice(table[:offset], table[:length]).b
        place = source.cff.top_index[0][CHARSTRINGS].first
        count, wide = bytes.byteslice(place, 3).unpack("nC")
        offsets = bytes.byteslice(place + 3, (count + 1) * wide).unpack("a#{wide}" * (count + 1))
          .map { |one| one.rjust(4, "\0").unpack1("N") }
        data = place + 2 + ((count + 1) * wide)
        kept = [0, *glyphs].to_h { |glyph| [glyph, true] }
        offsets.each_cons(2).with_index do |(from, to), glyph|
          bytes[data + from, to - from] = EMPTY * (to - from) unless kept[glyph]
        end
        bytes
      end

      # The text in codes of the subset: [[subset, codes], …].
      def encode_text(text, options = {})
        text.each_char { |character| (@shown ||= {})[unicode_glyph(character)] ||= character }
        super
      end

      private

      def unicode_glyph(character)
        @ttf.cmap.unicode.first[character.ord] || 0
      end

      def embed_full_font(reference)
        name = tagged
        child = @document.ref!(Type: :Font, Subtype: :CIDFontType0, BaseFont: name, CIDSystemInfo: IDENTITY,
          FontDescriptor: @document.ref!(descriptor(name)), W: @document.ref!(shown_widths))
        reference.data.update(Subtype: :Type0, BaseFont: name, Encoding: :"Identity-H", DescendantFonts: [child],
          ToUnicode: stream(HEAD + characters + FOOT))
      end

      # Six capitals tell subsets of a font apart (ISO 32000-1 9.6.4).
      def tagged
        tag = Digest::SHA256.hexdigest(@shown.keys.sort.join(" "))[0, 6].tr("0-9a-f", "A-P")
        :"#{tag}+#{@ttf.name.postscript_name.delete("\0")}"
      end

      def descriptor(name)
        outlines = stream(OutlineFonts.outlines(@ttf, @shown.keys), Subtype: :CIDFontType0C)
        {Type: :FontDescriptor, FontName: name, FontBBox: bbox, Flags: pdf_flags, StemV: stem_v,
         ItalicAngle: italic_angle, Ascent: @ascender, Descent: @descender, CapHeight: cap_height, XHeight: x_height,
         FontFile3: outlines}
      end

      def shown_widths
        [0, *@shown.keys].uniq.sort.flat_map { |glyph| [glyph, [(hmtx.widths[glyph] * scale_factor).round]] }
      end

      def characters
        @shown.reject { |glyph, _| glyph.zero? }.sort.each_slice(100).map { |glyphs|
          lines = glyphs.map { |glyph, character|
            format("<%04X> <%s>\n", glyph, character.encode("UTF-16BE").unpack1("H*"))
          }
          "#{glyphs.size} beginbfchar\n#{lines.join}endbfchar\n"
        }.join
      end

      def stream(bytes, **data)
        made = @document.ref!(data)
        made.stream << bytes
        made.stream.compress! if @document.compression_enabled?
        made
      end
    end
  end
end
