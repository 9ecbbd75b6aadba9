# frozen_string_literal: true

require "cgi"
require "open3"

# Widths, break opportunities and line ends against the outside.
RSpec.describe "lines held against the outside" do
  include ChromiumLines

  before(:all) { Browser.boot }

  faces = {"Times New Roman" => "LiberationSerif-Regular.ttf", "Arial" => "LiberationSans-Regular.ttf",
           "Calibri" => "Carlito-Regular.ttf"}

  def share(found, wanted) = found.zip(wanted).count { |one, other| one == other }.fdiv(wanted.size)

  # Source: LineBreakTest.txt of Unicode 15.0.0 (Debian unicode-data 15.0.0-1); ÷ where a line may begin.
  it "breaks where Unicode's own cases allow it" do
    cases = File.readlines("/usr/share/unicode/auxiliary/LineBreakTest.txt", encoding: "UTF-8")
      .map { |line| line[/\A[^#]*/].split }.reject(&:empty?)
    passed = cases.count do |signs|
      text, places = +"", []
      signs.each { |sign| (sign == "÷") ? places << text.size : (text << [sign.hex].pack("U") unless sign == "×") }
      Norvel::Layout::LineBreak.opportunities(text) == places - [0, text.size]
    end
    puts "\n  Unicode line break cases: #{passed} of #{cases.size}"
    expect([passed, cases.size]).to eq [7654, 7654]
  end

  # Source: UAX #14 (Unicode 15.0), computed by hand and checked against the data files.
  {
    "state-of-the-art" => [6, 9, 13], "state\u2011of\u2011the\u2011art" => [], "pages 12-15" => [6],
    "pages 12–15" => [6, 9], "a—b" => [1, 2], "a — b" => [2, 4],
    "and/or" => [4], "1/2" => [], "(see p. 3)" => [5, 8], "file(s)" => [], "x (y)" => [2], "(a)(b)" => [3],
    "3.14" => [], "10:30" => [], "$5" => [],
    "5 %" => [2], "5\u00A0%" => [], "10 km" => [3], "it !" => [], "wait…no" => [5], "don’t" => [],
    "J. R.\u00A0Smith" => [3], "C++" => [2], "-foo" => [1], "a-1" => [],
    "co\u00ADop" => [3], "http://example.org/a/b" => [7, 19, 21], "ab\u200Bcd" => [3]
  }.each { |text, places|
    it("breaks #{text
    .inspect} after #{places}") { expect(Norvel::Layout::LineBreak.opportunities(text)).to eq places }
  }

  # Source: HarfBuzz 6 (Debian libharfbuzz-bin), advance widths without kerning and ligatures.
  it "measures words as HarfBuzz does" do
    words = Demo::Prose.new(5).paragraph(40..40).split.uniq.first(120) + %w[façade naïve “quoted” 1,234.56 §3.2 Ærø]
    faces.each do |font, file|
      letters = Norvel::Layout::Letters.new(letters_look(font, 12))
      out, status = Open3.capture2("hb-shape", "--font-size=upem", "--features=-kern,-liga,-clig", "--no-glyph-names",
        "--output-format=json", "public/fonts/#{file}", stdin_data: words.join("\n"))
      expect(status).to be_success
      upem = TTFunk::File.open("public/fonts/#{file}").header.units_per_em
      widths = out.lines.map { |line| JSON.parse(line).sum { |glyph| glyph["ax"] } * 12.0 / upem }
      off = words.zip(widths).map { |word, width| (letters.width(word) - width).abs }.max
      expect(off).to be < 0.02, font
    end
  end

  # Source: HarfBuzz 6, the feature kern alone.
  it "kerns as HarfBuzz does where a style asks for it, and only there" do
    words = %w[AVATAR Towers Yarmouth Wave Ty To P. VAT LT L’Avenir Tavern WAY]
    faces.merge("Cambria" => "Caladea-Regular.ttf", "Garamond" => "EBGaramond-Regular.otf").each do |font, file|
      kerned = Norvel::Layout::Letters.new(letters_look(font, 12, kern_run: {val: "2"}))
      plain = Norvel::Layout::Letters.new(letters_look(font, 12, kern_run: {val: "40"}))
      out, = Open3.capture2("hb-shape", "--font-size=upem", "--features=kern,-liga,-clig,-calt,-ccmp",
        "--no-glyph-names", "--output-format=json", "public/fonts/#{file}", stdin_data: words.join("\n"))
      upem = TTFunk::File.open("public/fonts/#{file}").header.units_per_em
      widths = out.lines.map { |line| JSON.parse(line).sum { |glyph| glyph["ax"] } * 12.0 / upem }
      off = words.zip(widths).map { |word, width| (kerned.width(word) - width).abs }
      expect(off.max).to be < 0.02, "#{font} #{words.zip(off).max_by(&:last)}"
      expect(plain.width("AVATAR")).to be > kerned.width("AVATAR")
    end
  end

  # Source: Adobe Core 14 AFM files, widths in 1/1000 em (published-values 3.1).
  it "measures as the Core 14 metrics do" do
    {"Times New Roman" => {"A" => 722, "W" => 944, "a" => 444, "m" => 778, "—" => 1000, "’" => 333, "0" => 500,
                           " " => 250},
     "Arial" => {"A" => 667, "W" => 944, "a" => 556, "m" => 833, "—" => 1000, "’" => 222, "0" => 556, " " => 278},
     "Courier New" => {"A" => 600, "i" => 600}}.each do |font, widths|
      letters = Norvel::Layout::Letters.new(letters_look(font, 10))
      widths.each { |sign, width| expect(letters.width(sign)).to be_within(0.02).of(width / 100.0), "#{font} #{sign}" }
    end
  end

  # Source: Chromium, kerning and ligatures off on both sides.
  it "ends the lines of made prose where Chromium does" do
    prose = Demo::Prose.new(11)
    texts = Array.new(120) { prose.paragraph(4..7) }
    faces.each do |font, file|
      [[12, 438], [10, 301], [11, 155]].each do |size, measure|
        same = share(our_ends(texts, letters_look(font, size), measure.to_f),
          chromium_ends(texts, face: file, size:, measure:))
        puts "  #{font} #{size} pt in #{measure} pt: #{(same * 100).round(2)} % of #{texts.size} paragraphs of prose " \
          "end their lines alike"
        expect(same).to eq(1.0), "#{font} #{size} #{measure}"
      end
    end
  end

  # Source: Chromium; the text is that of the README and change files of the libraries that this project uses.
  it "ends the lines of technical text where Chromium does" do
    files = Dir[File.join(Gem.dir, "gems", "*", "{README,CHANGELOG,HISTORY}*.md")].sort
    texts = files.flat_map { |path| File.read(path, encoding: "UTF-8").scrub.split(/\n\s*\n/) }.map do |text|
      text.gsub(/\s+/, " ").strip
    end
      .select { |text|
      text.size.between?(120, 900) &&
        !text.match?(/[\u{1F000}-\u{1FFFF}|{}`_=<>#*@\[\]\\&~$]|::|\w\.\w|:\w|https?:|-{3}|\s\.\S|\.\//)
    }.uniq.first(900)
    shares = faces.map do |font, file|
      ours = our_ends(texts, letters_look(font, 11), 420.0)
      theirs = chromium_ends_after_slashes(texts, face: file, size: 11, measure: 420)
      share(ours, theirs).tap do |same|
        puts "  #{font}: #{(same * 100).round(2)} % of #{texts.size} technical paragraphs end their lines alike"
      end
    end
    expect(shares.min).to be >= 0.995
  end
end
