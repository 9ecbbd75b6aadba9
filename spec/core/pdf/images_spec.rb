# frozen_string_literal: true

require "open3"

# Images that are cut to a part and turned. Source: ISO/IEC 29500-1 20.1.8.55 (srcRect), 20.1.7.6 (rot); the page read
# by poppler (pdftoppm).
RSpec.describe "images cut and turned" do
  # Red at the left, blue at the right.
  def png
    chunk = ->(type, data) { [data.bytesize].pack("N") + type + data + [Zlib.crc32(type + data)].pack("N") }
    row = "\0".b + ([255, 0, 0] * 20 + [0, 0, 255] * 20).pack("C*")
    "\x89PNG\r\n\x1A\n".b + chunk["IHDR", [40, 20, 8, 2, 0, 0, 0].pack("NNCCCCC")] +
      chunk["IDAT", Zlib::Deflate.deflate(row * 20)] + chunk["IEND", ""]
  end

  def document(crop: nil, turn: nil)
    drawn = image(1)
    drawn = drawn.sub("<a:stretch>", "<a:srcRect #{crop}/><a:stretch>") if crop
    drawn = drawn.sub("<a:xfrm>", %(<a:xfrm rot="#{turn}">)) if turn
    docx(p(drawn), image: png)
  end

  # The colours at the left and right of the image's box, as poppler draws the page.
  def ends(document)
    pixels = nil
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", Norvel::Pdf.write(document).bytes)
      Open3.capture2e("pdftoppm", "-r", "72", "#{folder}/o.pdf", "#{folder}/o")
      pixels = File.binread(Dir["#{folder}/*.ppm"].first)
    end
    width = pixels[/\AP6\s+(\d+)/, 1].to_i
    data = pixels.byteslice(pixels.index("255\n".b) + 4..)
    section = document.sections.first
    at = ->(x, y) { data.byteslice(3 * ((y * width) + x), 3).unpack("C*") }
    box = document.pictures.first
    [0.1, 0.9].map { |part| at[(section.margin_left + (box.width * part)).round, section.margin_top.round + 60] }
      .map { |red, _, blue| (red > blue) ? :red : :blue }
  end

  it "are read: parts of the whole that are cut off, degrees clockwise" do
    expect(document(crop: 'l="50000" b="10000"').pictures.first.image)
      .to have_attributes(crop: [0.5, 0.0, 0.0, 0.1], turn: 0.0)
    expect(document(turn: 10_800_000).pictures.first.image).to have_attributes(crop: nil, turn: 180.0)
    expect(document(crop: 'l="99999" r="60000"').pictures.first.image.crop).to be_nil
    expect(document(crop: 'l="-5000"').pictures.first.image.crop).to be_nil
    expect(document(crop: 'l="1e999" t="x"', turn: "1e999").pictures.first.image)
      .to have_attributes(crop: nil, turn: 0.0)
  end

  it "are drawn so in a PDF" do
    expect(ends(document)).to eq %i[red blue]
    expect(ends(document(crop: 'l="50000"'))).to eq %i[blue blue]
    expect(ends(document(turn: 10_800_000))).to eq %i[blue red]
    expect(ends(document(crop: 'l="50000"', turn: 10_800_000))).to eq %i[blue blue]
  end

  it "stay so in a saved document" do
    was = document(crop: 'l="50000"', turn: 5_400_000)
    again = Norvel::Snapshot.load(Norvel::Snapshot.dump(was, was), was)
    expect(again.pictures.first.image).to eq was.pictures.first.image
  end
end
