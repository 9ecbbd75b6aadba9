# frozen_string_literal: true

require "open3"
require_relative "../../support/mixed"
require_relative "../../support/mixed_open"

# The demo's thesis and its PDF, made once: both are values.
module ThesisInPdf
  module_function

  def document
    @document ||= Norvel::Formats.read(Demo::Thesis.new.bytes, name: "thesis.docx")
  end

  def bytes
    @bytes ||= Norvel::Pdf.write(document).bytes
  end
end

# A PDF read by others: poppler (pdfinfo, pdftotext, pdffonts) and qpdf.
RSpec.describe Norvel::Pdf do
  def read_by(*command)
    Dir.mktmpdir do |folder|
      path = File.join(folder, "o.pdf")
      File.binwrite(path, bytes)
      out, status = Open3.capture2e(*command.map { |part| (part == :file) ? path : part })
      [out, status.exitstatus]
    end
  end

  def qpdf(key) = JSON.parse(read_by("qpdf", "--json", "--json-key=#{key}", :file).first)[key]

  let(:document) { ThesisInPdf.document }
  let(:bytes) { ThesisInPdf.bytes }

  it "has the pages, labels and words of the sheets, page by page" do
    sheets = Norvel::Layout.of(document).sheets
    text = read_by("pdftotext", "-raw", :file, "-").first.split("\f")
    expect([text.size, read_by("qpdf", "--check", :file).last]).to eq [sheets.size, 0]
    sheets.each_with_index do |sheet, index|
      own = (sheet.lines + sheet.note_lines).flat_map { |line| line.text.scan(/\p{Alnum}+/) }
      expect([index, own - text[index].scan(/\p{Alnum}+/)]).to eq [index, []]
    end
    labels = qpdf("pagelabels").map { |range| [range["index"], range["label"]] }.to_h
    expect(labels[0]).to include("/S" => "/D", "/St" => 1)
  end

  it "says its title and language, and shows the title" do
    named = Norvel::Edits::Describe.new(title: "Salt and Timber – the mills", language: "en-GB").apply(document).after
    made = described_class.write(named).bytes
    allow(self).to receive(:bytes).and_return(made)
    info = read_by("pdfinfo", :file).first
    expect(info).to match(/^Title:\s+Salt and Timber – the mills$/).and match(/^Tagged:\s+yes$/)
    expect(read_by("qpdf", "--qdf", "--object-streams=disable", :file, "-").first.b)
      .to include("/DisplayDocTitle true".b, "/Lang (en-GB)".b, "/Marked true".b)
  end

  it "embeds every font as a subset with its Unicode" do
    rows = read_by("pdffonts", :file).first.lines.drop(2).map(&:split)
    expect(rows.size).to be >= 3
    expect(rows.map { |row| row[-5..-3] }.uniq).to eq [%w[yes yes yes]]
    expect(rows.map(&:first)).to all match(/\A[A-Z]{6}\+/) # ISO 32000-1 9.6.4
  end

  # Source: ISO 32000-1 14.8.4, read by poppler.
  it "is tagged: headings that are marked, paragraphs, tables with their headers, figures, notes, lists" do
    guide = Norvel::Guide.shipped["ravelmouth-thesis"]
    clean = Norvel::Guide::MendSafe.new(guide, also: ["accessible.table_header"]).apply(document).after
    made = described_class.write(clean).bytes
    allow(self).to receive(:bytes).and_return(made)
    tags = read_by("pdfinfo", "-struct", :file).first.scan(/^\s*([A-Z]\w*)\b/).flatten.tally
    levels = clean.paragraphs.map { |one| clean.look(one)[:outline_level] }.select(&:positive?).tally
    expect(levels.to_h { |level, count| ["H#{level}", tags["H#{level}"]] }).to eq levels.transform_keys { |n| "H#{n}" }
    rows = clean.tables.sum { |one| one.rows.size }
    expect(tags.slice("Table", "TR")).to eq "Table" => clean.tables.size, "TR" => rows
    expect(tags["Figure"]).to eq clean.pictures.size
    expect(tags["Note"]).to eq clean.stories.count { |story| story.kind == "footnote" && story.paragraphs.any? }
    expect(tags).to include("P", "Document", "Caption")
    expect(qpdf("outlines").size).to eq levels.fetch(1)
  end

  it "nests lists, and heads and feet are no part of the text" do
    plain = docx(%w[one deep two text].map { |words| p(r(words)) }.join, footer: page_number)
    listed = Norvel::Edits::DefineListStyle.new("Points", "bullets").change(plain)
    id = listed.styles.named("Points").paragraph[:list_id]
    put = {1 => 0, 2 => 1, 3 => 0}.inject(listed) do |now, (number, level)|
      Norvel::Edits::PutInList.new([number], id, level:).change(now)
    end
    made = described_class.write(put).bytes
    allow(self).to receive(:bytes).and_return(made)
    lines = read_by("pdfinfo", "-struct", :file).first.lines.map { |line| line[/\A\s*(\w+)/, 1] }
    expect(lines.compact).to eq %w[Document L LI Lbl LBody L LI Lbl LBody LI Lbl LBody P]
  end

  # The words under each link, cut out of the page by poppler.
  it "has live links where their words stand, out of the document and within it" do
    target = %(<Relationship Id="rId9" Type="#{Demo::Package::R}/hyperlink" TargetMode="External" ) +
      %(Target="https://ravelmouth.example/tides"/></Relationships>)
    body = p(r("See ") + %(<w:hyperlink r:id="rId9">#{r("the tide tables", "<w:b/>")}</w:hyperlink>) + r(" and ") +
      %(<w:hyperlink w:anchor="end">#{r("the last page")}</w:hyperlink>) + r(", or ") +
      %(<w:hyperlink w:anchor="nowhere">#{r("nothing")}</w:hyperlink>) + r("; compare ") +
      %(<w:fldSimple w:instr=" REF end \\h ">#{r("The end.")}</w:fldSimple>) + r(" on page ") +
      %(<w:fldSimple w:instr=" PAGEREF end \\h ">#{r("2")}</w:fldSimple>) +
      %(<w:fldSimple w:instr=" REF gone \\h ">#{r(" gone")}</w:fldSimple>)) +
      p('<w:r><w:br w:type="page"/></w:r><w:bookmarkStart w:id="1" w:name="end"/>' + r("The end.") +
        '<w:bookmarkEnd w:id="1"/>')
    file = package(body)
    rels = part(file, "word/_rels/document.xml.rels").sub("</Relationships>", target)
    written = described_class.write(
      Norvel::Formats.read(repackage(file, "word/_rels/document.xml.rels" => rels), name: "x.docx")
    )
    allow(self).to receive(:bytes).and_return(written.bytes)
    expect(read_by("pdfinfo", "-url", :file).first).to include("https://ravelmouth.example/tides")
    objects = JSON.parse(read_by("qpdf", "--json", :file).first)["qpdf"][1].values.filter_map { |one| one["value"] }
    links = objects.grep(Hash).select { |one| one["/Subtype"] == "/Link" }
    words = links.map do |link|
      left, bottom, right, top = link["/Rect"]
      box = [left - 1, 841.9 - top - 1, right - left + 2, top - bottom + 2].map { |side| side.round.to_s }
      read_by("pdftotext", "-r", "72", "-l", "1", *%w[-x -y -W -H].zip(box).flatten, :file, "-").first.strip
    end
    expect(words.map { |one| one.delete(",") }) # boxes are cut at whole points: a letter beside may be in them
      .to match ["the tide tables", "the last page", /\AThe end\.( o)?\z/, /\A2\w?\z/]
    expect(links.map { |link| [link.key?("/A"), link.key?("/Dest")] }).to eq [[true, false], *[[false, true]] * 3]
    expect(read_by("pdfinfo", "-struct", :file).first.scan("Link").size).to be >= 2
    expect(written.carried.approximated.map { |one| [one.what, one.count] }).to include ["links", 1]
  end

  # Source: ISO 14289-1 7.1 (title, language), 7.3 (figures), 7.5 (tables).
  it "says what keeps it from being accessible, and nothing where all is said" do
    told = ->(one) { described_class.write(one).carried.approximated.map { |entry| [entry.what, entry.count] } }
    expect(told[document]).to eq [["images without a description", document.pictures.size],
      ["tables without a marked header row", document.tables.size], ["language", 1], ["title", 1]]
    described = document.pictures.to_h { |picture| [picture.id, "a drawing of the mill"] }
    edits = [Norvel::Edits::Describe.new(title: "Salt", language: "en-GB"),
      Norvel::Edits::DescribePictures.new(described)]
    whole = edits.inject(document) { |now, edit| edit.apply(now).after }
    expect(told[whole].map(&:first)).to eq ["tables without a marked header row"]
  end

  it "says the language of paragraphs in another than the document's" do
    german = p(r("Die Mühle stand lange leer.", '<w:lang w:val="de-DE"/>'))
    made = docx(p(r("The mill was repaired.", '<w:lang w:val="en-GB"/>')) + german)
    named = Norvel::Edits::Describe.new(language: "en-GB").apply(made).after
    allow(self).to receive(:bytes).and_return(described_class.write(named).bytes)
    said = read_by("qpdf", "--qdf", "--object-streams=disable", :file, "-").first.b.scan(%r{/Lang \(([\w-]+)\)}).flatten
    expect(said).to match_array %w[en-GB de-DE]
  end

  it "makes the same bytes of the same document" do
    again = described_class.write(Norvel::Formats.read(Demo::Thesis.new.bytes, name: "thesis.docx")).bytes
    expect(Digest::SHA256.hexdigest(again)).to eq Digest::SHA256.hexdigest(bytes)
  end

  it "counts what it does not hold: links that lead nowhere, images of kinds that it has not" do
    bytes = Demo::Thesis.new.bytes
    names = Norvel::Formats::Container.new(bytes).names.grep(/media/)
    broken = Norvel::Formats.read(repackage(bytes, names.first => "GIF89a"), name: "t.docx")
    told = described_class.write(broken).carried.approximated
    expect(told.map { |one| [one.what, one.how] }).to include ["images", /a frame stands where they do/]
  end

  # Source: poppler's pdfimages.
  it "holds images that are made into ones it has: TIFF, WebP, GIF, SVG" do
    mill = Vips::Image.black(60, 40).cast("uchar")
    kinds = [*%w[.tif .webp .gif].map { |ending| mill.write_to_buffer(ending) },
      %(<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><rect width="60" height="40"/></svg>)]
    kinds.each do |image|
      written = described_class.write(docx(p(r("A mill ") + image(1)), image:))
      allow(self).to receive(:bytes).and_return(written.bytes)
      expect(written.carried.approximated.map(&:what)).not_to include "images"
      expect(read_by("pdfimages", "-list", :file).first.lines.drop(2)).not_to be_empty
    end
  end

  it "frames an image that would unpack to more than there is room for, or that is damaged" do
    png = Norvel::Formats::Container.new(Demo::Thesis.new.bytes).read("word/media/image1.png").b
    [png.dup.tap { |huge| huge[16, 8] = [900_000, 900_000].pack("NN") }, png[0, 60], png[0, 20]].each do |image|
      broken = docx(p(r("A mill ") + image(1)), image:)
      expect(described_class.write(broken).carried.approximated.map(&:what)).to include "images"
    end
  end

  it "says what it leaves out: text that stands on no page" do
    hidden = r("Nobody sees this.", "<w:vanish/>")
    document = docx(p(r("The height was read.")) + p(hidden) + p(r("The end.")))
    carried = described_class.write(document).carried
    expect(carried.not_carried.to_h { |one| [one.what, one.places] }).to eq "paragraphs that stand on no page" => [2]
  end

  it "tags the marks of notes: a reference with its note behind it, a label in the note" do
    notes = '<w:footnote w:id="1">' + p("<w:r><w:footnoteRef/></w:r>" + r(" Leaf 30.")) + "</w:footnote>"
    mark = '<w:r><w:rPr><w:vertAlign w:val="superscript"/></w:rPr><w:footnoteReference w:id="1"/></w:r>'
    made = described_class.write(docx(p(r("The quay") + mark + r(" was measured.")), footnotes: notes)).bytes
    allow(self).to receive(:bytes).and_return(made)
    told = read_by("pdfinfo", "-struct-text", :file).first
    expect(told.scan(/"([^"]+?) *"|^ *(Reference|Note|Lbl|P)\b/).map(&:compact).flatten)
      .to eq ["P", "The quay", "Reference", "1", "Note", "Lbl", "1", "P", "Leaf 30.", "was measured."]
  end

  it "keeps every note of a paragraph that calls several, each behind its mark" do
    notes = (1..3).map { |id| %(<w:footnote w:id="#{id}">#{p(r("Leaf #{id * 10}."))}</w:footnote>) }.join
    marks = (1..3).map { |id| %(<w:r><w:footnoteReference w:id="#{id}"/></w:r>#{r(" word")}) }.join
    made = described_class.write(docx(p(r("The quay") + marks), footnotes: notes)).bytes
    allow(self).to receive(:bytes).and_return(made)
    told = read_by("pdfinfo", "-struct-text", :file).first
    expect(told.scan(/^ *(Reference|Note)\b/).flatten).to eq %w[Reference Note] * 3
    expect(told.scan(/Leaf \d+/)).to eq ["Leaf 10", "Leaf 20", "Leaf 30"]
  end

  describe "with formulas" do
    let(:document) do
      root = me("rad", deg: mr("3"), e: mr("x"))
      docx(p(r("The height ") + omath(quadratic) + r(" was read.")) + p(omath_para(root)))
    end
    let(:bytes) { described_class.write(document).bytes }

    it "draws them from their structure, as letters that are read again and as outlines" do
      expect(described_class.write(document).carried.approximated.map(&:what)).not_to include(/equation/)
      expect(read_by("pdftotext", "-raw", :file, "-").first).to match(/The height 𝑥 = .*𝑏 ?± .*4𝑎𝑐.*was read\./m)
      expect(read_by("qpdf", "--check", :file).last).to eq 0
    end

    it "tags each as one formula with its letters in a row" do
      formulas = qpdf("qpdf").last.values.filter_map { |one| one["value"] if one["value"].is_a?(Hash) }
        .select { |one| one["/S"] == "/Formula" }
      expect(formulas.map { |one| one["/Alt"] }).to contain_exactly("u:x=(-b±√(b^2-4ac))/(2a)", "u:3√x")
      expect(formulas.map { |one| [one["/K"]].flatten.size }).to contain_exactly(2, 1)
    end
  end

  # Signs outside of the first encoding came out as others: poppler's raster of one font beside the file of another.
  it "shows every sign of a font of cubic outlines, and embeds those alone" do
    signs = "Garamond ő Ω − ≤ é ž “quoted” – dash"
    made = described_class.write(docx(p(r(signs, '<w:rFonts w:ascii="Garamond" w:hAnsi="Garamond"/>')))).bytes
    allow(self).to receive(:bytes).and_return(made)
    expect(read_by("pdftotext", :file, "-").first).to include signs
    expect(read_by("pdffonts", :file).first.lines.last)
      .to match(/\A[A-Z]{6}\+EBGaramond.* CID Type 0C .*Identity-H +yes yes yes/)
    source = TTFunk::File.open("public/fonts/EBGaramond-Regular.otf")
    kept = Norvel::Pdf::OutlineFonts.outlines(source, [source.cmap.unicode.first["ő".ord]])
    expect(Zlib.deflate(kept).bytesize).to be < Zlib.deflate(source.contents.string).bytesize / 3
  end

  it "holds every letter of documents made by chance, without a fault that qpdf finds (property)" do
    made = SomeOf.seeds(1..10).flat_map { |seed| [Mixed.new(seed).document, MixedOpen.new(seed).document] }
    made.each do |one|
      written = described_class.write(one)
      expect(written.carried.not_carried.map { |entry| [entry.what, entry.count] }).to eq []
      allow(self).to receive(:bytes).and_return(written.bytes)
      expect(read_by("qpdf", "--check", :file).last).to eq 0
    end
  end

  it "is what `convert` writes for a name that ends in .pdf, whole or not at all" do
    Dir.mktmpdir do |folder|
      path, out = %w[t.docx o.PDF].map { |name| File.join(folder, name) }
      File.binwrite(path, Demo::Handbook.new.bytes)
      status = Norvel::CLI.run(["convert", path, out, "--json"], out: said = StringIO.new, err: StringIO.new)
      expect([status, JSON.parse(said.string).slice("from", "to", "words_unchanged")])
        .to eq [0, {"from" => "docx", "to" => "pdf", "words_unchanged" => true}]
      expect(File.binread(out, 5)).to eq "%PDF-"
      File.binwrite(path, "no")
      expect(Norvel::CLI.run(["convert", path, "#{out}2.pdf"], out: StringIO.new, err: StringIO.new)).to eq 2
      expect(Dir["#{folder}/*2.pdf*"]).to eq []
    end
  end
end
