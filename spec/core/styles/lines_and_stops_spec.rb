# frozen_string_literal: true

RSpec.describe Norvel::Styles::Types::Borders do
  subject(:type) { described_class.new }

  # What is typed is said again in the same words.
  ["none", "above 0.5 pt", "below 1 pt", "box 0.5 pt", "above 0.5 pt, below double 1.5 pt #1f3864", "left dotted 3 pt",
    "between 0.25 pt"].each do |words|
    it("reads and says “#{words}”") { expect(type.spoken(type.typed(words))).to eq words }
  end

  {"below" => "below 0.5 pt", "Above Double" => "above double 0.5 pt", "box 1mm" => "box 2.88 pt"}.each do |typed, said|
    it("reads “#{typed}” as #{said}") { expect(type.spoken(type.typed(typed))).to eq said }
  end

  {"under 1 pt" => /not a side/, "below 40 pt" => /between 0.25 pt and 12 pt/, "below much" => /not a length/,
   "below #a00" => /not a colour/}.each do |typed, complaint|
    it("refuses “#{typed}”") { expect { type.typed(typed) }.to raise_error(Norvel::Refused, complaint) }
  end

  # ISO/IEC 29500-1 17.18.2: eighths of a point.
  it "counts widths in eighths of a point, in points" do
    expect(type.typed("below 1.1 pt")[:bottom].width).to eq 1.125
    expect(Norvel::Formats::Docx::Codecs::Borders.attributes(type.typed("below 1 pt")[:bottom])[:sz]).to eq "8"
  end

  it "switches inherited lines off, and sets only what differs" do
    below = type.typed("box 0.5 pt")
    expect(type.over(below, type.typed("below 0.5 pt")).transform_values(&:kind))
      .to eq(top: "none", left: "none", right: "none")
  end

  it "is drawn by the browser on the sides it has" do
    expect(Norvel::Formats::Html::Stylesheet.borders(type.typed("below double 3 pt #1f3864")))
      .to eq("border-bottom" => "3.0px double #1f3864")
  end
end

RSpec.describe Norvel::Styles::Types::TabStops do
  subject(:type) { described_class.new }

  ["none", "1.25 cm", "6 cm, right 15 cm with dots", "centred 7.5 cm", "decimal 4 cm", "right 16 cm with a line"]
    .each do |words|
    it("reads and says “#{words}”") { expect(type.spoken(type.typed(words), "cm")).to eq words }
  end

  it "says them from left to right" do
    expect(type.spoken(type.typed("right 10 cm; 2 cm"), "cm")).to eq "2 cm, right 10 cm"
  end

  it("takes a comma for a decimal point") { expect(type.spoken(type.typed("1,5 cm"), "cm")).to eq "1.5 cm" }

  {"far out" => /not a tab stop/, "right 5 cm with stars" => /not a leader/, "6 ells" => /not a unit/}
    .each do |typed, complaint|
    it("refuses “#{typed}”") { expect { type.typed(typed) }.to raise_error(Norvel::Refused, complaint) }
  end

  # 17.3.1.38: a stop of the style below is cleared at its place.
  it "clears inherited stops place by place" do
    expect(type.over(type.typed("2 cm, 4 cm"), type.typed("4 cm, 6 cm")).values.map(&:align))
      .to eq %w[left clear]
  end
end

RSpec.describe "lines and tab stops in styles" do
  let(:document) do
    docx(p(r("x"), '<w:pStyle w:val="Own"/>'), styles: style("Own", "Own", based_on: "Base") +
      style("Base", "Base", ppr: '<w:pBdr><w:top w:val="single" w:sz="4" w:space="1" w:color="auto"/></w:pBdr>' \
      '<w:tabs><w:tab w:val="left" w:pos="1134"/></w:tabs>'))
  end

  def change(**values) = Norvel::Edits::ChangeStyle.new("Own",
    values.to_h { |name, text| [name, Norvel::Styles::Properties[name].type.typed(text)] }).apply(document).after

  def said(document, name) = Norvel::Styles::Properties[name].spoken(document.look(document.paragraphs[0])[name], "cm")

  {tabs: ["none", "6 cm", "2 cm, right 15 cm with dots"], borders: ["none", "below 1 pt", "box 0.5 pt"]}
    .each do |name, list|
    list.each do |words|
      it "shows #{name} #{words} over what is inherited, also when read again" do
        after = change(name => words)
        expect([said(after, name), said(reread(after), name)]).to eq [words, words]
      end
    end
  end

  # ISO/IEC 29500-1 CT_PBdr: top, left, bottom, right.
  it "writes the sides in the schema's order" do
    xml = part(written(change(borders: "box 1 pt")), "word/styles.xml")
    expect(xml[%r{w:styleId="Own".*?</w:style>}m].scan(/<w:(top|left|bottom|right) /).flatten)
      .to eq %w[top left bottom right]
  end

  it "keeps the look of a paragraph whose style goes" do
    gone = Norvel::Edits::DeleteStyles.new(["Own"], to: "Normal", keep_look: true).apply(change(tabs: "6 cm")).after
    expect([said(gone, :tabs), said(gone, :borders)]).to eq ["6 cm", "above 0.5 pt"]
  end

  it "tells them as departures where a paragraph sets them" do
    by_hand = docx(p(r("x"), '<w:tabs><w:tab w:val="left" w:pos="1134"/></w:tabs>'))
    expect(Norvel::Survey::Departures.of(by_hand, by_hand.paragraphs[0]).map { |departure| departure.spoken("cm") })
      .to eq ["tab stops 2 cm"]
  end

  it "says a language as BCP 47 does" do
    expect(Norvel::Styles::Properties[:language].type.typed(" en-GB ")).to eq "en-GB"
  end

  it "refuses what is not a language" do
    expect { Norvel::Styles::Properties[:language].type.typed("English!") }.to raise_error(Norvel::Refused)
  end
end
