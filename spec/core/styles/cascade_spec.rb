# frozen_string_literal: true

RSpec.describe Norvel::Styles::Cascade do
  def on(value)
    {nil => "", true => "<w:b/>", false => '<w:b w:val="0"/>'}.fetch(value)
  end

  # ISO/IEC 29500-1 17.7.3, the truth table: defaults, table style, paragraph style, character style, direct → result.
  [
    [nil, nil, true, nil, nil, true],
    [nil, nil, nil, true, nil, true],
    [nil, nil, true, true, nil, false],
    [nil, true, true, nil, nil, false],
    [nil, true, nil, true, nil, false],
    [nil, true, true, true, nil, true],
    [nil, true, false, nil, nil, true],
    [nil, nil, true, false, nil, true],
    [true, nil, true, nil, nil, true],
    [true, nil, true, true, nil, true],
    [nil, nil, true, true, true, true],
    [nil, nil, true, nil, false, false],
    [true, nil, nil, nil, false, false],
    [nil, nil, nil, nil, nil, false]
  ].each do |defaults, table, paragraph, character, direct, result|
    it "resolves bold #{[defaults, table, paragraph, character, direct].inspect} to #{result}" do
      styles = "#{style("P", "P", rpr: on(paragraph))}#{style("C", "C", rpr: on(character),
        type: "character")}#{style("T", "T", rpr: on(table), type: "table")}"
      inner = %(<w:p><w:pPr><w:pStyle w:val="P"/></w:pPr><w:r><w:rPr><w:rStyle w:val="C"/>#{on(direct)}</w:rPr>) +
        %(<w:t>x</w:t></w:r></w:p>)
      document = docx(%(<w:tbl><w:tblPr><w:tblStyle w:val="T"/></w:tblPr><w:tr><w:tc>#{inner}</w:tc></w:tr></w:tbl>),
        styles:, defaults: "<w:docDefaults><w:rPrDefault><w:rPr>#{on(defaults)}</w:rPr></w:rPrDefault></w:docDefaults>")
      expect(document.run_look(document.paragraphs[0].runs[0], document.paragraphs[0])[:bold]).to be result
    end
  end

  it "lets the nearest of one chain win, without toggling" do
    document = docx(p(r("x"), '<w:pStyle w:val="B"/>'), styles: style("A", "A", rpr: "<w:b/>") +
      style("B", "B", based_on: "A", rpr: "<w:b/>"))
    expect(document.letter_look(document.paragraphs[0])[:bold]).to be true
  end

  # 17.7.2, order of application.
  def size_of(direct: "", character: "", paragraph: '<w:sz w:val="24"/>')
    document = docx(%(<w:p><w:pPr><w:pStyle w:val="P"/></w:pPr><w:r><w:rPr><w:rStyle w:val="C"/>#{direct}</w:rPr>) +
      %(<w:t>x</w:t></w:r></w:p>),
      styles: style("P", "P", rpr: paragraph) + style("C", "C", rpr: character, type: "character"),
      defaults: '<w:docDefaults><w:rPrDefault><w:rPr><w:sz w:val="20"/></w:rPr></w:rPrDefault></w:docDefaults>')
    document.letter_look(document.paragraphs[0])[:size]
  end

  it "applies defaults, paragraph style, character style, direct formatting in this order" do
    expect([size_of(paragraph: ""), size_of, size_of(character: '<w:sz w:val="28"/>'),
      size_of(character: '<w:sz w:val="28"/>', direct: '<w:sz w:val="22"/>')]).to eq [10.0, 12.0, 14.0, 11.0]
  end

  def look(ppr, styles: "", body: nil)
    document = docx(body || p(r("x"), ppr), styles:)
    document.look(document.paragraphs[0])
  end

  # 17.3.1.33 and 17.3.1.12: attributes merge one by one, firstLine and hanging are one slot.
  {
    ["before and after of a style, after set directly", '<w:pStyle w:val="P"/><w:spacing w:after="0"/>',
      '<w:spacing w:before="240" w:after="120"/>'] => {space_before: 12.0, space_after: 0.0},
    ["hanging of a style, left set directly", '<w:pStyle w:val="P"/><w:ind w:left="1440"/>',
      '<w:ind w:left="720" w:hanging="360"/>'] => {indent_left: 72.0, first_line: -18.0},
    ["first line over hanging of a style", '<w:pStyle w:val="P"/><w:ind w:firstLine="360"/>',
      '<w:ind w:hanging="720"/>'] => {first_line: 18.0},
    ["hanging wins in one element", '<w:ind w:firstLine="360" w:hanging="720"/>', ""] => {first_line: -36.0},
    ["start and end are left and right", '<w:ind w:start="720" w:end="360"/>',
      ""] => {indent_left: 36.0, indent_right: 18.0},
    ["a justified paragraph", '<w:jc w:val="both"/>', ""] => {align: "justify"},
    ["right to left turns the sides", '<w:bidi/><w:jc w:val="left"/>', ""] => {align: "right"},
    ["line without rule is 240ths", '<w:spacing w:line="276"/>', ""] => {line_spacing: {rule: "multiple", value: 1.15}},
    ["line 360 auto", '<w:spacing w:line="360" w:lineRule="auto"/>',
      ""] => {line_spacing: {rule: "multiple", value: 1.5}},
    ["line exact", '<w:spacing w:line="480" w:lineRule="exact"/>', ""] => {line_spacing: {rule: "exact", value: 24.0}},
    ["line at least", '<w:spacing w:line="240" w:lineRule="atLeast"/>',
      ""] => {line_spacing: {rule: "at_least", value: 12.0}},
    ["lines beat points", '<w:spacing w:before="240" w:beforeLines="100"/>', ""] => {space_before: 12.0},
    ["automatic beats both", '<w:spacing w:before="240" w:beforeAutospacing="1"/>', ""] => {space_before: 14.0},
    ["outline level 0 is 1", '<w:outlineLvl w:val="0"/>', ""] => {outline_level: 1},
    ["outline level 9 is body text", '<w:outlineLvl w:val="9"/>', ""] => {outline_level: 0},
    ["widow control set nowhere is on", "", ""] => {widow_control: true},
    ["widow control off", '<w:widowControl w:val="0"/>', ""] => {widow_control: false},
    ["universal measures", '<w:spacing w:before="12pt"/><w:ind w:left="2.54cm"/>',
      ""] => {space_before: 12.0, indent_left: 72.0}
  }.each do |(name, ppr, in_style), expected|
    it "reads #{name}" do
      expect(expected.keys.to_h { |key| [key, look(ppr, styles: style("P", "P", ppr: in_style))[key]] }).to eq expected
    end
  end

  it "takes the default paragraph style for none and for a missing one (17.3.1.27)" do
    own = style("Own", "Own default", default: true, ppr: '<w:jc w:val="center"/>')
    expect([look("", styles: own), look('<w:pStyle w:val="Gone"/>', styles: own)].map { |l| l[:align] })
      .to eq %w[center center]
  end

  it "ends a chain at a missing base, at another type and at a circle" do
    styles = style("A", "A", based_on: "B", ppr: '<w:jc w:val="center"/>') + style("B", "B", based_on: "A") +
      style("X", "X", based_on: "Gone", ppr: '<w:jc w:val="right"/>')
    document = docx(p(r("x"), '<w:pStyle w:val="A"/>') + p(r("x"), '<w:pStyle w:val="X"/>'), styles:)
    expect(document.paragraphs.map { |paragraph| document.look(paragraph)[:align] }).to eq %w[center right]
    expect(document.styles.circular).to eq %w[A B]
  end

  describe "a list's indents" do
    let(:numbering) do
      %(<w:numbering xmlns:w="#{Demo::Package::W}"><w:abstractNum w:abstractNumId="0"><w:lvl w:ilvl="0"><w:start ) +
        %(w:val="1"/><w:numFmt w:val="decimal"/><w:lvlText w:val="%1."/><w:pPr><w:ind w:left="1000" w:hanging="500"/>) +
        %(</w:pPr></w:lvl></w:abstractNum><w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num></w:numbering>)
    end

    def with_numbering(ppr, in_style)
      bytes = package(p(r("x"), ppr), styles: style("L", "List Paragraph", ppr: in_style))
      rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
        %(<Relationship Id="rId9" Type="#{Demo::Package::R}/numbering" Target="numbering.xml"/></Relationships>))
      document = Norvel::Formats.read(repackage(bytes, "word/_rels/document.xml.rels" => rels,
        "word/numbering.xml" => numbering), name: "x")
      [document.look(document.paragraphs[0])[:indent_left], document.markers.values]
    end

    # Common practice (formats: the level stands just before the place that supplied the list).
    it "beat the style when the paragraph is put in the list directly" do
      expect(with_numbering('<w:pStyle w:val="L"/><w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr>',
        '<w:ind w:left="720"/>')).to eq [50.0, ["1."]]
    end
    it "yield to the style that supplies the list" do
      expect(with_numbering('<w:pStyle w:val="L"/>', '<w:numPr><w:numId w:val="1"/></w:numPr><w:ind w:left="720"/>'))
        .to eq [36.0, ["1."]]
    end
    it "are not there when the list is switched off" do
      expect(with_numbering('<w:pStyle w:val="L"/><w:numPr><w:numId w:val="0"/></w:numPr>',
        '<w:numPr><w:numId w:val="1"/></w:numPr>')).to eq [0.0, []]
    end
  end

  it "applies a table's conditional formats in their order (17.7.6)" do
    table_style = %(<w:style w:type="table" w:styleId="T"><w:name w:val="T"/><w:rPr><w:sz w:val="18"/></w:rPr>) +
      %(<w:tblStylePr w:type="firstRow"><w:rPr><w:b/><w:sz w:val="24"/></w:rPr></w:tblStylePr><w:tblStylePr ) +
      %(w:type="firstCol"><w:rPr><w:sz w:val="30"/></w:rPr></w:tblStylePr><w:tblStylePr w:type="nwCell"><w:rPr><w:sz ) +
      %(w:val="40"/></w:rPr></w:tblStylePr></w:style>)
    cell = "<w:tc>#{p(r("x"))}</w:tc>"
    document = docx(%(<w:tbl><w:tblPr><w:tblStyle w:val="T"/><w:tblLook w:val="00A0"/></w:tblPr>) +
      %(<w:tr>#{cell * 2}</w:tr><w:tr>#{cell * 2}</w:tr></w:tbl>), styles: table_style)
    expect(document.paragraphs.map { |paragraph| document.letter_look(paragraph).values.values_at(:size, :bold) })
      .to eq [[20.0, true], [12.0, true], [15.0, false], [9.0, false]]
  end

  it "explains a value layer by layer" do
    document = docx(p(r("x"), '<w:pStyle w:val="B"/><w:spacing w:after="60"/>'),
      styles: style("A", "A", ppr: '<w:spacing w:after="240"/>') + style("B", "B", based_on: "A"))
    steps = document.cascade.explain(:space_after, document.paragraphs[0])
    expect(steps.map { |step| [step.kind, step.style&.name, step.value, step.won] })
      .to eq [[:style, "A", 12.0, false], [:direct, nil, 3.0, true]]
  end

  it "shares looks: equal ones are one object" do
    document = docx(p(r("one"), '<w:jc w:val="center"/>') + p(r("two"), '<w:jc w:val="center"/>'))
    expect(document.look(document.paragraphs[0])).to equal document.look(document.paragraphs[1])
  end

  it "takes complex-script sizes for complex-script runs" do
    document = docx(p(r("x", '<w:sz w:val="20"/><w:szCs w:val="32"/><w:rtl/>')))
    expect(document.letter_look(document.paragraphs[0])[:size]).to eq 16.0
  end

  # What the bench tells of a value and the value it shows come from one resolution.
  describe "where a value comes from" do
    def told(document, name, run = nil)
      document.cascade.explain(name, document.paragraphs[0], run).map { |step| [step.kind, step.value, step.won] }
    end

    it "is the automatic space of a style over points set here (ISO/IEC 29500-1 17.3.1.33: beforeAutospacing " \
      "beats before)" do
      document = docx(p(r("x"), '<w:pStyle w:val="A"/><w:spacing w:after="120"/>'),
        styles: style("A", "A", ppr: '<w:spacing w:afterAutospacing="1"/>'))
      expect(told(document, :space_after)).to eq [[:style, 14.0, true], [:direct, 6.0, false]]
      expect(document.look(document.paragraphs[0])[:space_after]).to eq 14.0
    end

    it "is the toggle that was thrown last, and both that cancel each other are told" do
      styles = style("A", "A", rpr: "<w:b/>") + style("C", "C", type: "character", rpr: "<w:b/>")
      document = docx(p(r("x", '<w:rStyle w:val="C"/>') + r("y"), '<w:pStyle w:val="A"/>'), styles:)
      one, other = document.paragraphs[0].runs
      expect(told(document, :bold, one)).to eq [[:style, true, false], [:character, true, true]]
      expect([document.run_look(one, document.paragraphs[0])[:bold], told(document, :bold, other)])
        .to eq [false, [[:style, true, true]]]
    end

    it "is what is decided, whatever is set where" do
      random = Random.new(5)
      pieces = {
        '<w:spacing w:before="100"/>' => :space_before, '<w:spacing w:beforeLines="200"/>' => :space_before,
        '<w:spacing w:beforeAutospacing="1"/>' => :space_before,
        '<w:ind w:left="500"/>' => :indent_left, '<w:ind w:leftChars="150"/>' => :indent_left,
        '<w:jc w:val="right"/>' => :align, "<w:keepNext/>" => :keep_with_next,
        '<w:keepNext w:val="0"/>' => :keep_with_next
      }
      60.times do
        base, own, direct = Array.new(3) do
          pieces.keys.sample(random.rand(0..3), random:).uniq { |xml| xml[/<w:\w+/] }.join
        end
        document = docx(p(r("x"), "<w:pStyle w:val=\"B\"/>#{direct}"), styles: style("A", "A", ppr: base) +
          style("B", "B", based_on: "A", ppr: own))
        look = document.look(document.paragraphs[0])
        pieces.values.uniq.each do |name|
          expect([name, document.cascade.decided(name, document.paragraphs[0]).value]).to eq [name, look[name]]
        end
      end
    end
  end

  # formats.md 2.6: the larger of two, their sum where the file says so, none between paragraphs of one style that want
  # none.
  it "knows the space between two paragraphs" do
    above, below = {space_after: 6.0, contextual_spacing: false}, {space_before: 10.0, contextual_spacing: true}
    between = ->(same_style:,
      **settings) {
      Norvel::Formats::Docx::CascadeRules.space_between(above, below, same_style:,
        settings: Norvel::Document::Settings.new(**settings))
    }
    expect([between.call(same_style: false), between.call(same_style: false, sum_spaces: true),
      between.call(same_style: true)]).to eq [10.0, 16.0, 6.0]
  end
end
