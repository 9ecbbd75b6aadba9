# frozen_string_literal: true

RSpec.describe Norvel::Edits do
  include Values

  it "clears direct formatting and keeps emphasis where words stand out" do
    document = made(p(r("A plain text about ", size: 10.0) +
      r("Salt and Timber", italic: true, size: 10.0) + r(" and more of it.", size: 10.0),
      align: "justify") + p(r("All bold", bold: true)))
    after = described_class::ClearDirect.new(:all, keep_emphasis: true).apply(document).after
    expect(after.paragraphs.map { |paragraph|
      [paragraph.direct.empty?,
        paragraph.runs.map { |run| run.direct.values }]
    })
      .to eq [[true, [{}, {italic: true, italic_complex: true}, {}]], [true, [{}]]]
  end

  it "keeps upright words upright in an italic style, since toggles turn over" do
    document = made(p(r("a long italic quotation with ") + r("emphasis", style: "E", size: 15.0), style: "Q"),
      styles: style("Q", "Quote", italic: true) + style("E", "Emphasis", type: "character", italic: true))
    after = described_class::ClearDirect.new(:all, keep_emphasis: true).apply(document).after
    expect(after.paragraphs[0].runs.map { |run| after.run_look(run, after.paragraphs[0])[:italic] }).to eq [true, false]
    expect(after.paragraphs[0].runs[1].direct).to be_empty
  end

  it "keeps what carries meaning: positions, languages, lists, symbols" do
    document = made(p(r("2", position: "super", size: 15.0) +
      r("mot", language: "fr") + r("\uF0B7", font: "Symbol"),
      list_id: 3, list_level: 0, space_after: 2.0))
    after = described_class::ClearDirect.new(:all).apply(document).after
    expect([after.paragraphs[0].direct.keys, after.paragraphs[0].runs.map { |run| run.direct.keys }])
      .to eq [%i[list_id list_level], [[:position], [:language], [:font]]]
  end

  it "turns leading tabs into a first-line indent where the style has none" do
    document = made(p(r("\tText begins")) + p(r("\tText"), first_line: 20.0))
    after = described_class::IndentWithoutTabs.new([1, 2]).apply(document).after
    expect(after.paragraphs.map { |paragraph| [paragraph.text, after.look(paragraph)[:first_line]] })
      .to eq [["Text begins", 36.0], ["Text", 20.0]]
    expect([after.paragraphs[0].direct, after.style_name(after.paragraphs[0])])
      .to eq [set, "Normal with first line 36 pt"] # a mend sets nothing by hand
  end

  it "gives a style the space that blank paragraphs stood for (one at 11 pt is about 12 pt: common practice)" do
    document = made((p(r("Text")) + p("")) * 4, defaults: {font: "Calibri", size: 11.0})
    after = described_class::RemoveBlankParagraphs.new(:all).apply(document).after
    expect([after.paragraphs.size, after.look(after.paragraphs[0])[:space_after]]).to eq [4, 12.0]
  end

  it "joins lines inside sentences and leaves verse and addresses" do
    document = made(p(r("The tide turned,\nand the wheel stood.")) + p(r("Harbour Authority\nRavelmouth")))
    after = described_class::JoinLines.new([1, 2]).apply(document).after
    expect(after.paragraphs.map(&:text))
      .to eq ["The tide turned, and the wheel stood.", "Harbour Authority\nRavelmouth"]
  end

  it "refuses what can't be done, and says why" do
    document = made(p(r("x")))
    expect { described_class::PutInStyle.new([1], "Normal; Gone").apply(document) }
      .to raise_error(Norvel::Refused, /comma or semicolon/)
    expect { described_class::PutInStyle.new([99], "Normal", hand: :stays).apply(document) }
      .to raise_error(Norvel::Refused, /not in this document/)
    expect { described_class::PutInStyle.new([], "Normal", hand: :stays).apply(document) }
      .to raise_error(Norvel::Refused, /Nothing is selected/)
    expect { described_class::SetPage.new([1], {margin_left: 900.0}).apply(document) }
      .to raise_error(Norvel::Refused, /no room/)
  end

  it "breaks the seal when an edit without leave changes words" do
    thief = Class.new(described_class::Edit) do
      def change(document) = document
        .replace([document.paragraphs[0].with(runs: [document.paragraphs[0].runs[0].with(text: "other")])])

      def title(_document) = "Steal a word"
    end
    expect { thief.new.apply(made(p(r("word")))) }.to raise_error(Norvel::BrokenSeal)
  end

  it "tells what several edits did, each by what the ones before left" do
    document = made(p("") + p(r("a")) + p(r("b", bold: true)))
    blanks = Norvel::Edits::RemoveBlankParagraphs.new(:all, keep_gaps: false)
    several = Norvel::Edits::Several.new([blanks, blanks, Norvel::Edits::ClearDirect.new(:all)])
    expect(several.details(document))
      .to eq ["Remove 1 blank paragraph", "Remove 0 blank paragraphs", "Clear what was set by hand on 1 paragraph"]
    expect(blanks.details(document)).to eq []
  end

  # Random sequences of edits on the demo thesis: the words stay, and taking all back gives the same document and the
  # same bytes.
  it "takes any sequence of edits back to the same bytes (property)" do
    original = thesis
    first = written(original)
    bodies = original.paragraphs.map(&:id)
    makers = [
      ->(n, d) {
        described_class::PutInStyle.new(bodies.values_at(n % bodies.size, (n * 7) % bodies.size)
        .uniq & d.paragraphs.map(&:id) | [d.paragraphs[3].id], %w[Heading1 Heading2 Normal][n % 3], hand: :stays)
      },
      ->(n, d) {
        described_class::ClearDirect.new(d.paragraphs.each_slice(40).to_a[n % 15].map(&:id),
          keep_emphasis: n.even?)
      },
      ->(_, _) { described_class::RemoveBlankParagraphs.new(:all) },
      ->(_, d) { described_class::SingleSpaces.new(d.paragraphs.first(200).map(&:id)) },
      ->(n, d) { described_class::IndentWithoutTabs.new(d.paragraphs.drop(n % 300).first(50).map(&:id)) },
      ->(n, _) { described_class::ChangeStyle.new("Heading1", {space_after: (n % 40).to_f, bold: n.even?}) },
      ->(n, _) { described_class::Describe.new({title: "Title #{n}"}) },
      ->(n, d) {
        described_class::PutInStyle.new([d.paragraphs[n % 400].id], "Block Quote",
          asked: {indent_left: asked(:indent_left, "36pt")}, look: described_class::PutInStyle::LOOKS[n % 3],
          hand: described_class::PutInStyle::HANDS[n % 2])
      }
    ]
    PropCheck.forall(PropCheck::Generators.array(PropCheck::Generators.integer.map(&:abs), min: 3, max: 9))
      .with_config(n_runs: 12) do |numbers|
      document = original
      changes = numbers.filter_map do |n|
        change = makers[n % makers.size].call(n, document).apply(document)
        document = change.after
        change
      end
      raise "words changed" unless Norvel::Seal.of(document).same_words?(Norvel::Seal.of(original))
      raise "what was written reads otherwise" unless reread(document)
        .paragraphs.map(&:text) == document.paragraphs.map(&:text)
      saved = Norvel::Snapshot.load(Norvel::Snapshot.dump(document, original), original)
      raise "the snapshot differs" unless saved.paragraphs == document.paragraphs &&
        saved.styles.by_id == document.styles.by_id && saved.info == document.info
      changes.reverse_each do |change|
        other = Norvel::Snapshot.take_back(Norvel::Snapshot.dump_change(change, original), document, original)
        document = change.take_back(document)
        raise "the two ways back differ" unless other.paragraphs == document.paragraphs
      end
      raise "not the same document" unless document.paragraphs == original.paragraphs && written(document) == first
    end
  end
end
