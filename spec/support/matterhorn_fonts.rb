# frozen_string_literal: true

require "ttfunk"

# Checkpoints 10, 17-003 and 31 of the Matterhorn Protocol: fonts, their glyphs and what they are in Unicode, judged on
# what is shown of them in the pages. TrueType is read by ttfunk; of CFF the outlines are counted here.
class MatterhornFonts
  SHOWN = %r{/(\S+)\s+[\d.]+\s+Tf|<([0-9A-Fa-f]+)>\s*Tj|\[((?:<[0-9A-Fa-f]*>|[-\d.\s])*)\]\s*TJ}m
  NEVER = %w[31-001 31-002 31-003 31-006 31-007 31-008].freeze # encodings but Identity, which is none of a file's own
  SYMBOLIC = 4 # a flag of a descriptor (ISO 32000-1 9.8.2)
  SHIPPED = Dir["public/fonts/*.{ttf,otf}"].to_h { |path| [TTFunk::File.open(path).name.postscript_name.to_s, path] }

  # A font as it is shown: its dictionary, that of its descendant or itself, and the codes.
  Shown = Struct.new(:font, :inner, :codes)

  # judge: Matterhorn
  def initialize(judge)
    @judge = judge
    @shown = shown
  end

  def failures
    of = @shown.to_h { |one| [one, faults(one)] }
    numbers = of.values.flat_map(&:keys).uniq | NEVER
    numbers.to_h { |number| [number, of.filter_map { |one, found| name(one) if found[number] }] }
  end

  private

  def at(value) = @judge.at(value)

  def name(one) = one.font["/BaseFont"]

  def shown
    found = {}
    @judge.painted_pages.each do |bytes, fonts|
      font = nil
      bytes.scan(SHOWN) do |named, hex, array|
        next font = fonts["/#{named}"] if named
        next unless font
        one = found[font] ||= Shown.new(font, inner(font), {})
        codes(hex || array.scan(/<([^>]*)>/).join, font).each { |code| one.codes[code] = true }
      end
    end
    found.values
  end

  def inner(font) = font["/DescendantFonts"] ? at(at(font["/DescendantFonts"]).first) : font

  def codes(hex, font)
    hex.scan((font["/Subtype"] == "/Type0") ? /.{4}/ : /../).map { |digits| digits.to_i(16) }
  end

  # {number => does it fail?}
  def faults(one)
    unicode = unicode(one)
    values = unicode.values
    missing = one.codes.keys.reject { |code| unicode.key?(code) }
    {"10-001" => missing.any?, "17-003" => missing.any?, "31-009" => program(one).nil?,
     "31-027" => one.font["/ToUnicode"].nil?, "31-028" => values.include?("0000"),
     "31-029" => values.intersect?(%w[FEFF FFFE]),
     **glyphs(one), **composite(one), **true_type(one)}
  end

  # {code => hexadecimal UTF-16}
  def unicode(one)
    return {} unless one.font["/ToUnicode"]
    text = @judge.data(one.font["/ToUnicode"])
    text.scan(/beginbfchar(.*?)endbfchar/m).flat_map { |(part)| part.scan(/<(\h+)>\s*<(\h+)>/) }
      .to_h { |code, said| [code.to_i(16), said.upcase] }.merge(ranges(text))
  end

  def ranges(text)
    text.scan(/beginbfrange(.*?)endbfrange/m).flat_map { |(part)|
      part.scan(/<(\h+)>\s*<(\h+)>\s*(?:<(\h+)>|\[([^\]]*)\])/).flat_map { |from, to, first, list|
        said = list ? list.scan(/\h+/) : nil
        (from.to_i(16)..to.to_i(16)).each_with_index.map { |code, index|
          [code, said ? said[index] : format("%04X", first.to_i(16) + index)]
        }
      }
    }.to_h
  end

  def descriptor(one) = at(one.inner["/FontDescriptor"]).to_h

  def program(one)
    key = %w[/FontFile /FontFile2 /FontFile3].find { |name| descriptor(one)[name] }
    key && @judge.data(descriptor(one)[key])
  end

  # 31-010, 31-015, 31-030: the glyphs that codes show are there, as wide as the file says; no code shows none.
  def glyphs(one)
    return {} unless program(one)
    numbers = one.codes.keys.to_h { |code| [code, glyph(one, code)] }
    wide = numbers.reject { |code, number| (width(one, code) - advance(one, number)).abs <= 1 }
    {"31-010" => numbers.values.any? { |number| !there?(one, number) }, "31-015" => wide.any?,
     "31-030" => numbers.value?(0)}
  end

  def glyph(one, code)
    return code if one.font["/Subtype"] == "/Type0"
    read(one).cmap.tables.first[code].to_i
  end

  def there?(one, number)
    return read(one).maximum_profile.num_glyphs > number unless cff?(one)
    outlines(one)[number].to_i > 1
  end

  # In thousandths of the size.
  def width(one, code)
    return one.font["/FirstChar"] ? at(one.font["/Widths"])[code - one.font["/FirstChar"]] : 0 unless cff?(one)
    list = at(one.inner["/W"])
    at(list[list.index(code) + 1]).first
  end

  # CFF says its widths in its outlines: those of the font that shipped are as wide, glyph by glyph.
  def advance(one, number)
    file = cff?(one) ? original(one) : read(one)
    (file.horizontal_metrics.for(number).advance_width * 1000.0 / file.header.units_per_em)
  end

  def original(one)
    (@originals ||= {})[name(one)] ||= TTFunk::File.open(SHIPPED.fetch(name(one).split("+").last))
  end

  def read(one) = (@read ||= {})[one] ||= TTFunk::File.new(program(one))

  def cff?(one) = descriptor(one).key?("/FontFile3")

  # Lengths of the outlines of a CFF font, glyph by glyph (Technical Note 5176).
  def outlines(one)
    (@outlines ||= {})[one] ||= begin
      bytes = program(one)
      at = index(bytes, bytes.getbyte(2)).last # names
      dictionaries, = index(bytes, at)
      place = charstrings(bytes.byteslice(*dictionaries.first))
      index(bytes, place).first.map { |from, size| bytes.byteslice(from, size).delete("\x0E".b).bytesize + 1 }
    end
  end

  # [[[from, length], …], where it ends]
  def index(bytes, at)
    count = bytes.byteslice(at, 2).unpack1("n")
    return [[], at + 2] if count.zero?
    wide = bytes.getbyte(at + 2)
    ends = (0..count).map { |number| number_at(bytes, at + 3 + (number * wide), wide) }
    data = at + 2 + ((count + 1) * wide)
    [ends.each_cons(2).map { |from, to| [data + from, to - from] }, data + ends.last]
  end

  def number_at(bytes, at, wide) = bytes.byteslice(at, wide).bytes.inject(0) { |sum, byte| (sum * 256) + byte }

  # The operand of operator 17.
  def charstrings(dictionary)
    stack = []
    bytes = dictionary.bytes
    until bytes.empty?
      first = bytes.shift
      case first
      when 17 then return stack.last
      when 12 then bytes.shift && stack.clear
      when 0..21 then stack.clear
      when 28 then stack << bytes.shift(2).pack("C2").unpack1("s>")
      when 29 then stack << bytes.shift(4).pack("C4").unpack1("l>")
      when 30 then bytes.shift until bytes.empty? || (bytes.first & 15) == 15 || bytes.first >> 4 == 15
                   bytes.shift
      when 32..246 then stack << (first - 139)
      when 247..250 then stack << (((first - 247) * 256) + bytes.shift + 108)
      when 251..254 then stack << ((-(first - 251) * 256) - bytes.shift - 108)
      end
    end
  end

  # 31-004, 31-005, 31-011 to 31-014: fonts of several levels, and lists of glyphs, which none says.
  def composite(one)
    second = one.inner["/Subtype"] == "/CIDFontType2"
    {"31-004" => second && at(one.inner["/CIDToGIDMap"]) != "/Identity",
     "31-005" => second && !one.inner["/CIDToGIDMap"],
     "31-011" => descriptor(one).key?("/CharSet"), "31-012" => descriptor(one).key?("/CharSet"),
     "31-013" => descriptor(one).key?("/CIDSet"), "31-014" => descriptor(one).key?("/CIDSet")}
  end

  # 31-016 to 31-026: simple TrueType fonts are symbolic, say no encoding, and hold one way from codes to glyphs.
  def true_type(one)
    return {} unless one.font["/Subtype"] == "/TrueType" && program(one)
    plain = (descriptor(one)["/Flags"].to_i & SYMBOLIC).zero?
    tables = read(one).cmap.tables
    lone = tables.size == 1 || tables.any? { |table| [table.platform_id, table.encoding_id] == [3, 0] }
    (16..22).to_h { |number| ["31-0#{number}", plain] }
      .merge("31-023" => one.font.key?("/Encoding"), "31-024" => tables.empty?, "31-025" => !lone, "31-026" => false)
  end
end
