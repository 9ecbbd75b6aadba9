# frozen_string_literal: true

require "open3"

# Arabic letters as they are joined. Forms: HarfBuzz, which shapes by the font's own tables.
RSpec.describe Norvel::Layout::Arabic do
  include Values

  font = "public/fonts/DejaVuSans.ttf"

  # Numbers of the glyphs of a text from the left, and how wide all are, by HarfBuzz.
  define_method(:harfbuzz) do |text|
    out, = Open3.capture2("hb-shape", "--no-glyph-names", "--no-clusters", "--no-positions", font, text)
    advances, = Open3.capture2("hb-shape", "--output-format=json", font, text)
    [out.scan(/\d+/).map(&:to_i), JSON.parse(advances).sum { |glyph| glyph["ax"] }]
  end

  words = %w[بيت سلام كتاب الميناء مد البحر لا الأرض بلاد شيء رأس مدرسة ماء]

  it "takes the forms that HarfBuzz takes, as wide" do
    file = TTFunk::File.open(font)
    face = Norvel::Layout::Fonts::FACES.fetch("DejaVuSans.ttf")
    words.each do |word|
      shaped = described_class.shaped(word).delete("\u200B").chars.reverse
      glyphs = shaped.map { |character| file.cmap.unicode.first[character.ord] }
      expected, width = harfbuzz(word)
      expect([word, glyphs]).to eq [word, expected]
      expect((face.width(word) * file.header.units_per_em).round).to eq width
    end
  end

  it "leaves the text as long as it was, and other letters as they are" do
    expect(words.map { |word| described_class.shaped(word).size }).to eq words.map(&:size)
    expect(described_class.shaped("Mill שלום 12")).to eq "Mill שלום 12"
    expect(described_class.shaped("ب ا")).to eq "ب ا" # alone as they are
    expect(described_class.shaped("بَب")).to eq "ﺑَﺐ" # marks are passed over
  end

  it "is drawn joined in the PDF, and read there as it was written" do
    document = made(p(r("بيت البحر"), right_to_left: true))
    written = Norvel::Pdf.write(document)
    expect(written.carried.approximated.map(&:what)).not_to include(/no font/)
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", written.bytes)
      told, = Open3.capture2("pdfinfo", "-struct-text", "#{folder}/o.pdf")
      expect(told).to include "بيت البحر"
    end
  end
end
