# frozen_string_literal: true

# Styles are used in notes, headers and footers too: what happens to a style happens to them (ISO/IEC 29500-1 17.10,
# 17.11).
RSpec.describe "styles in notes and footers" do
  let(:styles) do
    style("Note", "footnote text", based_on: "Normal", rpr: '<w:sz w:val="18"/>') +
      style("Sign", "footnote reference", type: "character", rpr: '<w:vertAlign w:val="superscript"/>') +
      style("Foot", "footer", based_on: "Normal", ppr: '<w:jc w:val="center"/>') + style("Spare", "Spare")
  end
  let(:notes) do
    %(<w:footnote w:id="1"><w:p><w:pPr><w:pStyle w:val="Note"/></w:pPr><w:r><w:rPr>) +
      %(<w:rStyle w:val="Sign"/></w:rPr><w:footnoteRef/></w:r>) +
      %(#{r(" A note.")}</w:p></w:footnote>)
  end
  let(:document) do
    docx(p(r("Text") + %(<w:r><w:rPr><w:rStyle w:val="Sign"/></w:rPr><w:footnoteReference w:id="1"/></w:r>)) + section,
      styles:, footnotes: notes, footer: p(r("page"), '<w:pStyle w:val="Foot"/>'))
  end

  def note(document) = document.stories.find { |story| story.kind == "footnote" }.paragraphs[0]

  def footer(document) = document.stories.find { |story| story.kind == "footer" }.paragraphs[0]

  it "counts them as used" do
    expect(document.styles_used.keys).to match_array %w[Normal Note Sign Foot]
  end

  it "puts what is in a deleted style in another, in every part" do
    gone = Norvel::Edits::DeleteStyles.new(%w[Foot Sign]).apply(document).after
    expect([footer(gone).style_id, note(gone).runs.map(&:style_id), gone.paragraphs[0].runs.map(&:style_id)])
      .to eq ["Normal", [nil, nil], [nil, nil]]
    expect([footer(reread(gone)).style_id, note(reread(gone)).runs.first.style_id]).to eq ["Normal", nil]
  end

  it "keeps the look of a footer and of a note's sign when asked" do
    kept = reread(Norvel::Edits::DeleteStyles.new(%w[Foot Sign], keep_look: true).apply(document).after)
    expect([kept.look(footer(kept))[:align], kept.run_look(note(kept).runs.first, note(kept))[:position]])
      .to eq %w[center super]
  end

  it "merges in notes too" do
    merged = reread(Norvel::Edits::MergeStyles.new("Note", "Spare").apply(document).after)
    expect(note(merged).style_id).to eq "Spare"
  end

  it "outlives saving and is taken back to the same bytes" do
    change = Norvel::Edits::DeleteStyles.new(%w[Foot Note], keep_look: true).apply(document)
    saved = Norvel::Snapshot.load(Norvel::Snapshot.dump(change.after, document), document)
    expect([saved.stories, Norvel::Seal.of(saved)]).to eq [change.after.stories, Norvel::Seal.of(document)]
    back = Norvel::Snapshot.take_back(Norvel::Snapshot.dump_change(change, document), change.after, document)
    expect(written(back)).to eq written(document)
    expect(change.take_back(change.after).stories).to eq document.stories
  end

  it "leaves parts alone that nothing changed" do
    bytes = written(Norvel::Edits::DeleteStyles.new(["Foot"]).apply(document).after)
    expect(part(bytes, "word/footnotes.xml")).to eq part(document.source.bytes, "word/footnotes.xml")
    expect(part(bytes, "word/footer1.xml")).to include('<w:pStyle w:val="Normal"/>')
  end
end
