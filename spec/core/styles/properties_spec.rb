# frozen_string_literal: true

RSpec.describe Norvel::Styles::Properties do
  it "has the keys of the command line's JSON, each once" do
    keys = described_class.all.filter_map(&:json)
    expect(keys).to eq keys.uniq
    expect(keys).to include(:align, :indent_left_pt, :first_line_pt, :line_spacing, :outline_level, :font, :size_pt,
      :color, :position)
    expect(described_class.from_json("space_after_pt").name).to eq :space_after
  end

  it "gives every slot that is part of another a property to be part of" do
    described_class.all.select(&:part_of).each do |slot|
      expect(described_class.slots_of(slot.part_of)).to include(slot.name)
    end
  end

  it "has a place in the format's own table for every property, and nothing there that it does not know" do
    tables = Norvel::Formats::Docx::PropertyTable::CODECS
    others = %i[list_continues page_break_after hyphenated others_paragraph others_run]
    expect(tables.to_h { |place, codecs| [place, codecs.keys.sort] })
      .to eq(%i[paragraph run].to_h { |place| [place, described_class.on(place).map(&:name).sort - others] })
  end

  it "has a range for lengths, which files, forms, guides and the command line all meet" do
    read = docx(p(r("x", '<w:sz w:val="0"/>'),
      '<w:ind w:left="999999"/><w:spacing w:line="9999999" w:lineRule="exact"/>')).paragraphs[0]
    expect([read.runs[0].direct[:size], read.direct[:indent_left], read.direct[:line_spacing][:value]])
      .to eq [1.0, 1584.0, 1584.0]
    expect { described_class[:size].type.typed("0") }.to raise_error(Norvel::Refused, /between 1 pt and 1638 pt/)
    expect { Norvel::Guide::Requirement.of(described_class[:size], "0pt") }
      .to raise_error(Norvel::UnusableGuide, /size.*between/)
    expect { described_class[:space_after].type.typed(-1) }.to raise_error(Norvel::Refused, /between 0 pt/)
  end

  # ISO/IEC 29500-1, 17.3.1 and 17.3.2 (elements), 17.18 (their values): how the standard itself writes these.
  {
    align: ["justify", '<w:jc w:val="both"/>'], indent_left: [36.0, '<w:ind w:left="720"/>'],
    indent_right: [18.0, '<w:ind w:right="360"/>'], first_line: [-18.0, '<w:ind w:hanging="360"/>'],
    space_before: [6.0, '<w:spacing w:before="120"/>'], space_after: [12.0, '<w:spacing w:after="240"/>'],
    line_spacing: [{rule: "multiple", value: 1.5}, '<w:spacing w:line="360" w:lineRule="auto"/>'],
    contextual_spacing: [true, "<w:contextualSpacing/>"], keep_with_next: [true, "<w:keepNext/>"],
    keep_together: [true, "<w:keepLines/>"], widow_control: [false, '<w:widowControl w:val="0"/>'],
    page_break_before: [true, "<w:pageBreakBefore/>"], outline_level: [2, '<w:outlineLvl w:val="1"/>'],
    right_to_left: [true, "<w:bidi/>"], bold: [true, "<w:b/>"], italic: [false, '<w:i w:val="0"/>'],
    underline: ["double", '<w:u w:val="double"/>'], strike: [true, "<w:strike/>"], caps: [true, "<w:caps/>"],
    small_caps: [true, "<w:smallCaps/>"], color: ["#1f3864", '<w:color w:val="1F3864"/>'],
    size: [10.5, '<w:sz w:val="21"/>'], letter_spacing: [1.5, '<w:spacing w:val="30"/>'],
    position: ["super", '<w:vertAlign w:val="superscript"/>'], hidden: [true, "<w:vanish/>"],
    language: ["de", '<w:lang w:val="de"/>']
  }.each do |name, (value, element)|
    it("writes #{name} as the standard has it") { expect(dressed_xml(name, value)).to include element }

    it("reads #{name} as the standard has it") do
      paragraph = (described_class[name].on == :paragraph) ? p(r("x"), element) : p(r("x", element))
      read = docx(paragraph).paragraphs[0]
      expect(((described_class[name].on == :paragraph) ? read.direct : read.runs[0].direct)[name]).to eq value
    end
  end

  def dressed_xml(name, value)
    document = docx(p(r("x")))
    paragraph = document.paragraphs[0]
    on_paragraph = described_class[name].on == :paragraph
    changed = on_paragraph ? paragraph.with(direct: set(name => value)) : paragraph
      .with(runs: [paragraph.runs[0].with(direct: set(name => value))])
    part(written(document.replace([changed])), "word/document.xml")
  end

  # What is written must read back the same: several values of every property that is a plain value.
  describe "through a file" do
    values = {
      align: %w[left right center justify],
      indent_left: [0.0, 36.0, -12.0, 53.85],
      indent_right: [18.0],
      first_line: [36.0, -18.0, 0.0],
      space_before: [0.0, 6.5],
      space_after: [12.0, 0.0],
      line_spacing: [{rule: "multiple", value: 1.15}, {rule: "exact", value: 14.0}, {rule: "at_least", value: 12.5}],
      contextual_spacing: [true, false],
      keep_with_next: [true, false],
      keep_together: [true, false],
      widow_control: [true, false],
      page_break_before: [true, false],
      shading: ["#eef3f7", "auto"],
      outline_level: [1, 9, 0],
      right_to_left: [true, false],
      font: ["Arial", "Times New Roman"],
      size: [10.5, 22.0],
      bold: [true, false],
      italic: [true, false],
      underline: %w[single double none],
      strike: [true, false],
      caps: [true, false],
      small_caps: [true, false],
      color: ["#1f3864", "auto"],
      highlight: ["#ffff00", "auto"],
      letter_spacing: [1.5, -0.5],
      position: %w[super sub normal],
      hidden: [true, false],
      language: %w[en-GB de]
    }.freeze

    values.each do |name, list|
      it "keeps #{name}" do
        property = described_class[name]
        list.each do |value|
          document = docx(p(r("x")))
          paragraph = document.paragraphs[0]
          changed = if property.on == :paragraph
            paragraph.with(direct: set(name => value))
          else
            paragraph.with(runs: [paragraph.runs[0].with(direct: set(name => value))])
          end
          again = reread(document.replace([changed])).paragraphs[0]
          found = (property.on == :paragraph) ? again.direct : again.runs[0].direct
          expect(found[name]).to eq value
        end
      end

      it "takes #{name} out again and leaves nothing" do
        property = described_class[name]
        document = docx(p(r("x")))
        paragraph = document.paragraphs[0]
        with = if property.on == :paragraph
          paragraph.with(direct: set(name => list.first))
        else
          paragraph.with(runs: [paragraph.runs[0].with(direct: set(name => list.first))])
        end
        dressed = reread(document.replace([with]))
        bare = written(dressed.replace([dressed.paragraphs[0].with(direct: set,
          runs: [dressed.paragraphs[0].runs[0].with(direct: set)])]))
        expect(part(bare, "word/document.xml")).not_to match(/<w:(?:pPr|rPr)>/)
      end
    end
  end
