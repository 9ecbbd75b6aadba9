# frozen_string_literal: true

# Edits whose purpose is to change words or where paragraphs end.
RSpec.describe Norvel::Edits do
  include Values

  let(:document) do
    made(p(r("One ") + r("bold", bold: true) + r(" end")) + p(r("Note") + note(1) + r(" here")) + p(r("Last")),
      footnotes: footnote(1, "n"))
  end

  def texts(document) = document.paragraphs.map(&:text)

  def same_when_read(document) = expect(reread(document).paragraphs.map { |p| [p.text, p.runs.map(&:words)] })
    .to(eq(document.paragraphs.map { |p| [p.text, p.runs.map(&:words)] }))

  it "retypes a paragraph and keeps formatting where words stay" do
    change = described_class::Retype.new(1, "One bolder end").apply(document)
    expect(change.after.paragraphs[0].runs.map { |run| [run.text, run.direct[:bold]] })
      .to eq [["One ", nil], ["bolder", true], [" end", nil]]
    expect([change.words_changed, change.take_back(change.after).paragraphs]).to eq [true, document.paragraphs]
    same_when_read(change.after)
  end

  it "retypes at the begin, at the end, all of it and nothing" do
    {"One bold end!" => ["One ", "bold", " end!"], "No. One bold end" => ["No. One ", "bold", " end"], "x" => ["x"],
     "One bold end" => ["One ", "bold", " end"], "One  end" => ["One ", " end"]}.each do |text, runs|
      after = described_class::Retype.new(1, text).change(document)
      expect([after.paragraphs[0].text, after.paragraphs[0].runs.map(&:text)]).to eq [text, runs]
      same_when_read(after)
    end
  end

  it "splits a heading in which a bookmark stands, as of a contents list" do
    edges = {"start" => 0, "end" => 24}.map { |edge, place|
      Norvel::Document::Anchor.new(place, Norvel::Document::Bookmark.new(edge:, id: "4", name: "_Toc4"))
    }
    marked = made(p("The gate and its keepers").map { |one| one.with(anchors: edges) } + p(r("Text")))
    odt = Norvel::Formats.read(Norvel::Formats.write(marked, as: "odt").bytes, name: "marked.odt")
    [marked, odt].each do |whole|
      after = described_class::Retype.new(whole.paragraphs.first.id, ["The gate ", "and its keepers"]).apply(whole)
        .after
      expect(texts(after)).to eq ["The gate ", "and its keepers", "Text"]
      back = reread(after)
      expect(back.paragraphs.first(2).flat_map { |one| one.anchors.map { |anchor| anchor.object.edge } })
        .to eq %w[start end]
    end
  end

  it "does not lose a note" do
    expect { described_class::Retype.new(2, "Note here").apply(document) }
      .to raise_error(Norvel::Refused, /note or field/)
    after = described_class::Retype.new(2, "A note\uFFFA there").apply(document).after
    expect(part(written(after), "word/document.xml")).to include("<w:footnoteReference")
    same_when_read(after)
  end

  it "splits and joins, and the parts read back" do
    split = described_class::SplitParagraph.new(1, 6).apply(document).after
    expect(texts(split)).to eq ["One bo", "ld end", "Note here", "Last"]
    same_when_read(split)
    before_note = described_class::SplitParagraph.new(2, 2).apply(document).after
    expect(texts(before_note)).to eq ["One bold end", "No", "te here", "Last"]
    same_when_read(before_note)
    joined = described_class::JoinParagraphs.new(1).apply(document).after
    expect(texts(joined)).to eq ["One bold end Note here", "Last"]
    same_when_read(joined)
  end

  it "splits by typing several texts" do
    after = described_class::Retype.new(3, ["First. ", "Second."]).apply(document).after
    expect(texts(after).last(2)).to eq ["First. ", "Second."]
  end

  it "adds after a paragraph, in the next style, and deletes" do
    styled = made(p(r("Head"), style: "H") + p(r("Text")),
      styles: style("H", "Heading 1", next_id: "B") + style("B", "Body Text"))
    added = described_class::AddParagraphs.text(1, "New").apply(styled).after
    expect([texts(added), added.style_name(added.paragraphs[1])]).to eq [%w[Head New Text], "Body Text"]
    same_when_read(added)
    expect(texts(described_class::DeleteParagraphs.new([1, 3]).apply(added).after)).to eq %w[Text]
  end

  # Source of the title case: Chicago 17 8.159, MLA 9; sentence case.
  it "changes case as typed text, or as a property" do
    title = made(p(r("a guide to WRITING ") + r("with style", italic: true)))
    expect(%w[title sentence upper lower]
      .map { |kind| texts(described_class::ChangeCase.new([1], kind).apply(title).after).first })
      .to eq ["A Guide to Writing with Style", "A guide to writing with style", "A GUIDE TO WRITING WITH STYLE",
        "a guide to writing with style"]
    shown = described_class::ChangeCase.new([1], "capitals").apply(title)
    expect([shown.words_changed, shown.after.letter_look(shown.after.paragraphs[0])[:caps]]).to eq [false, true]
  end

  it "runs a heading into its text, and out again" do
    after = described_class::RunIn.new([1]).apply(document).after
    expect(part(written(after), "word/document.xml"))
      .to match(%r{<w:pPr><w:rPr><w:vanish/><w:specVanish/></w:rPr></w:pPr>})
    expect(described_class::RunIn.on?(reread(after).paragraphs[0])).to be true
    expect(described_class::RunIn.new([1], on: false).apply(after).after.paragraphs).to eq document.paragraphs
    expect { described_class::RunIn.new([3]).apply(document) }.to raise_error(Norvel::Refused, /no text after/)
  end

  it "pastes structure and emphasis, and drops the rest" do
    blocks = Norvel::Intake::Pasted.html(%(<style>p{color:red}</style><h2 style="color:red">Head</h2><p>Some ) +
      %(<em>title</em> and <b>more</b><script>x</script></p><ul><li><p>item</p></li></ul><blockquote><p>said</p>) +
      %(</blockquote>bare<br>lines))
    expect(blocks.map { |block| [block.role, block.runs] })
      .to eq [["heading_2", [["Head", {}]]],
        ["body", [["Some ", {}], ["title", {italic: true}], [" and ", {}], ["more", {bold: true}]]],
        ["list_item", [["item", {}]]], ["quote", [["said", {}]]], ["body", [["bare", {}]]], ["body", [["lines", {}]]]]
    pieces = Norvel::Intake::Pasted.pieces(blocks, document, thesis_guide)
    after = described_class::AddParagraphs.new(3, pieces).apply(document).after
    expect(texts(after).last(6)).to eq ["Head", "Some title and more", "item", "said", "bare", "lines"]
    same_when_read(after)
  end

  it "finds the level of what is left below the headings that are marked" do
    body = p(r("Body text of a length that is enough to be taken for the body of this document, surely."))
    document = made((p(r("Marked"), style: "H1") + body + p(r("Left unmarked", bold: true)) + body +
      body) * 3, styles: style("H1", "Heading 1", bold: true, size: 20.0))
    expect(Norvel::Survey::Suggestions.of(document).to_h.values.map(&:role).tally)
      .to eq({"heading_1" => 3, "heading_2" => 3, "body" => 9})
  end

  it "makes near misses equal" do
    near = made(p(r("Inset text of some length", size: 12.0), indent_left: 53.85) * 6 +
      p(r("Inset text of some length", size: 11.5), indent_left: 54.7))
    misses = Norvel::Survey::NearMisses.new(near).misses
    expect(misses.map { |m| [m.property.name, m.usual, m.odd, m.paragraphs.map(&:id)] })
      .to eq [[:size, 12.0, 11.5, [7]], [:indent_left, 53.85, 54.7, [7]]]
    after = misses.inject(near) do |now, m|
      described_class::MakeEqual.new(m.paragraphs.map(&:id), m.property.name, m.usual).apply(now).after
    end
    expect(Norvel::Survey::NearMisses.new(after).misses).to be_empty
  end

  it "takes 1.27 and 2.54 cm, and rounding by a twip, for meant (common practice)" do
    meant = made(p(r("Text of some length here"), indent_left: 36.0) * 6 +
      p(r("Text of some length here"), indent_left: 72.0) + p(r("Text of some length here"),
        indent_left: 36.05))
    expect(Norvel::Survey::NearMisses.new(meant).misses).to be_empty
  end

  it "says what the document is, and takes away what it should not say any more" do
    described = described_class::Describe.new({title: "Tides", language: "pt", author: ""}).apply(document)
    expect(described.title).to eq "Set title “Tides”, language “pt”; took away author"
    emptied = described_class::Describe.new({title: "", language: " "}).apply(described.after)
    again = reread(emptied.after)
    expect([emptied.title, again.info[:title], again.info[:language], again.styles.run_defaults[:language]])
      .to eq ["Took away title, language", nil, nil, nil]
  end
end
