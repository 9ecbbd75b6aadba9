# frozen_string_literal: true

RSpec.describe Norvel::Edits::NumberHeadings do
  include Values

  let(:document) do
    made([1, 2, 2, 3, 1, 2].flat_map { |n| p(r("Head"), style: "H#{n}") },
      styles: (1..3).flat_map { |n| style("H#{n}", "Heading #{n}", based_on: (n == 1) ? nil : "H1") })
  end

  def markers(document) = document.markers.values

  # Source: ISO 2145:1978, levels 1 2 2 3 1 2; the other forms by ISO/IEC 29500-1 17.9.11.
  {"decimal" => %w[1 1.1 1.2 1.2.1 2 2.1], "chapter" => ["Chapter 1", "1.1", "1.2", "1.2.1", "Chapter 2", "2.1"],
   "roman" => %w[I I.1 I.2 I.2.1 II II.1], "letters" => %w[A A.1 A.2 A.2.1 B B.1]}.each do |scheme, expected|
    it "numbers by #{scheme}, also when the file is read again" do
      after = described_class.new(scheme).apply(document).after
      expect([markers(after), markers(reread(after))]).to eq [expected, expected]
      saved = Norvel::Snapshot.load(Norvel::Snapshot.dump(after, document), document)
      expect([markers(saved), saved.numbering]).to eq [expected, after.numbering]
    end
  end

  it "takes a word, a sign after the number, a separator" do
    after = described_class.new("chapter", word: "Kapitel", after: ":", separator: "tab").apply(document).after
    expect([markers(after).first(2), after.numbering.level(1, 0).suffix]).to eq [["Kapitel 1:", "1.1:"], "tab"]
  end

  it "lets headings hang behind their numbers, deeper ones with more room, in whole twentieths of a point" do
    after = described_class.new("decimal", hanging: true).apply(document).after
    expect(after.paragraphs.first(2).map { |paragraph| after.look(paragraph)[:first_line] }).to eq [-28.35, -38.25]
    expect(after.numbering.level(1, 0).suffix).to eq "tab"
  end

  it "refuses forms and separators that it does not know" do
    expect { described_class.new("runes") }.to raise_error(Norvel::Refused, /no numbering/)
    expect { described_class.new("decimal", separator: "dash") }.to raise_error(Norvel::Refused, /no separator/)
  end

  it "takes numbers off headings that were put in the list by hand, and leaves other items of it" do
    numbered = described_class.new("decimal").apply(document).after
    list = numbered.styles["H1"].paragraph[:list_id]
    set = ->(level) { Norvel::Styles::PropertySet.of(list_id: list, list_level: 1, **level) }
    first, second = numbered.paragraphs.last(2).zip([{outline_level: 2}, {}])
      .map { |one, level| one.with(style_id: nil, direct: set[level]) }
    after = described_class.new("none").apply(numbered.replace([first, second])).after
    expect(after.paragraphs.map { |one| after.markers[one.id] }).to match [*[nil] * 5, /1/]
  end

  it "takes numbers off, and back" do
    numbered = described_class.new("decimal").apply(document).after
    change = described_class.new("none").apply(numbered)
    expect([markers(change.after), markers(change.take_back(change.after))]).to eq [[], %w[1 1.1 1.2 1.2.1 2 2.1]]
  end

  it "adds to lists that are there" do
    twice = described_class.new("roman").apply(reread(described_class.new("decimal").apply(document).after)).after
    expect(markers(reread(twice))).to eq %w[I I.1 I.2 I.2.1 II II.1]
  end
end

