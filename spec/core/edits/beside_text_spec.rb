# frozen_string_literal: true

# Notes, heads and feet are worked on like the text (ISO/IEC 29500-1 17.10, 17.11).
RSpec.describe "notes, heads and feet" do
  let(:styles) { style("Foot", "Page Foot", based_on: "Normal", ppr: '<w:jc w:val="right"/>') }
  let(:document) do
    docx(p(r("Text") + note(1)) + section, styles:, footnotes: footnote(1, "A note  with double spaces."),
      footer: p(r("Minutes", '<w:b/><w:sz w:val="18"/>'), '<w:jc w:val="center"/>'))
  end
  let(:note_id) { id_in("footnote") }
  let(:foot_id) { id_in("footer") }

  def id_in(kind) = document.stories.find { |story| story.kind == kind }.paragraphs.first.id

  def one(document, kind) = document.stories.find { |story| story.kind == kind }.paragraphs.first

  it "have ids of their own, and roles by where they stand" do
    expect(document.everything.map(&:id).uniq.size).to eq document.everything.size
    expect([note_id, foot_id].map { |id| Norvel::Survey.role(document, document.paragraph(id)) })
      .to eq %w[note running_head]
    expect([document.working.size, document.story_of(foot_id).kind, document.story_of(1)]).to eq [3, "footer", nil]
  end

  it "go in styles, and are written so" do
    change = Norvel::Edits::PutInStyle.new([foot_id], "Page Foot").apply(document)
    foot = one(reread(change.after), "footer")
    expect([foot.style_id, foot.direct, change.beside, change.count]).to eq ["Foot", set, {"footer" => 1}, 1]
    made = Norvel::Edits::PutInStyle.new([foot_id], "Running Foot", look: :theirs).apply(document).after
    expect([reread(made).styles.named("Running Foot").run[:size], one(reread(made), "footer").runs[0].direct])
      .to eq [9.0, set]
  end

  it "are cleared, cleaned, and taken back to the same bytes" do
    edits = [Norvel::Edits::ClearDirect.new(:all), Norvel::Edits::SingleSpaces.new([note_id]),
      Norvel::Edits::SetValue.new([foot_id], :align, "left"), Norvel::Edits::LetStyleSay.new([foot_id, note_id])]
    edits.each do |edit|
      change = edit.apply(document)
      expect(written(change.take_back(change.after))).to eq written(document)
      saved = Norvel::Snapshot.load(Norvel::Snapshot.dump(change.after, document), document)
      expect(saved.stories).to eq change.after.stories
    end
    expect(one(edits[1].apply(document).after, "footnote").text).to include "note with double"
    expect(one(reread(edits[0].apply(document).after), "footer").runs[0].direct).to eq set
  end

  it "are checked, and their findings say where" do
    guide = Norvel::Guide.new("norvel_guide: 1\nname: T\nclean: {direct_formatting: forbid, double_spaces: forbid}")
    found = Norvel::Guide::Check.new(guide, document).findings.map do |finding|
      [finding.rule, document.story_of(finding.paragraph)&.kind]
    end
    expect(found).to contain_exactly(["clean.double_space", "footnote"], ["clean.direct", "footnote"],
      ["clean.direct", "footer"])
    after = Norvel::Guide::Plan.new(guide, document).after
    expect(one(after, "footnote").text).to include "note with double"
  end

  it "can't be split, joined, moved or deleted, and say so" do
    edits = [Norvel::Edits::SplitParagraph.new(note_id, 2), Norvel::Edits::JoinParagraphs.new(note_id),
      Norvel::Edits::DeleteParagraphs.new([foot_id]),
      Norvel::Edits::RunIn.new([note_id]), Norvel::Edits::MoveParagraphs.new([note_id], "up")]
    edits.each { |edit| expect { edit.apply(document) }.to raise_error(Norvel::Refused) }
  end

  it "open from what earlier editions saved with ids of their own" do
    change = Norvel::Edits::ClearDirect.new([foot_id]).apply(document)
    data = Norvel::Snapshot.inflate(Norvel::Snapshot.dump(change.after, document))
    data[:others][:stories].each { |paragraphs| paragraphs.each { |told| told[0] = 1 if told.is_a?(Array) } }
    expect(Norvel::Snapshot.load(Norvel::Snapshot.deflate(data), document).stories).to eq change.after.stories
  end
end
