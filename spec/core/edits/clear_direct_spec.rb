# frozen_string_literal: true

RSpec.describe Norvel::Edits::ClearDirect do
  include Values

  let(:kinds) do
    [{bold: true, bold_complex: true}, {italic: true, italic_complex: true}, {underline: "single"}, {strike: true},
      {highlight: "#ffff00"}, {small_caps: true}, {position: "super"}, {language: "de-DE"}]
  end

  def slots(document) = document.paragraphs.map { |one| one.runs.map { |run| run.direct.keys } }

  it "keeps what sets part of a paragraph apart, also where it is most of it, and not a look of the whole" do
    body = kinds.flat_map { |kind| p(r("most of this is set apart here ", **kind) + r("rest")) } +
      p(r("whole", bold: true, strike: true)) + p(r("red ", color: "#ff0000") + r("black"))
    cleared = described_class.new(:all, keep_emphasis: true).apply(made(body)).after
    expect(slots(cleared)).to eq [[:bold, :bold_complex], [:italic, :italic_complex], [:underline], [:strike],
      [:highlight], [:small_caps], [:position], [:language]].map { |kept| [kept, []] } + [[[]], [[], []]]
  end

  it "clears all of it but position and language when nothing is kept" do
    body = kinds.flat_map { |kind| p(r("set apart ", **kind) + r("rest")) }
    expect(slots(described_class.new(:all).apply(made(body)).after))
      .to eq [[], [], [], [], [], [], [:position], [:language]].map { |kept| [kept, []] }
  end
end

# A preface among numbered chapters: its heading has no number, and a style of its own can say so.
RSpec.describe Norvel::Edits::StyleUnnumbered do
  include Values

  it "moves what has its number switched off, prints the same, and keeps its place in contents lists" do
    numbered = Norvel::Edits::NumberHeadings.new("decimal")
      .change(made(p(r("Preface"), style: "H") + p(r("One"), style: "H") +
      p(r("Two"), style: "H"), styles: style("H", "Heading 1", outline_level: 1)))
    off = Norvel::Edits::PutInList.new([1], 0, level: nil).change(numbered)
    expect(off.markers.values_at(1, 2, 3).map(&:to_s)).to eq ["", "1", "2"]
    change = described_class.new("H").apply(off)
    after = reread(change.after)
    expect([after.style_name(after.paragraphs[0]), after.paragraphs[0].direct,
      after.look(after.paragraphs[0])[:outline_level]]).to eq ["Heading 1 Unnumbered", set, 1]
    expect(after.markers.values_at(1, 2, 3).map(&:to_s)).to eq ["", "1", "2"]
    expect(change.title).to eq "Make Heading 1 Unnumbered of 1 paragraph"
    expect { described_class.new("H").apply(numbered) }.to raise_error(Norvel::Refused, /switched off/)
  end
end
