# frozen_string_literal: true

RSpec.describe Norvel::Seal do
  it "covers text, tables, boxes, notes, headers and footers" do
    base = docx(p(r("Text") + note(1)) + "<w:tbl><w:tr><w:tc>#{p(r("Cell"))}</w:tc></w:tr></w:tbl>" + section,
      footnotes: footnote(1, "A note"), footer: page_number)
    other_note = docx(p(r("Text") + note(1)) + "<w:tbl><w:tr><w:tc>#{p(r("Cell"))}</w:tc></w:tr></w:tbl>" + section,
      footnotes: footnote(1, "Another note"), footer: page_number)
    expect(Norvel::Seal.of(base).same_words?(Norvel::Seal.of(other_note))).to be false
    cell = base.paragraphs.find { |paragraph| paragraph.part == :table }
    changed = base.replace([cell.with(runs: [cell.runs[0].with(text: "Other")])])
    expect(Norvel::Seal.of(base).same_words?(Norvel::Seal.of(changed))).to be false
  end

  it "takes every white space as one space, and says exactly what is exact" do
    one, other = docx(p(r("a b")) + p("") + p(r("c"))), docx(p(r("a  b")) + p(r("\tc")))
    expect(Norvel::Seal.of(one).same_words?(Norvel::Seal.of(other))).to be true
    expect(Norvel::Seal.of(one) == Norvel::Seal.of(other)).to be false
  end

  it "does not mind formatting" do
    expect(Norvel::Seal.of(docx(p(r("a", "<w:b/>"), '<w:jc w:val="center"/>')))).to eq Norvel::Seal.of(docx(p(r("a"))))
  end

  it "counts words" do
    expect(docx(p(r("one two")) + p(r("three\tfour\nfive"))).word_count).to eq 5
  end
end

RSpec.describe Norvel::Snapshot do
  it "tells little of a document that was hardly touched" do
    touched = thesis.replace([thesis.paragraphs[3].with(style_id: "Heading1")])
    expect(described_class.dump(touched, thesis).bytesize).to be < 4000
  end

  it "brings back sheets, sections and info" do
    changed = [Norvel::Edits::SetPage.new([1], {margin_left: 100.0}),
      Norvel::Edits::Describe.new({title: "T", language: "de"}),
      Norvel::Edits::DefineStyle.new("New", values: {size: 9.0, line_spacing: {rule: "exact", value: 11.0}})]
      .inject(thesis) { |now, edit| edit.change(now) }
    again = described_class.load(described_class.dump(changed, thesis), thesis)
    expect(again.sections).to eq changed.sections
    expect(again.info).to eq changed.info
    expect(again.styles.by_id).to eq changed.styles.by_id
    expect(again.styles.run_defaults).to eq changed.styles.run_defaults
  end

  it "refuses what another edition wrote" do
    bytes = Zlib.deflate(JSON.generate(version: 99))
    expect { described_class.load(bytes, thesis) }.to raise_error(Norvel::Error, /another edition/)
  end
end

RSpec.describe Norvel::Edits::Change do
  def change(before, &)
    described_class.between(before, before.with(paragraphs: before.paragraphs.dup.tap(&).freeze), title: "t")
  end

  let(:document) { docx((1..6).map { |n| p(r("p#{n}")) }.join) }

  it "finds what was taken out, put in and set, and takes it all back" do
    fresh = document.paragraphs[0].with(id: 99, source: nil)
    made = change(document) do |list|
      list.delete_at(4)
      list.insert(2, fresh)
      list[0] = list[0].with(style_id: "X")
    end
    expect(made.splices.map { |position, old, new| [position, old.size, new.size] })
      .to eq [[0, 1, 1], [2, 0, 1], [5, 1, 0]]
    expect(made.take_back(made.after).paragraphs).to eq document.paragraphs
    expect(made.count).to eq 3
  end

  it "is nothing where nothing changed" do
    expect(change(document) { |list| list }.nothing?).to be true
  end

  it "takes back the loss of everything" do
    made = change(document, &:clear)
    expect(made.take_back(made.after).paragraphs).to eq document.paragraphs
  end
end

RSpec.describe Norvel::Edits::Preview do
  it "shows what would be touched and what would look otherwise, and touches nothing" do
    document = docx(p(r("a"), '<w:pStyle w:val="S"/>') * 2 + p(r("b")), styles: style("S", "S"))
    preview = Norvel::Edits::ChangeStyle.new("S", {bold: true}).preview(document)
    expect([preview.touched.size, preview.restyled.size, document.letter_look(document.paragraphs[0])[:bold]])
      .to eq [0, 2, false]
    assigned = Norvel::Edits::PutInStyle.new([3], "S", hand: :stays).preview(document)
    expect([assigned.touched.size, assigned.title]).to eq [1, "Put 1 paragraph in S"]
  end
end
