# frozen_string_literal: true

RSpec.describe Norvel::Formats::Docx::Reader do
  def texts(body, **parts)
    docx(body, **parts).paragraphs.map(&:text)
  end

  let(:shapes) { "http://schemas.microsoft.com/office/word/2010/wordprocessingShape" }

  # ISO/IEC 29500-1 17.3.3, 17.13.5, 17.16, 17.5: what is text and what is not.
  {
    "hyperlinks and content controls are " \
      "transparent" => [%(<w:sdt><w:sdtContent><w:p><w:hyperlink w:anchor="a">#{Demo::Markup.r("link")}</w:hyperlink>) +
        %(<w:sdt><w:sdtContent>#{Demo::Markup.r("ed")}</w:sdtContent></w:sdt></w:p></w:sdtContent></w:sdt>),
        ["linked"]],
    "inserted text is text, deleted " \
    "text is not" => [%(<w:p><w:ins>#{Demo::Markup.r("new")}</w:ins><w:del><w:r><w:delText>old</w:delText></w:r>) +
      %(</w:del></w:p>), ["new"]],
    "moved text is where it went" => [%(<w:p><w:moveFrom>#{Demo::Markup.r("here")}</w:moveFrom></w:p><w:p>) +
      %(<w:moveTo>#{Demo::Markup.r("there")}</w:moveTo></w:p>), ["", "there"]],
    "a field's instruction is not text, its " \
    "result is" => [%(<w:p><w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> REF x </w:instrText></w:r>) +
      %(<w:r><w:fldChar w:fldCharType="separate"/></w:r>#{Demo::Markup.r("7")}<w:r><w:fldChar w:fldCharType="end"/>) +
      %(</w:r></w:p>), ["7"]],
    "a field nested in an instruction " \
    "is not text" => [%(<w:p><w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText>IF </w:instrText></w:r>) +
      %(<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText>PAGE</w:instrText></w:r><w:r><w:fldChar ) +
      %(w:fldCharType="separate"/></w:r>#{Demo::Markup.r("9")}<w:r><w:fldChar w:fldCharType="end"/></w:r><w:r>) +
      %(<w:fldChar w:fldCharType="separate"/></w:r>#{Demo::Markup.r("yes")}<w:r><w:fldChar w:fldCharType="end"/>) +
      %(</w:r>) +
      %(</w:p>), ["yes"]],
    "a simple field's result is text" => [%(<w:p><w:fldSimple w:instr="PAGE">#{Demo::Markup.r("3")}</w:fldSimple>) +
      %(</w:p>), ["3"]],
    "tabs, breaks, hyphens have their " \
    "characters" => ["<w:p><w:r><w:t>a</w:t><w:tab/><w:br/><w:noBreakHyphen/><w:softHyphen/><w:cr/></w:r></w:p>",
      ["a\t\n\u2011\u00AD\n"]],
    "a page break has no text" => ['<w:p><w:r><w:br w:type="page"/></w:r></w:p>', [""]],
    "white space at the edges counts only when " \
    "preserved" => ['<w:p><w:r><w:t> a </w:t><w:t xml:space="preserve"> b</w:t></w:r></w:p>', ["a b"]],
    "ruby counts by its base" => ["<w:p><w:r><w:ruby><w:rt><w:r><w:t>reading</w:t></w:r></w:rt><w:rubyBase><w:r>" \
    "<w:t>base</w:t></w:r></w:rubyBase></w:ruby></w:r></w:p>", ["base"]],
    "nested tables are read in order" => ["<w:tbl><w:tr><w:tc>#{Demo::Markup.p(Demo::Markup.r("a"))}" \
      "<w:tbl><w:tr><w:tc>" \
      "#{Demo::Markup.p(Demo::Markup.r("b"))}</w:tc></w:tr></w:tbl>" \
      "#{Demo::Markup.p(Demo::Markup.r("c"))}</w:tc></w:tr></w:tbl>", %w[a b c]],
    "rows and cells in content controls " \
    "are found" => ["<w:tbl><w:sdt><w:sdtContent><w:tr><w:sdt>" \
    "<w:sdtContent><w:tc>#{Demo::Markup.p(Demo::Markup.r("a"))}</w:tc></w:sdtContent></w:sdt></w:tr></w:sdtContent>" \
    "</w:sdt></w:tbl>", %w[a]]
  }.each { |name, (body, expected)| it(name) { expect(texts(body)).to eq expected } }

  it "counts a text box once though it stands in both branches of an alternative" do
    box = "<w:txbxContent>#{p(r("boxed"))}</w:txbxContent>"
    body = %(<w:p>#{r("host")}<w:r><mc:AlternateContent ) +
      %(xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006"><mc:Choice xmlns:wps="#{shapes}" ) +
      %(Requires="wps"><w:drawing><wps:txbx>#{box}</wps:txbx></w:drawing></mc:Choice><mc:Fallback>) +
      %(<w:pict>#{box}</w:pict></mc:Fallback></mc:AlternateContent></w:r></w:p>)
    document = docx(body)
    expect(document.paragraphs.map { |paragraph| [paragraph.part, paragraph.text] })
      .to eq [[:body, "host"], [:textbox, "boxed"]]
    changed = document.replace([document.paragraphs[1].with(direct: set(align: "center"))])
    expect(part(written(changed), "word/document.xml").scan('<w:jc w:val="center"/>').size).to eq 2
  end

  it "reads sections with what is inherited and what is not (17.6)" do
    body = p(r("one"), '<w:sectPr><w:type w:val="oddPage"/><w:pgSz w:w="12240" w:h="15840"/><w:pgMar w:top="1440" ' \
      'w:right="1440" w:bottom="1440" w:left="1440" w:header="0" w:footer="0" w:gutter="720"/><w:pgNumType ' \
      'w:fmt="lowerRoman" w:start="1"/></w:sectPr>') + p(r("two")) + section(footer: false)
    document = docx(body)
    expect(document.sections.map { |s| [s.starts, s.width, s.margin_left, s.number_format, s.number_start] })
      .to eq [["odd_page", 612.0, 108.0, "lower_roman", 1], ["next_page", 595.3, 72.0, "decimal", nil]]
    expect(document.paragraphs.map(&:section)).to eq [1, 2]
  end

  it "reads strict files (ISO/IEC 29500-1, the strict namespaces)" do
    strict = package(p(r("x"), '<w:jc w:val="start"/><w:ind w:start="720"/>')).then do |bytes|
      repackage(bytes, %w[word/document.xml word/styles.xml].to_h { |name|
        [name,
          part(bytes, name).sub(Demo::Package::W, Norvel::Formats::Docx::Names::STRICT)]
      })
    end
    document = Norvel::Formats.read(strict, name: "strict.docx")
    expect(document.look(document.paragraphs[0]).values.values_at(:align, :indent_left)).to eq ["left", 36.0]
    changed = document.replace([document.paragraphs[0].with(direct: set(align: "right", indent_left: 72.0))])
    expect(part(written(changed), "word/document.xml")).to include('<w:jc w:val="end"/>', 'w:start="1440"')
  end

  it "goes by namespaces, not prefixes" do
    bytes = package("")
    other = %(<?xml version="1.0"?><x:document xmlns:x="#{Demo::Package::W}"><x:body><x:p><x:pPr><x:jc ) +
      %(x:val="center"/></x:pPr><x:r><x:t>hello</x:t></x:r></x:p></x:body></x:document>)
    twice = %(<?xml version="1.0"?><document xmlns="#{Demo::Package::W}" xmlns:x="#{Demo::Package::W}" ) +
      %(xmlns:y="#{Demo::Package::W}"><body><p><pPr><jc y:val="center"/></pPr><r><t>hello</t></r></p></body></document>)
    [other, twice].each do |xml|
      document = Norvel::Formats.read(repackage(bytes, "word/document.xml" => xml), name: "x")
      expect([document.paragraphs[0].text, document.look(document.paragraphs[0])[:align]]).to eq %w[hello center]
      changed = document.replace([document.paragraphs[0].with(direct: set(align: "right", space_after: 6.0))])
      expect(reread(changed).paragraphs[0].direct).to eq set(align: "right", space_after: 6.0)
    end
  end

  it "finds built-in styles by their names, whatever their ids" do
    document = docx(p(r("x"), '<w:pStyle w:val="berschrift1"/>'),
      styles: style("berschrift1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>'))
    expect(document.style_name(document.paragraphs[0])).to eq "Heading 1"
  end

  it "resolves theme fonts and colours" do
    theme = %(<a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:themeElements><a:clrScheme ) +
      %(name="x"><a:dk1><a:sysClr val="windowText" lastClr="112233"/></a:dk1><a:accent1><a:srgbClr val="4F81BD"/>) +
      %(</a:accent1></a:clrScheme><a:fontScheme name="x"><a:majorFont><a:latin typeface="Cambria"/></a:majorFont>) +
      %(<a:minorFont><a:latin typeface="Calibri"/></a:minorFont></a:fontScheme></a:themeElements></a:theme>)
    bytes = package(p(r("x", '<w:rFonts w:ascii="Arial" w:asciiTheme="minorHAnsi"/><w:color ' \
      'w:themeColor="accent1"/>')) +
      p(r("y", '<w:rFonts w:asciiTheme="majorHAnsi"/><w:color w:val="000000" w:themeColor="text1"/>')))
    rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
      %(<Relationship Id="rId9" Type="#{Demo::Package::R}/theme" Target="theme/theme1.xml"/></Relationships>))
    document = Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels,
      "word/theme/theme1.xml" => theme), name: "x")
    expect(document.paragraphs.map { |paragraph| document.letter_look(paragraph).values.values_at(:font, :color) })
      .to eq [["Calibri", "#4f81bd"], ["Cambria", "#000000"]]
  end

  it "keeps other parts: notes, headers, footers" do
    document = docx(p(r("x") + note(1)) + section, footnotes: footnote(1, "a note"), footer: page_number)
    expect(document.stories.map { |s| [s.kind, s.paragraphs.map(&:text).join] })
      .to eq [["footnote", " a note"], ["footer", "1"]]
  end

  it "counts markers as ISO 2145 numbers headings" do
    levels = (0..2).map { |n|
      %(<w:lvl w:ilvl="#{n}"><w:start w:val="1"/><w:numFmt w:val="decimal"/><w:pStyle ) +
        %(w:val="H#{n + 1}"/><w:lvlText w:val="#{(1..n + 1).map { |i| "%#{i}" }.join(".")}"/></w:lvl>)
    }.join
    numbering = %(<w:numbering xmlns:w="#{Demo::Package::W}"><w:abstractNum ) +
      %(w:abstractNumId="0">#{levels}</w:abstractNum><w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num>) +
      %(</w:numbering>)
    bytes = package([1, 2, 2, 3, 1, 2].map { |n| p(r("x"), %(<w:pStyle w:val="H#{n}"/>)) }.join,
      styles: (1..3).map { |n| style("H#{n}", "heading #{n}", ppr: '<w:numPr><w:numId w:val="1"/></w:numPr>') }.join)
    rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
      %(<Relationship Id="rId9" Type="#{Demo::Package::R}/numbering" Target="numbering.xml"/></Relationships>))
    document = Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels,
      "word/numbering.xml" => numbering), name: "x")
    expect(document.markers.values).to eq %w[1 1.1 1.2 1.2.1 2 2.1]
  end
end
