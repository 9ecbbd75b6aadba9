# frozen_string_literal: true

RSpec.describe Norvel::Formats::Docx::Package do
  let(:bytes) { package(p(r("x")), footer: page_number) }

  def reading(changed)
    Norvel::Formats.read(repackage(bytes, changed), name: "x.docx")
  end

  def moved(rels_of_package, name)
    container = Norvel::Formats::Container.new(bytes)
    parts = container.names.to_h { |entry| [entry, container.read(entry)] }
    parts[name] = parts.delete("word/document.xml")
    folder = name.rpartition("/").first
    parts[[folder, "_rels", "#{name.split("/").last}.rels"].reject(&:empty?).join("/")] =
      parts.delete("word/_rels/document.xml.rels").gsub('Target="', 'Target="/word/')
    parts["_rels/.rels"] = parts["_rels/.rels"].sub("word/document.xml", rels_of_package)
    parts["[Content_Types].xml"] = parts["[Content_Types].xml"].sub("/word/document.xml", "/#{name}")
    Zip.write_zip64_support = false
    Zip::OutputStream.write_buffer { |zip|
      parts.each { |entry, content|
        zip.put_next_entry(entry) &&
          zip.write(content)
      }
    }.string
  end

  # ISO/IEC 29500-2: parts are found by relationships, whatever they are called.
  it "finds the text wherever it is" do
    [["text/main.xml", "text/main.xml"], ["/text/main.xml", "text/main.xml"], ["main.xml", "main.xml"],
      ["a/../text/main.xml", "text/main.xml"]].each do |target, name|
      document = Norvel::Formats.read(moved(target, name), name: "x.docx")
      expect(document.paragraphs.map(&:text)).to eq ["x"]
      expect(document.styles.default.name).to eq "Normal"
    end
  end

  it "compares part names without case" do
    types = part(bytes, "[Content_Types].xml").sub("/word/document.xml", "/Word/Document.XML")
    expect(reading("[Content_Types].xml" => types).paragraphs.size).to eq 1
  end

  it "reads a template and a file with macros, and keeps their type" do
    %w[template.main document.macroEnabled.main].each do |kind|
      types = part(bytes, "[Content_Types].xml").sub("document.main+xml", "#{kind}+xml")
      document = reading("[Content_Types].xml" => types)
      written = written(document.replace([document.paragraphs[0].with(direct: set(align: "center"))]))
      expect(part(written, "[Content_Types].xml")).to include(kind)
    end
  end

  it "says what else it is" do
    types = part(bytes, "[Content_Types].xml").sub("wordprocessingml.document.main", "presentationml.presentation.main")
    expect { reading("[Content_Types].xml" => types) }
      .to raise_error(Norvel::UnreadableFile, "This is a set of slides, not a text document.")
  end

  it "never follows what points outside" do
    rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
      '<Relationship Id="rId9" Type="http://x/attachedTemplate" Target="http://example.invalid/x.dotx" ' \
      'TargetMode="External"/></Relationships>')
    document = reading("word/_rels/document.xml.rels" => rels)
    written = written(document.replace([document.paragraphs[0].with(direct: set(align: "center"))]))
    expect(part(written, "word/_rels/document.xml.rels")).to include("http://example.invalid/x.dotx")
  end

  it "goes on without parts that may be missing" do
    rels = part(bytes, "word/_rels/document.xml.rels").gsub(%r{<Relationship [^>]*/(?:styles|footer)"[^>]*/>}, "")
    expect(reading("word/_rels/document.xml.rels" => rels)
      .letter_look(reading("word/_rels/document.xml.rels" => rels).paragraphs[0])[:size]).to eq 10.0
  end
end

RSpec.describe Norvel::Formats::Docx::Names do
  {"heading 1" => "Heading 1", "toc 3" => "TOC 3", "caption" => "Caption", "footnote text" => "Footnote Text",
   "Body Text" => "Body Text", "My heading 1" => "My heading 1", "table of figures" => "Table of Figures"}
    .each do |stored, shown|
    it("shows #{stored} as #{shown}, and stores it so") do
      expect(described_class.shown(stored)).to eq shown
      expect(described_class.stored(shown)).to eq stored
    end
  end
end

RSpec.describe Norvel::Formats::Docx::Shorthand do
  # Whatever is told in shorthand must read as it does in full.
  def both(bytes)
    [false, true].map do |keep|
      Norvel::Formats::Docx::Reader.new(Norvel::Formats::Container.new(bytes), name: "x", keep_nodes: keep).document
    end
  end

  it "reads every file as the full reading does" do
    files = Dir[File.join(__dir__, "../../reference/files/*.docx")].map { |path| File.binread(path) } +
      [Demo::Thesis.new.bytes, Demo::Handbook.new.bytes, Demo::Notice.new.bytes]
    files.each do |bytes|
      short, full = both(bytes)
      expect(short.paragraphs).to eq full.paragraphs
      expect(Norvel::Seal.of(short)).to eq Norvel::Seal.of(full)
      expect(short.sections).to eq full.sections
    end
  end

  it "leaves sections, tracked formatting and strange texts alone" do
    tracked = '<w:b/><w:rPrChange w:id="1" w:author="x"><w:rPr><w:i/></w:rPr></w:rPrChange>'
    body = p(r("a", tracked) + r("b", "<w:b/>")) + p(r("c"), "<w:pPr/>#{section(footer: false)}") +
      p(r("&lt;w:rPr&gt; is text") + r('back\\1slash')) + section(footer: false)
    short, full = both(package(body))
    expect(short.paragraphs).to eq full.paragraphs
    expect(short.paragraphs.map(&:text)).to eq ["ab", "c", "&lt;w:rPr&gt; is text" + 'back\\1slash'].map { |text| text }
    expect(short.paragraphs[0].runs.map { |run| run.direct.values }).to eq [{bold: true}, {bold: true}]
  end

  it "does not apply where there are comments or sections of raw text" do
    body = "<!-- <w:rPr><w:b/></w:rPr> -->#{p(r("x", "<w:i/>"))}"
    short, full = both(package(body))
    expect(short.paragraphs).to eq full.paragraphs
    expect(short.paragraphs[0].runs[0].direct.values).to eq({italic: true})
  end

  it "still refuses what is not well-formed" do
    bytes = package("<w:p><w:r><w:rPr><w:b></w:rPr><w:t>x</w:t></w:r></w:p>")
    expect { Norvel::Formats.read(bytes, name: "x").paragraphs }
      .to raise_error(Norvel::UnreadableFile, /not well-formed/)
  end
end
