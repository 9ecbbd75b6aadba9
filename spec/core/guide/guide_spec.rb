# frozen_string_literal: true

RSpec.describe Norvel::Guide do
  include Values

  def guide(yaml)
    described_class.new("norvel_guide: 1\nname: Test\n#{yaml}")
  end

  def findings(document, yaml)
    Norvel::Guide::Check.new(guide(yaml), document).findings
  end

  def said(document, yaml)
    findings(document, yaml).map { |f| [f.rule, f.asked, f.found] }
  end

  it "ships guides that meet its schema" do
    expect(described_class.shipped.keys).to include("ravelmouth-thesis", "ravelmouth-house")
    expect { described_class.shipped.each_value { |shipped| described_class.new(shipped.source) } }.not_to raise_error
  end

  {
    "roles:\n  body:\n    size: 12pt\n    sise: 11pt" => /Line 6: “roles.body.sise” is not a rule/,
    "page:\n  size: A17" => /Line 4: “page.size” must be A3, A4/,
    "clean: {blank_paragraphs: maybe}" => /Line 3: “clean.blank_paragraphs” must be one of forbid/,
    "page: {margins: {top: wide}}" => /Line 3: .*a length such as/,
    "page: [" => /Line \d+: the guide is not YAML/,
    "when: 2026-01-01" => /not plain data|not a rule/,
    "headings: {max_level: 40}" => /a level from 1 to 9/
  }.each { |yaml, message|
    it("refuses #{yaml.inspect} with the line and what was expected") {
      expect { guide(yaml) }
        .to raise_error(Norvel::UnusableGuide, message)
    }
  }

  it "refuses what lacks its head" do
    expect { described_class.new("name: x") }.to raise_error(Norvel::UnusableGuide, /Line 1: lacks norvel_guide/)
    expect { described_class.new("") }.to raise_error(Norvel::UnusableGuide, /empty/)
    expect { described_class.find("none-such") }.to raise_error(Norvel::UnusableGuide, /no guide “none-such”/)
  end

  it "says what it states and Norvel does not check yet" do
    asked = guide("captions: {numbered: by_chapter}\nparts: [{part: colophon}, {part: contents}]")
    expect(Norvel::Guide::Check.new(asked, made(p(r("One")))).unchecked.map { |entry| [entry.rule, entry.why] })
      .to eq [["parts.colophon", "no part of that name is known"]]
  end

  describe "its rules" do
    let(:body) do
      style("BodyText", "Body Text", line_spacing: {rule: "multiple", value: 2.0}, first_line: 36.0,
        size: 12.0)
    end

    it("asks for values, one of several, ranges") do
      document = made(p(r("Text"), style: "BodyText"), styles: body)
      asked = "roles: {body: {size: 11pt, line_spacing: single, first_line: {max: 0.3in}, " \
        "align: {any_of: [center, right]}, space_after: 0pt}}"
      expect(said(document, asked)).to eq [
        ["role.body.line_spacing", "single", "double"], ["role.body.first_line", "at most 0.3 in", "0.5 in"],
        ["role.body.align", "centred or right", "left"], ["role.body.size", "11 pt", "12 pt"]
      ]
    end

    it("takes 2.54 cm for an inch, within one twip, and 2.5 cm not") do
      document = made(p(r("Text"), indent_left: 72.0))
      expect([said(document, "roles: {body: {indent_left: 2.54cm}}").size,
        said(document, "roles: {body: {indent_left: 2.5cm}}").size]).to eq [0, 1]
    end

    it("checks page size and margins within the tolerance") do
      document = made(p(r("x")), page: {margin_left: 107.75})
      expect(said(document, "page: {size: A4, margins: {inside: 38mm, top: 25mm, tolerance: 0.5mm}}")).to be_empty
      expect(said(document, "page: {size: Letter, margins: {left: {min: 40mm}}}"))
        .to eq [["page.size", "Letter", "A4"], ["page.margin.left", "at least 40 mm", "38 mm"]]
    end

    it("finds skipped levels (ISO 14289-1 7.4.2 by analogy: H1 H2 H3 H1 H2 pass, H1 H3 and H2 H3 fail)") do
      headings = ->(*levels) {
        made(levels.flat_map { |n| p(r("H"), style: "H#{n}") },
          styles: (1..3).flat_map { |n| style("H#{n}", "Heading #{n}") })
      }
      expect([[1, 2, 3, 1, 2], [1, 3], [2, 3], [1, 1, 2]]
        .map { |levels| findings(headings.call(*levels), "headings: {skip_levels: false}").size }).to eq [0, 1, 1, 0]
    end

    it("finds formatting by hand but what the guide keeps") do
      document = made(p(r("a ") + r("b", italic: true)) + p(r("c", bold: true), align: "center"))
      expect(said(document, "clean: {direct_formatting: {keep: [italic]}}").map(&:last)).to eq ["alignment, bold"]
    end

    it("finds spacing by hand") do
      document = made(p("") + p(r("\tText  with\nall of it")) + p(r("   led by spaces")))
      expect(findings(document,
        "clean: {blank_paragraphs: forbid, tabs_as_indents: should, spaces_as_indents: advice, double_spaces: " \
        "forbid, line_breaks: forbid}").map { |f| [f.rule, f.severity] }).to contain_exactly(
          ["clean.blank_paragraph", "must"], ["clean.tab_indent", "should"], ["clean.space_indent", "advice"],
          ["clean.double_space", "must"], ["clean.line_break", "must"]
        )
    end

    it("asks for title and language") do
      expect(said(made(p(r("x"))), "accessible: {title: require, language: require}").map(&:first))
        .to eq %w[accessible.title accessible.language]
    end

    it("leaves granted exceptions out") do
      document = made(p(r("x"), align: "center"))
      expect(findings(document,
        "roles: {body: {align: left}}\nexceptions: [{rule: role.body.*, where: {style: Normal}, because: by letter}]"))
        .to be_empty
    end

    it("makes one group of one cause") do
      document = made(p(r("Text"), style: "BodyText") * 5 +
        p(r("By hand"), style: "BodyText", line_spacing: {rule: "multiple", value: 1.25}), styles: body)
      groups = Norvel::Guide::Check.new(guide("roles: {body: {line_spacing: single}}"), document).groups
      expect(groups.map { |group| [group.size, group.first.mend.name, group.first.mend.label] })
        .to eq [[5, "change_style", "Line spacing single in the style Body Text"],
          [1, "change_style", "Line spacing single in Body Text, and clear it where it was set by hand"]]
    end
  end

  describe Norvel::Guide::Plan do
    it "mends what is safe and says what is left with why, the words unchanged" do
      mending = described_class.new(thesis_guide, thesis.with)
      expect(mending.words_unchanged?).to be true
      expect(mending.mended.map { |entry| entry[:rule] })
        .to include("clean.blank_paragraph", "role.body.style", "clean.tab_indent")
      expect(mending.left.group_by { |entry| entry[:rule] }
        .transform_values { |list| list.sum { |entry| entry[:count] } })
        .to eq("clean.blank_paragraph" => 57, "accessible.alt_text" => 10, "clean.direct" => 311, "parts.missing" => 2)
      expect(mending.left.map { |entry| entry[:why] }).to include("they hold places on the title page",
        "it would change how it looks: alignment", "no guide asks for that style")
      expect(mending.white_space_removed[:blank_paragraphs]).to be > 100
      expect(described_class.new(thesis_guide, mending.after)).to be_nothing
    end

    it "does only what it is asked to" do
      mending = described_class.new(thesis_guide, thesis, only: %w[clean.double_space])
      expect(mending.mended.map { |entry| entry[:rule] }).to eq %w[clean.double_space]
    end
  end
end
