# frozen_string_literal: true

RSpec.describe Norvel::Edits::StyleWords do
  include Values

  let(:document) do
    made(p(r("Read Salt and Timber, then ") + r("Salt and Timber", italic: true) + note(1) + r(" again.")),
      footnotes: footnote(1, "n"))
  end

  def styled(document, words, nth, name)
    described_class.new(1, described_class.range(document.paragraphs[0], words, nth), name).apply(document).after
  end

  def runs(document) = document.paragraphs[0].runs.map do |run|
    [run.words, document.styles[run.style_id]&.name, document.run_look(run, document.paragraphs[0])[:italic]]
  end

  it "cuts runs where the words begin and end, and reads back the same" do
    after = styled(document, "Salt and Timber", 0, "Work Title")
    expect(runs(after)).to eq [["Read ", nil, false], ["Salt and Timber", "Work Title", true], [", then ", nil, false],
      ["Salt and Timber", nil, true], ["", nil, false], [" again.", nil, false]]
    expect(runs(reread(after))).to eq runs(after)
  end

  it "lets direct italics go where the style is italic, or the two would cancel (17.7.3)" do
    after = styled(document, "Salt and Timber", 1, "Emphasis")
    expect(runs(after)[1]).to eq ["Salt and Timber", "Emphasis", true]
    expect(after.paragraphs[0].runs[1].direct).to be_empty
  end

  it "goes over notes, and off again" do
    after = styled(document, "Timber again", 0, "Strong")
    expect(after.paragraphs[0].text).to eq document.paragraphs[0].text
    expect(part(written(after), "word/document.xml")).to include("w:footnoteReference")
    off = styled(after, "Timber again", 0, nil)
    expect(reread(off).paragraphs[0].runs.map(&:style_id).compact).to be_empty
  end

  it "lets words look as their paragraph does: off go its style and what is set by hand, a meaning stays" do
    kept = made(p(r("The ") + r("tide", italic: true, bold: true, language: "de-DE", position: "super")))
    edit = described_class.new(1, 4..7, nil, plain: true)
    now = edit.apply(kept).after
    expect([now.paragraphs[0].runs[1].direct.keys.sort, edit.title(kept)])
      .to eq [%i[language position], "Let “tide” look as its paragraph does"]
  end

  it "says when the words are not there" do
    expect { styled(document, "Salt", 2, "Strong") }.to raise_error(Norvel::Refused, /not in this paragraph/)
    expect { styled(document, " ", 0, "Strong") }.to raise_error(Norvel::Refused, /No words/)
  end
end