RSpec.describe Norvel::Edits::TakeTypedNumbers do
  include Values

  def numbered(*heads, scheme: "decimal", **options)
    document = made(heads.flat_map { |text| p(r(text), style: "H#{text[/\A\s*\d+\.\d/] ? 2 : 1}") },
      styles: style("H1", "Heading 1") + style("H2", "Heading 2"))
    Norvel::Edits::NumberHeadings.new(scheme, **options).apply(document).after
  end

  def texts(document) = described_class.new.apply(document).after.paragraphs.map(&:text)

  it "takes numbers away that the counted ones repeat" do
    expect(texts(numbered("1 Tides", "1.1 Low water", "1.2. High water", "2.\tMills", "2.1\u00A0Wheels")))
      .to eq ["Tides", "Low water", "High water", "Mills", "Wheels"]
  end

  it "leaves one that differs, since either is wrong" do
    expect(texts(numbered("1 Tides", "3 Mills", "1950 and after"))).to eq ["Tides", "3 Mills", "1950 and after"]
  end

  it "takes a chapter's word with its number, whatever its case" do
    expect(texts(numbered("CHAPTER 1. THE ESTUARY", "Chapter 2: Mills", "Chapters in a life", scheme: "chapter")))
      .to eq ["THE ESTUARY", "Mills", "Chapters in a life"]
  end

  it "takes letters and roman numbers only where a sign follows them: “A note” and “I was” are words" do
    expect(texts(numbered("A. Tides", "B note", "C) Mills", scheme: "letters"))).to eq ["Tides", "B note", "Mills"]
    expect(texts(numbered("I was there", "II. Mills", scheme: "roman"))).to eq ["I was there", "Mills"]
  end

  it "says that words change, and is taken back" do
    document = numbered("1 Tides")
    change = described_class.new.apply(document)
    expect([change.title, change.words_changed, change.take_back(change.after).paragraphs])
      .to eq ["Take 1 typed number away that are counted", true, document.paragraphs]
  end

  it "keeps the formatting of what stays, and the file's runs" do
    document = made(p(r("1.1 ", bold: true) + r("Low ") + r("water", italic: true), style: "H2"),
      styles: style("H1", "Heading 1") + style("H2", "Heading 2"))
    numbered = Norvel::Edits::NumberHeadings.new("decimal")
      .apply(made(p(r("x"), style: "H1") + p(r("1.1 ", bold: true) + r("Low ") + r("water", italic: true),
        style: "H2"), styles: style("H1", "Heading 1") + style("H2", "Heading 2"))).after
    again = reread(described_class.new.apply(numbered).after).paragraphs[1]
    expect(again.runs.map { |run| [run.text, run.direct.values] }).to eq [["Low ", {}], ["water", {italic: true}]]
    expect(described_class.places(document)).to be_empty
  end
end

RSpec.describe Norvel::Edits::NumberHeadings, "without numbers for some" do
  include Values

  names = ["Acknowledgements", "Abstract", "The Harbour", "The Gate", "References"]

  %w[docx odt].each do |format|
    it "counts from the first chapter, whatever stands before it, in #{format}" do
      made = made(names.flat_map { |text| p(r(text), style: "C") + p(r("Some text of it.")) },
        styles: style("C", "Chapter Title", outline_level: 1))
      document = (format == "docx") ? made : Norvel::Formats.read(Norvel::Formats.write(made, as: "odt").bytes,
        name: "made.odt")
      heads = document.paragraphs.reject { |one| one.text.start_with?("Some") }
      plain = heads.select { |one| described_class.plain?(one) }
      expect(plain.map(&:text)).to eq ["Acknowledgements", "Abstract", "References"]
      after = described_class.new("decimal", without: plain.map(&:id)).apply(document).after
      expect(heads.map { |one| after.markers[one.id].to_s }).to eq ["", "", "1", "2", ""]
      expect(after.paragraphs.flat_map { |one| one.direct.keys }).to eq document.paragraphs.flat_map { |one|
        one.direct.keys
      }
      back = reread(after)
      expect(heads.map { |one| back.markers[back.paragraphs[after.position(one.id)].id].to_s })
        .to eq ["", "", "1", "2", ""]
      expect(back.paragraphs.map { |one| back.heading_level(one) }.tally[1]).to eq 5
    end
  end
end
