# frozen_string_literal: true

RSpec.describe Norvel::Edits::ClearDirect do
  let(:kinds) do
    ["<w:b/>", "<w:i/>", '<w:u w:val="single"/>', "<w:strike/>", '<w:highlight w:val="yellow"/>', "<w:smallCaps/>",
      '<w:vertAlign w:val="superscript"/>', '<w:lang w:val="de-DE"/>']
  end

  def slots(document) = document.paragraphs.map { |one| one.runs.map { |run| run.direct.keys } }

  it "keeps what sets part of a paragraph apart, also where it is most of it, and not a look of the whole" do
    body = kinds.map { |kind| p(r("most of this is set apart here ", kind) + r("rest")) }.join +
      p(r("whole", "<w:b/><w:strike/>")) + p(r("red ", '<w:color w:val="FF0000"/>') + r("black"))
    cleared = described_class.new(:all, keep_emphasis: true).apply(docx(body)).after
    expect(slots(cleared)).to eq [[:bold, :bold_complex], [:italic, :italic_complex], [:underline], [:strike],
      [:highlight], [:small_caps], [:position], [:language]].map { |kept| [kept, []] } + [[[]], [[], []]]
  end

  it "clears all of it but position and language when nothing is kept" do
    body = kinds.map { |kind| p(r("set apart ", kind) + r("rest")) }.join
    expect(slots(described_class.new(:all).apply(docx(body)).after))
      .to eq [[], [], [], [], [], [], [:position], [:language]].map { |kept| [kept, []] }
  end
end

# A preface among numbered chapters: its heading has no number, and a style of its own can say so.
RSpec.describe Norvel::Edits::StyleUnnumbered do
  it "moves what has its number switched off, prints the same, and keeps its place in contents lists" do
    numbered = Norvel::Edits::NumberHeadings.new("decimal")
      .change(docx(p(r("Preface"), '<w:pStyle w:val="H"/>') + p(r("One"), '<w:pStyle w:val="H"/>') +
      p(r("Two"), '<w:pStyle w:val="H"/>'), styles: style("H", "heading 1", ppr: '<w:outlineLvl w:val="0"/>')))
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
