# frozen_string_literal: true

# Structure as other writers have it: all of it is read, checked, laid out, mended, converted.
RSpec.describe "files of other writers" do
  const_set(:SPACES, {office: "office", style: "style", text: "text", table: "table", draw: "drawing",
                      fo: "xsl-fo-compatible", svg: "svg-compatible"}
    .map { |prefix, name| %(xmlns:#{prefix}="urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0") }.join(" ") +
    ' xmlns:xlink="http://www.w3.org/1999/xlink"')

  def fodt(body, automatic: "", masters: "", styles: "")
    xml = %(<office:document #{self
      .class::SPACES} office:version="1.3" office:mimetype="application/vnd.oasis.opendocument.text">) +
      %(<office:styles>#{styles}</office:styles>) +
      %(<office:automatic-styles>#{automatic}</office:automatic-styles>) +
      %(<office:master-styles>#{masters}</office:master-styles><office:body><office:text>#{body}</office:text>) +
      %(</office:body></office:document>)
    Norvel::Formats.read(xml, name: "x.fodt")
  end

  def with_body(xml)
    good = package(p(r("x")))
    whole = part(good, "word/document.xml")
    Norvel::Formats.read(repackage(good,
      "word/document.xml" => whole.sub(%r{<w:body>.*</w:body>}m, "<w:body>#{xml}</w:body>")), name: "x.docx")
  end

  # Everything that is done with a document.
  def worked(document)
    check = Norvel::Guide::Check.new(thesis_guide, document)
    Norvel::Layout.of(document)
    mended = Norvel::Guide::MendSafe.new(thesis_guide).apply(document).after
    other = %w[docx fodt].find { |format| format != document.format }
    [check.findings, Norvel::Guide::Check.new(thesis_guide, document, before: check).findings,
      Norvel::Formats.write(mended).bytes,
      *[other, "html", "markdown", "text"].map { |format| Norvel::Formats.write(document, as: format).bytes }].all?
  end

  text = "<w:p><w:r><w:t>Some words of it.</w:t></w:r></w:p>"
  set_up = '<w:sectPr><w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1440" w:right="1440" w:bottom="1440" ' \
    'w:left="1440" w:header="708" w:footer="708"/></w:sectPr>'
  {
    "no section set-up" => [text, 1, 1], "content after the section set-up" => ["#{text}#{set_up}#{text}", 1, 2],
    "the section set-up first" => ["#{set_up}#{text}", 1, 1],
    "two of them at the end" => ["#{text}#{set_up}#{set_up}", 2, 1],
    "one in a content control" => ["#{text}<w:sdt><w:sdtContent>#{set_up}</w:sdtContent></w:sdt>", 1, 1],
    "an empty one" => ["#{text}<w:sectPr/>", 1, 1], "nothing at all" => ["", 1, 0],
    "a table whose first cell " \
    "holds nothing" => ["#{text}<w:tbl><w:tr><w:tc/><w:tc>#{text}</w:tc></w:tr></w:tbl>#{text}", 1, 3],
    "a table alone" => ["<w:tbl><w:tr><w:tc><w:p/></w:tc></w:tr></w:tbl>", 1, 1]
  }.each do |kind, (body, sections, paragraphs)|
    it "may have #{kind}" do
      document = with_body(body)
      expect([document.sections.size, document.paragraphs.size]).to eq [sections, paragraphs]
      expect(document.paragraphs.map(&:section)).to all be <= sections
      expect(worked(document)).to be true
    end
  end

  it "are refused in a sentence where their XML is cut in its first element" do
    good = package(p(r("x")))
    whole = part(good, "word/document.xml")
    [20, whole.index("<w:document") + 30, whole.size / 2].each do |size|
      expect { Norvel::Formats.read(repackage(good, "word/document.xml" => whole[0, size]), name: "x.docx") }
        .to raise_error(Norvel::UnreadableFile, /not well-formed/)
    end
  end

  describe "notes" do
    def with_notes(first, second)
      bytes = package(%(<w:p><w:r><w:t>text</w:t></w:r><w:r><w:footnoteReference w:id="1"/></w:r></w:p>#{section}))
      relation = %(<Relationship Id="rId77" Type="#{Demo::Package::R}/footnotes" Target="footnotes.xml"/>) +
        %(</Relationships>)
      type = %(<Override PartName="/word/footnotes.xml" ) +
        %(ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.footnotes+xml"/></Types>)
      notes = {1 => first, 2 => second}.map do |id, cited|
        %(<w:footnote w:id="#{id}"><w:p><w:r><w:t>note #{id}</w:t>) +
          %(</w:r>#{%(<w:r><w:footnoteReference w:id="#{cited}"/></w:r>) if cited}</w:p></w:footnote>)
      end
      Norvel::Formats.read(repackage(bytes,
        "word/_rels/document.xml.rels" => part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>", relation),
        "[Content_Types].xml" => part(bytes, "[Content_Types].xml").sub("</Types>", type),
        "word/footnotes.xml" => %(<w:footnotes xmlns:w="#{Demo::Package::W}">#{notes.join}</w:footnotes>)),
        name: "x.docx")
    end

    {"that cite themselves" => [1, nil], "that cite each other in a ring" => [2, 1],
     "that cite what is not there" => [9, nil]}.each do |kind, cited|
      it("may be some #{kind}") { expect(worked(with_notes(*cited))).to be true }
    end

    it "may stand in notes in an .odt" do
      note = ->(inner) {
        %(<text:note text:note-class="footnote"><text:note-citation>1</text:note-citation>) +
          %(<text:note-body><text:p>note#{inner}</text:p></text:note-body></text:note>)
      }
      expect(worked(fodt("<text:p>text#{note[note[""]]}</text:p>"))).to be true
    end
  end

  describe "pages" do
    # ISO/IEC 26300-1 20.184 (fo:break-after).
    it "may end with a paragraph that says so, by its style or by hand" do
      style = ->(name, parent =
        "") {
        %(<style:style style:name="#{name}" style:family="paragraph" #{parent}><style:paragraph-properties ) +
          %(fo:break-after="page"/></style:style>)
      }
      document = fodt('<text:p text:style-name="P1">a</text:p><text:p text:style-name="S">b</text:p><text:p>c</text:p>',
        automatic: style["P1"], styles: style["S"])
      expect(Norvel::Layout.of(document).sheets.map { |sheet| [sheet.lines.map(&:text), sheet.ended_by] })
        .to eq [[["a"], :page_break], [["b"], :page_break], [["c"], :end]]
      converted = Norvel::Formats.read(Norvel::Formats.write(document, as: "docx").bytes, name: "x.docx")
      expect(Norvel::Layout.of(converted).sheets.map { |sheet| sheet.lines.map(&:text) }).to eq [["a"], ["b"], ["c"]]
    end

    def headed(box, lines: 3)
      layout = %(<style:page-layout style:name="L"><style:page-layout-properties fo:page-width="595pt" ) +
        %(fo:page-height="842pt" fo:margin-top="40pt" fo:margin-bottom="40pt" fo:margin-left="70pt" ) +
        %(fo:margin-right="70pt"/>) +
        "<style:header-style><style:header-footer-properties #{box}/></style:header-style></style:page-layout>"
      master = %(<style:master-page style:name="Standard" style:page-layout-name="L">) +
        %(<style:header>#{"<text:p>head</text:p>" * lines}</style:header></style:master-page>)
      Norvel::Layout.of(fodt("<text:p>a</text:p>", automatic: layout, masters: master)).sheets.first.frame.top.round(1)
    end

    # ISO/IEC 26300-1 17.3, 20.254: a least height grows with what stands in it, and keeps its gap unless that is
    # dynamic.
    it "have heads of a least or a fixed height, with gaps that stay or shrink" do
      three = Norvel::Layout::Fonts.face(font: "Times New Roman").line_height * 12.0 * 3
      expect(headed('fo:min-height="60pt" fo:margin-bottom="12pt"')).to eq 100.0
      expect(headed('fo:min-height="20pt" fo:margin-bottom="12pt"')).to be_within(0.2).of(40 + three + 12)
      expect(headed('fo:min-height="20pt" fo:margin-bottom="12pt" style:dynamic-spacing="true"'))
        .to be_within(0.2).of(40 + three)
      expect(headed('svg:height="20pt" fo:margin-bottom="12pt"')).to eq 60.0
    end

    # ISO/IEC 29500-1 17.6.11: a negative margin is the distance of the text, whatever the head takes.
    it "have a margin that no head pushes, in a .docx that says it as negative, kept when written" do
      bytes = package(p(r("x")) + section(top: -720), footer: page_number)
      tall = ->(top) { Norvel::Layout.of(with_tall_head(bytes.dup, top)).sheets.first.frame.top }
      expect([tall[-720], tall[720] > 60]).to eq [36.0, true]
      document = with_tall_head(bytes, -720)
      changed = document.with(sections: [document.sections.first.with(margin_top: 50.0)].freeze)
      expect(reread(changed).sections.first.to_h.slice(:margin_top, :fixed_top))
        .to eq(margin_top: 50.0, fixed_top: true)
      other = Norvel::Formats.read(Norvel::Formats.write(document, as: "odt").bytes, name: "x.odt")
      expect(other.sections.first.to_h.slice(:margin_top, :fixed_top)).to eq(margin_top: 36.0, fixed_top: true)
    end

    def with_tall_head(bytes, top)
      relation = %(<Relationship Id="rId78" Type="#{Demo::Package::R}/header" Target="header9.xml"/></Relationships>)
      type = %(<Override PartName="/word/header9.xml" ) +
        %(ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.header+xml"/></Types>)
      whole = part(bytes, "word/document.xml").sub(/w:top="-?\d+"/, %(w:top="#{top}"))
        .sub("<w:sectPr>", '<w:sectPr><w:headerReference w:type="default" r:id="rId78"/>')
      Norvel::Formats.read(repackage(bytes,
        "word/_rels/document.xml.rels" => part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>", relation),
        "[Content_Types].xml" => part(bytes, "[Content_Types].xml").sub("</Types>", type), "word/document.xml" => whole,
        "word/header9.xml" => %(<w:hdr xmlns:w="#{Demo::Package::W}">#{p(r("head")) * 6}</w:hdr>)), name: "x.docx")
    end
  end

  describe "white space in an .odt" do
    let(:line) do
      fodt('<text:p>a <draw:frame text:anchor-type="as-char" svg:width="1cm" svg:height="1cm"><draw:image ' \
        'xlink:href="x.png"/></draw:frame> b c</text:p>')
    end

    def rewritten(document)
      one = document.paragraphs[0]
      runs = one.runs.map { |run| run.with(text: run.text.sub("c", "see")) }
      Norvel::Formats.write(document.replace([one.with(runs: runs.freeze)])).bytes[%r{<text:p.*</text:p>}m]
    end

    it "stays at both sides of an object that stands as a character, and is plain spaces again" do
      expect(line.paragraphs[0].raw_text).to eq "a \uFFFC b c"
      expect(rewritten(line)).to match(%r{\A<text:p>a <draw:frame.*</draw:frame> b see</text:p>\z})
    end

    it "is a plain space after a note, and told where it would be lost" do
      note = '<text:note text:note-class="footnote"><text:note-citation>1</text:note-citation><text:note-body>' \
        "<text:p>n</text:p></text:note-body></text:note>"
      expect(rewritten(fodt("<text:p>a#{note} b c</text:p>"))).to end_with("</text:note> b see</text:p>")
      expect(rewritten(fodt("<text:p>a<text:s/>#{note}<text:s/>b c</text:p>")))
        .to match(%r{a<text:s/><text:note.*</text:note><text:s/>b see})
    end
  end
end
