# frozen_string_literal: true

RSpec.describe Norvel::Formats::Docx::Writer do
  def xml(document, name = "word/document.xml")
    part(written(document), name)
  end

  it "leaves every part of an unchanged file as it is" do
    bytes = Demo::Thesis.new.bytes
    written = written(Norvel::Formats.read(bytes, name: "x"))
    names = Norvel::Formats::Container.new(bytes).names
    expect(Norvel::Formats::Container.new(written).names).to eq names
    expect(names.map { |name| part(written, name) == part(bytes, name) }).to all be true
  end

  it "gives the same bytes for the same document, read and changed anew, also in another process" do
    path = File.join(Dir.mktmpdir, "thesis.docx")
    File.binwrite(path, Demo::Thesis.new.bytes)
    script = <<~RUBY
      require "norvel"
      document = Norvel::Formats.read(File.binread(ARGV[0]), name: "x")
      changed = Norvel::Edits::ClearDirect.new(:all).change(document)
      $stdout.binmode.write(Norvel::Formats.write(changed).bytes)
    RUBY
    outside = IO.popen([RbConfig.ruby, "-I#{File.expand_path("../../../lib", __dir__)}", "-e", script, path],
      "rb", &:read)
    here = Array.new(2) do
      written(Norvel::Edits::ClearDirect.new(:all).change(Norvel::Formats.read(File.binread(path), name: "x")))
    end
    expect([*here, outside].map { |bytes| Digest::SHA256.hexdigest(bytes) }.uniq.size).to eq 1
  end

  it "keeps unknown elements, attributes and parts" do
    bytes = package(%(<w:p w:rsidR="00AA" xmlns:v="urn:vendor" v:own="1"><w:pPr><v:odd/><w:jc w:val="left"/></w:pPr>) +
      %(<v:thing/>#{r("x", "<w:b/><w:vendorless/>")}</w:p>))
    bytes = repackage(bytes, "custom/data.bin" => "\x00\x01own")
    document = Norvel::Formats.read(bytes, name: "x")
    written = written(document.replace([document.paragraphs[0].with(direct: set(align: "center"))]))
    expect(part(written, "word/document.xml"))
      .to include('w:rsidR="00AA"', "<v:odd/>", "<v:thing/>", "<w:vendorless/>", '<w:jc w:val="center"/>')
    expect(part(written, "custom/data.bin")).to eq "\x00\x01own".b
  end

  # ISO/IEC 29500-1, the schema's sequence of pPr and rPr.
  it "puts new elements at their place in the schema's order" do
    document = docx(p(r("x", '<w:lang w:val="de"/>'), '<w:keepNext/><w:jc w:val="left"/><w:outlineLvl w:val="1"/>'))
    paragraph = document.paragraphs[0]
    text = xml(document.replace([paragraph.with(style_id: "Normal",
      direct: paragraph.direct.merge(space_after: 6.0, indent_left: 36.0, keep_together: true),
      runs: [paragraph.runs[0].with(direct: paragraph.runs[0].direct.merge(bold: true, size: 14.0, font: "Arial"))])]))
    order = text.scan(/<w:(pStyle|keepNext|keepLines|spacing|ind|jc|outlineLvl|rFonts|b|sz|lang)\b/).flatten
    expect(order).to eq %w[pStyle keepNext keepLines spacing ind jc outlineLvl rFonts b sz lang]
  end

  it "removes stronger twins when it sets a value" do
    document = docx(p(r("x", '<w:rFonts w:asciiTheme="minorHAnsi" w:hAnsiTheme="minorHAnsi"/><w:color w:val="FF0000" ' \
      'w:themeColor="accent1"/>'),
      '<w:spacing w:before="100" w:beforeAutospacing="1"/><w:ind w:left="200" w:leftChars="100" w:hanging="100"/>'))
    paragraph = document.paragraphs[0]
    direct = Norvel::Edits::Setting.put(Norvel::Edits::Setting.put(paragraph.direct, :space_before, 6.0, {}),
      :indent_left, 36.0, {}).merge(first_line: 18.0)
    text = xml(document.replace([paragraph.with(direct:,
      runs: [paragraph.runs[0].with(direct: set(font: "Arial", color: "#00ff00"))])]))
    expect(text).not_to match(/Theme|Autospacing|Chars|hanging/)
    expect(text).to include('w:before="120"', 'w:left="720"', 'w:firstLine="360"', 'w:val="00FF00"', 'w:ascii="Arial"')
  end

  it "takes white space out of runs and keeps what stands between" do
    document = docx(%(<w:p>#{r("a  b")}<w:r><w:t>c</w:t><w:tab/><w:t xml:space="preserve">d  e</w:t>) +
      %(<w:footnoteReference w:id="1"/><w:lastRenderedPageBreak/></w:r></w:p>), footnotes: footnote(1, "n"))
    changed = Norvel::Edits::SingleSpaces.new([1]).apply(document).after
    expect(reread(changed).paragraphs[0].text).to eq "a bc\td e"
    expect(xml(changed)).to match(%r{<w:t>c</w:t><w:tab/><w:t>d e</w:t><w:footnoteReference w:id="1"/>})
  end

  it "removes paragraphs, but leaves the bookmarks that stand in them" do
    document = docx(p(r("a")) + %(<w:p><w:bookmarkStart w:id="1" w:name="here"/><w:bookmarkEnd w:id="1"/></w:p>) +
      p(r("b")))
    changed = Norvel::Edits::RemoveBlankParagraphs.new(:all).apply(document).after
    expect(xml(changed)).to include('<w:bookmarkStart w:id="1" w:name="here"/>')
    expect(reread(changed).paragraphs.map(&:text)).to eq %w[a b]
  end

  it "never removes a blank paragraph that a cell or a section needs" do
    document = docx("<w:tbl><w:tr><w:tc>#{p("")}</w:tc></w:tr></w:tbl>#{p("", "<w:sectPr/>")}#{p("")}#{p(r("b"))}")
    expect(Norvel::Edits::RemoveBlankParagraphs.new(:all).change(document).paragraphs.map(&:holds))
      .to eq [:last_in_cell, :section_break, nil]
  end

  it "writes new and changed styles" do
    document = Norvel::Edits::DefineStyle.new("Block Quote",
      values: {indent_left: 36.0, italic: true, line_spacing: {rule: "multiple", value: 1.0}}).apply(docx(p(r("x"))))
      .after
    document = Norvel::Edits::ChangeStyle.new("Normal", {space_after: 6.0}).apply(document).after
    again = reread(document)
    expect(again.styles.named("Block Quote").paragraph).to eq document.styles.named("Block Quote").paragraph
    expect(again.styles["Normal"].paragraph[:space_after]).to eq 6.0
    expect(xml(document, "word/styles.xml")).to include('w:customStyle="1"', '<w:name w:val="Block Quote"/>')
  end

  it "makes a styles part for a file that has none" do
    bytes = package(p(r("x")))
    bytes = repackage(bytes, "word/_rels/document.xml.rels" => part(bytes, "word/_rels/document.xml.rels")
      .sub(%r{<Relationship Id="rId1"[^>]*/>}, ""))
    document = Norvel::Formats.read(bytes, name: "x")
    changed = Norvel::Edits::PutInStyle.new([1], "Body Text", asked: {size: asked(:size, "12pt")},
      look: :theirs_if_made).apply(document).after
    expect(reread(changed).then { |again|
      [again.style_name(again.paragraphs[0]),
        again.letter_look(again.paragraphs[0])[:size]]
    }).to eq ["Body Text", 12.0]
  end

  it "writes page set-up and what the document says of itself" do
    document = docx(p(r("x")) + section(footer: false))
    changed = Norvel::Edits::SetPage.new([1], {margin_left: 108.0, width: 612.0, height: 792.0}).apply(document).after
    changed = Norvel::Edits::Describe.new({title: "A & B", language: "en-GB"}).apply(changed).after
    again = reread(changed)
    expect([again.sections[0].margin_left, again.sections[0].width, again.info[:title], again.info[:language],
      again.styles.run_defaults[:language]]).to eq [108.0, 612.0, "A & B", "en-GB", "en-GB"]
  end

  it "writes white space that matters so that it stays" do
    document = docx(p(r("a b")))
    run = document.paragraphs[0].runs[0]
    changed = document.replace([document.paragraphs[0].with(runs: [run.with(text: " a  b\u00A0\u2011\t")])])
    expect(reread(changed).paragraphs[0].text).to eq " a  b\u00A0\u2011\t"
  end
end
