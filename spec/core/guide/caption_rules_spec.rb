# frozen_string_literal: true

# captions.missing, captions.place.
RSpec.describe Norvel::Guide::Rules::CaptionRules do
  include Values

  def guide(rules) = Norvel::Guide.new("norvel_guide: 1\nname: G\ncaptions: {#{rules}}\n")

  def caption(text) = p(r(text), style: "Caption")

  def figure = p(object(Norvel::Document::Image.new(id: 1, width: 70.9, height: 70.9)))

  def captioned(body) = made(body + p(r("The end of the text, in many plain words.")),
    styles: style("Caption", "Caption"))

  def found(document, rules = "figure: below, table: above, missing: forbid")
    Norvel::Guide::Check.new(guide(rules), document).findings.reject { |one| one.rule == "captions.number" }
      .map { |one| [one.rule, one.message] }
  end

  let(:cells) { table([%w[a b]]) }

  it "is content with a figure over its caption and a table under its own" do
    expect(found(captioned(figure + caption("Figure 1. Tides") + caption("Table 1. Dues") + cells))).to eq []
  end

  it "finds figures and tables without one; a caption of the other kind is none" do
    expect(found(captioned(figure + caption("Table 1. Dues") + cells)))
      .to eq [["captions.missing", "A figure has no caption"]]
    expect(found(captioned(p(r("Text before it, plain words.")) + cells)))
      .to eq [["captions.missing", "A table has no caption"]]
    expect(found(captioned(figure), "figure: below")).to eq []
  end

  it "finds a caption on the other side, and moves that of a figure" do
    document = captioned(p(r("Text before the figure.")) + caption("Figure 1. Tides") + figure)
    expect(found(document)).to eq [["captions.place", "The caption of a figure stands above it"]]
    finding = Norvel::Guide::Check.new(guide("figure: below"), document).findings.first
    expect(finding.mend.safe).to be false
    expect(found(finding.mend.edit([finding], guide("figure: below")).apply(document).after)).to eq []
    expect(found(captioned(cells + caption("Table 1. Dues")), "table: above"))
      .to eq [["captions.place", "The caption of a table stands below it"]]
  end

  it "takes captions in other languages for what they say" do
    expect(found(captioned(figure + caption("Abbildung 1: Gezeiten") + caption("Tabelle 1: Abgaben") + cells))).to eq []
  end
end
