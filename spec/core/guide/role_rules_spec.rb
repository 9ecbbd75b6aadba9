# frozen_string_literal: true

RSpec.describe Norvel::Guide::Rules::RoleRules do
  include Values

  let(:running) do
    "The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years."
  end
  let(:body_style) { style("BodyText", "Body Text", size: 12.0) }
  let(:guide) do
    Norvel::Guide.new(<<~YAML)
      norvel_guide: 1
      name: Test
      roles:
        body: {style: Body Text, size: 12pt, bold: false, font: Arial}
        heading_1: {style: Heading 1, bold: true, size: {min: 14pt}}
        quote: {style: Block Quote, from_words: 15, indent_left: 0.5in}
        table_text: {size: {max: 11pt}}
    YAML
  end

  def check(body, styles: [])
    Norvel::Guide::Check.new(guide, made(body, styles:, defaults: {font: "Arial", size: 12.0}))
  end

  def rules(body, styles: [])
    check(body, styles:).findings.map(&:rule)
  end

  def mended(body, styles: [])
    Norvel::Guide::Plan.new(guide, made(body, styles:, defaults: {font: "Arial", size: 12.0})).after
  end

  it "finds nothing where all is as asked" do
    expect(rules(p(r(running), style: "BodyText") * 3, styles: body_style)).to be_empty
  end

  it "judges every letter by font and size, and most of them by emphasis" do
    mixed = p(r(running) + r(" and a word", size: 10.0) + r(" in bold", bold: true),
      style: "BodyText")
    expect(rules(mixed + (p(r(running), style: "BodyText") * 3), styles: body_style))
      .to eq ["role.body.size"]
  end

  it "lets note marks and indices be smaller" do
    small = p(r(running) + r("2", position: "super", size: 8.0),
      style: "BodyText")
    expect(rules(small, styles: body_style)).to be_empty
  end

  it "leaves symbols in their font" do
    symbol = p(r(running) + r("\uF0FC", font: "Symbol"),
      style: "BodyText")
    expect(rules(symbol, styles: body_style)).to be_empty
  end

  it "speaks of short quotations only where the guide does" do
    quotes = style("BlockQuote", "Block Quote")
    short = p(r("Six words are a short quotation"), style: "BlockQuote")
    long = p(r(running), style: "BlockQuote")
    expect([rules(short, styles: quotes), rules(long, styles: quotes)]).to eq [[], ["role.quote.indent_left"]]
  end

  it "judges text in tables as such" do
    table = (p("A cell") + p("12")).map { |paragraph| paragraph.with(part: :table) }
    expect(rules(table + p(r(running), style: "BodyText"), styles: body_style))
      .to eq ["role.table_text.size"] * 2
  end

  describe "a heading that is one by its look alone" do
    let(:text) { (p(r("Sources", bold: true, size: 18.0)) + p(r(running), style: "BodyText") * 3) * 2 }

    it "is found as such, with the reasons, and is not judged as body text" do
      findings = check(p(r(running), style: "BodyText") + text, styles: body_style).findings
      expect(findings.map(&:rule).uniq).to eq ["headings.unmarked"]
      expect(findings.first.found).to include("larger than the text")
    end

    it "is put in its style, and keeps its look" do
      document = mended(p(r(running), style: "BodyText") + text, styles: body_style)
      headings = document.paragraphs.select { |paragraph| paragraph.text == "Sources" }
      expect(headings.map { |paragraph| document.style_name(paragraph) }).to eq ["Heading 1", "Heading 1"]
      expect(document.letter_look(headings.first)[:bold]).to be true
    end
  end

  describe "mends" do
    it "changes the style where the style is the cause" do
      document = mended(p(r(running), style: "BodyText") * 2,
        styles: style("BodyText", "Body Text", size: 10.0))
      expect(document.styles["BodyText"].run[:size]).to eq 12.0
    end

    it "clears what was set by hand where the style is right" do
      document = mended(p(r(running, size: 10.0), style: "BodyText") +
        (p(r(running), style: "BodyText") * 2), styles: body_style)
      expect(document.paragraphs[0].runs[0].direct).to be_empty
      expect(document.styles["BodyText"].run[:size]).to eq 12.0
    end

    it "never changes the base of all styles for the sake of body text" do
      document = mended(p(r(running, size: 10.0)) * 3,
        styles: style("Heading1", "Heading 1", based_on: "Normal"))
      expect(document.styles["Normal"].run).to be_empty
      expect(document.paragraphs.map { |paragraph| document.style_name(paragraph) }.uniq).to eq ["Body Text"]
    end

    it "makes a style that is missing with all that the guide asks of it" do
      document = mended(p(r(running)) * 3)
      made = document.styles.named("Body Text")
      expect([made.run[:size], made.run[:font], made.run[:bold]]).to eq [12.0, "Arial", false]
    end

    it "is done in one go, and a second time changes nothing" do
      once = mended(p(r(running, size: 10.0)) * 3)
      expect(Norvel::Guide::Plan.new(guide, once)).to be_nothing
    end
  end

  it "keeps its findings of paragraphs that an edit did not touch, and finds the same as anew" do
    document = made(p(r(running)) * 3 + p(r(running), style: "BodyText"), styles: body_style)
    before = Norvel::Guide::Check.new(guide, document)
    edited = Norvel::Edits::PutInStyle.new([2], "BodyText", hand: :stays).change(document)
    after = Norvel::Guide::Check.new(guide, edited, before:)
    anew = Norvel::Guide::Check.new(guide, edited)
    expect(after.findings.map { |f| [f.rule, f.paragraph, f.found] }).to eq anew.findings.map { |f|
      [f.rule, f.paragraph, f.found]
    }
    expect(after.on(1)).to equal before.on(1)
  end

  it "asks before it takes away what alone says that a paragraph is a heading" do
    plain = Norvel::Guide.new("norvel_guide: 1\nname: T\nroles: {heading_2: {bold: false}}\n")
    heading = {bold: true, size: 15.0}
    body = (p(r("The tide book", **heading)) + p(r(running)) * 3) * 3
    document = made(body, defaults: {font: "Arial", size: 12.0})
    found = Norvel::Guide::Check.new(plain, document).findings.select { |one| one.rule == "role.heading_2.bold" }
    found += Norvel::Guide::Check.new(Norvel::Guide.new(plain.source.sub("heading_2", "heading_1")), document).findings
      .select { |one| one.rule == "role.heading_1.bold" }
    expect(found.map { |one| [one.mend.safe, one.mend.why] }.uniq)
      .to eq [[false, "nothing but its look says what it is"]]
    after = Norvel::Guide::Plan.new(plain, document).after
    expect(after.paragraphs.map { |one| after.letter_look(one)[:bold] }.tally).to eq true => 3, false => 9
  end
end
