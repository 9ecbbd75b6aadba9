# frozen_string_literal: true

# From one format into another: what is carried looks as it did by the other format's own rules, what is not is told.
RSpec.describe Norvel::Formats::Conversion do
  def to(document, name) = Norvel::Formats.write(document, as: name)

  def read(written) = Norvel::Formats.read(written.bytes, name: "converted")

  def seen(document) = document.paragraphs.map do |one|
    [one.text, document.look(one).values.values_at(:align, :indent_left, :space_after, :outline_level),
      document.letter_look(one).values.values_at(:size, :bold, :font)]
  end

  def odt(body, **parts) = OpenDocument.new(body, **parts).document

  describe "from WordprocessingML to OpenDocument" do
    let(:document) do
      docx(p(r("Head"), '<w:pStyle w:val="Heading1"/>') +
        p(r("Plain ") + r("bold", "<w:b/>") + r(" both", '<w:rStyle w:val="Strong"/>'),
          '<w:pStyle w:val="BodyText"/>') + p(r("Loud "), '<w:pStyle w:val="Loud"/>'),
        styles: defaults("Calibri", 22) + style("Normal", "Normal", default: true, ppr: '<w:spacing w:after="120"/>') +
        style("BodyText", "Body Text", based_on: "Normal", ppr: '<w:jc w:val="both"/><w:ind w:firstLineChars="200"/>') +
          style("Heading1", "heading 1", based_on: "Normal", ppr: '<w:outlineLvl w:val="0"/>',
            rpr: '<w:b/><w:sz w:val="32"/>') + style("Loud", "Loud", based_on: "Normal", rpr: "<w:b/>") +
          style("Strong", "Strong", type: "character", rpr: "<w:b/>"))
    end
    let(:written) { to(document, "odt") }

    it "looks as it did" do
      expect(seen(read(written))).to eq seen(document)
    end

    it "has the styles under the names that are usual there" do
      expect(read(written).paragraphs.map { |one| read(written).style_name(one) })
        .to eq ["Heading 1", "Text body", "Loud"]
      expect(read(written).styles["Text_20_body"].based_on).to eq "Standard"
    end

    it "says what follows the letters in points (ISO/IEC 29500-1 17.3.1.12 firstLineChars)" do
      expect(read(written).look(read(written).paragraphs[1])[:first_line]).to eq 22.0
    end

    it "is a heading by its element" do
      expect(Norvel::Formats::Container.new(written.bytes).read("content.xml"))
        .to include '<text:h text:outline-level="1" text:style-name="Heading_20_1">Head</text:h>'.b
          .force_encoding("UTF-8").b
    end

    it "says the widow control that is on where nothing is said (17.3.1.44), and is off in the other (20.385)" do
      expect(Norvel::Formats::Container.new(written.bytes).read("styles.xml"))
        .to match(/style:default-style style:family="paragraph".*?fo:widows="2"/m)
    end

    # 17.7.3: what toggles in one format does not in the other.
    it "has what cancels itself as it is seen" do
      twice = docx(p(r("loud ") + r("soft", '<w:rStyle w:val="Strong"/>'), '<w:pStyle w:val="Loud"/>'),
        styles: style("Normal", "Normal", default: true) + style("Loud", "Loud", rpr: "<w:b/>") +
        style("Strong", "Strong", type: "character", rpr: "<w:b/>"))
      again = read(to(twice, "odt"))
      expect(again.paragraphs.first.runs.map { |run| [run.text, again.run_look(run, again.paragraphs.first)[:bold]] })
        .to eq [["loud ", true], ["soft", false]]
    end

    it "takes nothing into a contents list that is nowhere closed" do
      begun = '<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> TOC </w:instrText></w:r><w:r>' \
        '<w:fldChar w:fldCharType="separate"/></w:r>'
      xml = Norvel::Formats::Container.new(to(docx(p(begun + r("One")) + p(r("Two"))), "odt").bytes).read("content.xml")
      expect(xml).not_to include "table-of-content"
    end

    it "divides a paragraph at a page break in it, and says so" do
      broken = docx(p('<w:r><w:t xml:space="preserve">one </w:t><w:br w:type="page"/><w:t>two</w:t></w:r>'))
      expect(read(to(broken, "odt")).paragraphs.map(&:text)).to eq ["one ", "two"]
      expect(to(broken, "odt").carried.to_h[:approximate])
        .to eq [{what: "breaks inside a paragraph", count: 1, how: "the paragraph is divided there"}]
    end

    it "carries tables, notes, links, images and fields" do
      expect(Norvel::Seal.of(read(to(thesis, "odt"))).counts).to eq Norvel::Seal.of(thesis).counts.except(:note_sign)
    end

    it "carries the thesis with every word, look, list and heading" do
      again = read(to(thesis, "odt"))
      expect(again.paragraphs.size).to eq thesis.paragraphs.size + 9
      back = read(to(again, "docx"))
      expect(back.word_count).to eq thesis.word_count
      expect(seen(back).tally).to eq seen(again).tally
    end

    it "tells what has no name there, with its place" do
      odd = docx(p(r("a")) + p(r("b") + "<w:r><w:object/></w:r>"))
      expect(to(odd, "odt").carried.to_h[:not_carried])
        .to eq [{what: "what has no name in the other format (object)", count: 1, places: [2]}]
    end

    it "carries sections with their pages, heads and numbers" do
      body = p(r("front"), '<w:sectPr><w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1440" w:bottom="1440" ' \
        'w:left="1700" w:right="1440" w:header="700" w:footer="700"/><w:pgNumType w:fmt="lowerRoman"/></w:sectPr>') +
        p(r("body")) +
        '<w:sectPr><w:pgSz w:w="16838" w:h="11906" w:orient="landscape"/><w:pgMar w:top="1440" w:bottom="1440" ' \
        'w:left="1440" w:right="1440" w:header="700" w:footer="700"/><w:pgNumType w:start="1"/></w:sectPr>'
      document = docx(body)
      again = read(to(document, "odt"))
      values = ->(one) {
        one.sections.map { |section|
          [section.width.round, section.margin_left.round,
            section.number_format, section.number_start]
        }
      }
      expect(values[again]).to eq values[document]
      expect(values[read(to(again, "docx"))]).to eq values[document]
    end
  end

  describe "from OpenDocument to WordprocessingML" do
    let(:list) do
      '<text:list-style style:name="L1"><text:list-level-style-number text:level="1" style:num-format="1" ' \
        'style:num-suffix="."><style:list-level-properties text:list-level-position-and-space-mode="label-alignment">' \
        '<style:list-level-label-alignment fo:margin-left="1cm" fo:text-indent="-0.5cm"/>' \
        "</style:list-level-properties></text:list-level-style-number></text:list-style>"
    end

    it "carries lists with their numbers, and what goes on without one where it stands" do
      document = odt('<text:list text:style-name="L1"><text:list-item><text:p>a</text:p><text:p>more</text:p>' \
        '</text:list-item><text:list-item text:start-value="5"><text:p>b</text:p></text:list-item></text:list>',
        automatic: list)
      again = read(to(document, "docx"))
      expect(again.paragraphs.map { |one| again.markers[one.id] }).to eq ["1.", nil, "5."]
      expect(again.paragraphs.map { |one| again.look(one)[:indent_left].round }).to eq [28, 28, 28]
    end

    it "carries headings that are numbered by the outline, bound to their styles (17.9.23)" do
      styles = '<style:style style:name="Heading_20_1" style:display-name="Heading 1" style:family="paragraph" ' \
        'style:default-outline-level="1"/><text:outline-style style:name="Outline"><text:outline-level-style ' \
        'text:level="1" style:num-format="1"/></text:outline-style>'
      document = odt('<text:h text:style-name="Heading_20_1" text:outline-level="1">a</text:h><text:h ' \
        'text:style-name="Heading_20_1" text:outline-level="1">b</text:h>', styles:)
      again = read(to(document, "docx"))
      expect([again.markers.values, again.paragraphs.map { |one| again.style_name(one) }.uniq])
        .to eq [%w[1 2], ["Heading 1"]]
      expect(again.numbering.definitions.values.first.levels[0].style_id).to eq "Heading1"
    end

    it "rounds sizes to half points, and says so" do
      document = odt('<text:p text:style-name="P1">x</text:p>',
        automatic: '<style:style style:name="P1" style:family="paragraph"><style:text-properties ' \
        'fo:font-size="10.3pt"/></style:style>')
      written = to(document, "docx")
      expect(read(written).letter_look(read(written).paragraphs.first)[:size]).to eq 10.5
      expect(written.carried.to_h[:approximate].map { |one| one[:what] }).to eq ["Size"]
    end

    it "compares looks where a blank paragraph had to be added, and tells of that one too" do
      small = '<style:style style:name="P1" style:family="paragraph"><style:text-properties fo:font-size="10.3pt"/>' \
        "</style:style>"
      table = "<table:table><table:table-column/><table:table-row><table:table-cell><text:p>cell</text:p>" \
        "</table:table-cell></table:table-row></table:table>"
      written = to(odt(%(<text:p text:style-name="P1">x</text:p>#{table}), automatic: small), "docx")
      expect(written.carried.to_h[:approximate].map { |one| [one[:what], one[:count]] })
        .to contain_exactly(["blank paragraphs", 1], ["Size", 1])
    end

    it "carries contents lists as fields" do
      body = '<text:table-of-content text:name="c"><text:table-of-content-source text:outline-level="2"/>' \
        "<text:index-body><text:p>One 1</text:p><text:p>Two 2</text:p></text:index-body></text:table-of-content>" \
        "<text:p>after</text:p>"
      bytes = to(odt(body), "docx").bytes
      xml = Norvel::Formats::Container.new(bytes).read("word/document.xml")
      expect(xml).to match(/fldCharType="begin".*TOC \\o &quot;1-2&quot;|TOC \\o "1-2"/m)
      expect(read(to(read(to(odt(body), "docx")), "odt")).paragraphs.map(&:text)).to eq ["One 1", "Two 2", "after"]
    end

    it "shortens names of bookmarks that are too long there (17.13.6.2)" do
      name = "a" * 60
      document = odt(%(<text:p>x<text:bookmark-start text:name="#{name}"/>y<text:bookmark-end text:name="#{name}"/>) +
        %(</text:p>))
      made = read(to(document, "docx")).paragraphs.first.anchors.map { |one| one.object.name }.compact.first
      expect(made.size).to be <= 40
    end

    it "carries cells over rows and columns as one grid" do
      body = '<table:table><table:table-column table:number-columns-repeated="3"/><table:table-row><table:table-cell ' \
        'table:number-columns-spanned="2" table:number-rows-spanned="2"><text:p>big</text:p></table:table-cell>' \
        "<table:covered-table-cell/><table:table-cell><text:p>a</text:p></table:table-cell></table:table-row>" \
        "<table:table-row><table:covered-table-cell/><table:covered-table-cell/><table:table-cell><text:p>b</text:p>" \
        "</table:table-cell></table:table-row></table:table>"
      table = read(to(odt(body), "docx")).tables.first
      expect(table.rows.map { |row| row.cells.map { |cell| [cell.columns, cell.rows, cell.continued] } })
        .to eq [[[2, 2, false], [1, 1, false]], [[2, 1, true], [1, 1, false]]]
    end
  end

  it "tells what the package held that no paragraph shows" do
    changed = docx(p('<w:ins w:id="1" w:author="a"><w:r><w:t>new</w:t></w:r></w:ins><w:del w:id="2" w:author="a">' \
      "<w:r><w:delText>old</w:delText></w:r></w:del>") + "<w:sdt><w:sdtContent>#{p(r("held"))}</w:sdtContent></w:sdt>")
    expect(to(changed, "odt").carried.to_h)
      .to eq(approximate: [{what: "tracked insertions", count: 1, how: "plain text"},
        {what: "content controls", count: 1, how: "their contents"}],
        not_carried: [{what: "tracked deletions", count: 1, places: []}])
    body = "<text:tracked-changes><text:changed-region><text:deletion><text:p>old</text:p></text:deletion>" \
      "</text:changed-region></text:tracked-changes><text:p>kept</text:p>"
    macro = odt(body, files: {"Basic/Standard/Module1.xml" => "<m/>"})
    expect(to(macro, "docx").carried.to_h[:not_carried].map { |one| one[:what] }).to eq ["tracked deletions", "macros"]
    expect(to(macro, "html").carried.to_h[:not_carried].map { |one| one[:what] }).to include "macros"
  end

  it "makes one file of a package and back" do
    document = MixedOpen.new(3).document
    flat = read(to(document, "fodt"))
    expect(flat.format).to eq "fodt"
    expect(SameDocument.new(*[document, flat].map { |one| Norvel::Formats::Odt::Canonical.of(one) })
      .differences.grep_v(/section/)).to be_empty
    expect(Norvel::Seal.of(read(to(flat, "odt"))).words).to eq Norvel::Seal.of(document).words
  end

  it "refuses to hand over a file that lost a word" do
    report = Norvel::Formats::CarryReport.new
    lossy = Norvel::Formats["odt"]
      .with(builder: ->(document, told) { Norvel::Formats::Odt::Builder.new(document.without([1]), told).bytes })
    expect { described_class.new(docx(p(r("first")) + p(r("second"))), lossy, report:).written }
      .to raise_error(Norvel::Unwritable, /same words/)
  end

  it "is the same bytes for the same document" do
    document = docx(p(r("words")))
    expect(to(document, "odt").bytes).to eq to(document, "odt").bytes
  end

  it "carries documents mixed by chance there and back, with the looks they had" do
    differing = SomeOf.seeds(1..12).flat_map do |seed|
      [[Mixed.new(seed).document, "odt"], [MixedOpen.new(seed).document, "docx"]].flat_map do |document, name|
        there = read(to(document, name))
        back = read(to(there, document.format))
        next [] unless back.paragraphs.size == document.paragraphs.size
        SameDocument.new(document, back, ignore: %i[borders size space_after])
          .differences.grep_v(/section|beside|marker|text |style |indent|first_line/).map do |text|
            "#{seed} #{name} #{text}"
          end
      end
    end
    expect(differing.first(3)).to be_empty
  end
end