end

RSpec.describe Norvel::Styles::Types do
  def property(name)
    Norvel::Styles::Properties[name]
  end

  {
    align: {"centred" => "center", "left" => "left", "justified" => "justify"},
    bold: {"yes" => true, "no" => false, true => true},
    underline: {"yes" => "single", "no" => "none"},
    color: {"#1F3864" => "#1f3864", "automatic" => "auto", "336699" => "#336699"},
    outline_level: {"level 2" => 2, "3" => 3, "body text" => 0},
    size: {"12pt" => 12.0, "10.5" => 10.5, 12 => 12.0},
    line_spacing: {
      "double" => {rule: "multiple", value: 2.0}, "1.15" => {rule: "multiple", value: 1.15},
      1.5 => {rule: "multiple", value: 1.5},
      "exactly 24pt" => {rule: "exact", value: 24.0}, "at least 14 pt" => {rule: "at_least", value: 14.0},
      "14pt" => {rule: "exact", value: 14.0}
    }
  }.each do |name, pairs|
    pairs.each do |typed, value|
      it("understands #{typed.inspect} for #{name}") { expect(property(name).type.typed(typed)).to eq value }
    end
  end

  {align: "sideways", bold: "perhaps", color: "blueish", outline_level: "12", size: "large", line_spacing: "loose"}
    .each do |name, typed|
    it "refuses #{typed.inspect} for #{name}" do
      expect { property(name).type.typed(typed) }.to raise_error(Norvel::Refused, /#{typed}|outline level/)
    end
  end

  it "says what it understood so that it is understood again" do
    {align: "center", bold: true, color: "#336699", outline_level: 2, size: 10.5, space_after: 6.0,
     line_spacing: {rule: "exact", value: 14.0}}.each do |name, value|
      expect(property(name).type.typed(property(name).spoken(value))).to eq value
    end
  end
end
