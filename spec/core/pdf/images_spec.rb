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

  # Whatever is wrong with one, what follows on the page stands where it should.
  it "that are damaged leave the page as it is" do
    shown = image(1).sub("<a:stretch>", '<a:srcRect l="50000"/><a:stretch>').sub("<a:xfrm>", '<a:xfrm rot="5400000">')
    broken = docx(p(shown) + p(r("The end.")), image: png[0, 60])
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", Norvel::Pdf.write(broken).bytes)
      expect(Open3.capture2e("qpdf", "--check", "#{folder}/o.pdf").last).to be_success
      text = Open3.capture2e("pdftotext", "-bbox", "#{folder}/o.pdf", "-").first
      left = text[/xMin="([\d.]+)"[^>]*>The</, 1].to_f
      expect(left).to be_within(0.5).of(broken.sections.first.margin_left)
    end
  end

  it "are told where a format shows them whole" do
    %w[odt html markdown].each do |format|
      told = Norvel::Formats.write(document(crop: 'l="50000"'), as: format).carried.approximated.map(&:what)
      expect([format, told]).to match [format, include("images cut to a part or turned")]
    end
    expect(Norvel::Formats.write(document, as: "odt").carried.approximated).to be_empty
  end

  # An anchor in a cell: drawn where the cell has room for it.
  it "that float in a cell are drawn too" do
    anchored = image(1).sub("<wp:inline", "<wp:anchor").sub("</wp:inline>", "</wp:anchor>")
    table = "<w:tbl><w:tr><w:tc>#{p(r("Before."))}#{p(anchored + r("Beside it."))}</w:tc></w:tr></w:tbl>"
    made = docx(table + p(r("After.")), image: png)
    expect(Norvel::Pdf.write(made).carried.not_carried).to be_empty
    hung = []
    sheet = Norvel::Layout.of(made).sheets.first
    sheet.bands.each { |x, y, column| Norvel::Layout::Placing.hanging(column, x, y) { |*one| hung << one } }
    beside = sheet.lines.find { |line| line.text.start_with?("Beside") }
    expect(hung.map { |_, x, y, _| [x.round, y.round] }).to eq [[beside.x.round, beside.top.round]]
    object, _, y, = hung.first
    expect(beside.baseline - y - object.height).to be_between(5, 20) # its line stands below it
  end

  it "that hang in a head are drawn on every page, as what belongs to the page" do
    sign = %(<draw:frame draw:style-name="N" text:anchor-type="char" svg:width="40pt" svg:height="20pt" ) +
      %(svg:x="300pt" svg:y="0pt"><draw:image xlink:href="Pictures/a.png"/></draw:frame>)
    style = %(<style:style style:name="N" style:family="graphic"><style:graphic-properties ) +
      %(style:wrap="run-through"/></style:style>)
    head = OpenDocument::MASTER
      .sub("/>", "><style:header><text:p>#{sign}Mills</text:p></style:header></style:master-page>")
    made = OpenDocument.new("<text:p>Words.</text:p>" * 90, masters: head, styles: style,
      files: {"Pictures/a.png" => png}).document
    written = Norvel::Pdf.write(made)
    expect(written.carried.not_carried).to be_empty
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", written.bytes)
      listed = Open3.capture2e("pdfimages", "-list", "#{folder}/o.pdf").first.lines.drop(2)
      expect(listed.map { |line| line.split[0].to_i }).to eq((1..Norvel::Layout.of(made).sheets.size).to_a)
      expect(Open3.capture2e("pdfinfo", "-struct", "#{folder}/o.pdf").first).not_to include("Figure")
    end
  end

  it "stay so in a saved document" do
    was = document(crop: 'l="50000"', turn: 5_400_000)
    again = Norvel::Snapshot.load(Norvel::Snapshot.dump(was, was), was)
    expect(again.pictures.first.image).to eq was.pictures.first.image
  end
end
