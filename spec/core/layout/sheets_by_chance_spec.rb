# frozen_string_literal: true

# What can be set on Sheets, one thing after another on documents of any kind: it is written as it was meant, and taken
# back to what was.
RSpec.describe "all that sheets can be set to, by chance" do
  def check(document, dice)
    changes = SheetsByChance.changes(document, dice)
    now = changes.last&.after || document
    again = Norvel::Formats.read(Norvel::Formats.write(now).bytes, name: now.name)
    expect(SheetsByChance.seen(again)).to eq SheetsByChance.seen(now)
    expect(again.paragraphs.map { |one| [one.text, one.section] })
      .to eq(now.paragraphs.map { |one| [one.text, one.section] })
    back = changes.reverse.inject(now) { |state, change| change.take_back(state) }
    expect(Norvel::Document::CHANGING.reject { |field| back.public_send(field) == document.public_send(field) })
      .to eq []
    other = Norvel::Formats.write(now, as: (now.format == "docx") ? "odt" : "docx")
    expect(Norvel::Formats.read(other.bytes, name: "other").word_count).to eq now.word_count
  end

  # Says which of them failed.
  def told(name)
    yield
  rescue RSpec::Expectations::ExpectationNotMetError, StandardError => error
    raise error.class, "#{name}: #{error.message}"
  end

  [[Mixed, ".docx"], [MixedOpen, ".odt"]].each do |maker, kind|
    it "hold in #{kind} documents" do
      SomeOf.seeds([*1..30, 104, 129]).each do |seed|
        told("seed #{seed}") { check(maker.new(seed).document, Random.new(seed)) }
      end
    end
  end

  it "hold in files by other writers" do
    Dir[File.expand_path("../../reference/files/*.{docx,odt}", __dir__)].sort.each do |path|
      document = Norvel::Formats.read_file(path)
      next if document.paragraphs.count { |one| one.container.nil? } < 3
      told(File.basename(path)) { check(document, Random.new(File.basename(path).size)) }
    end
  end

  # Source: the npm library docx 9.
  describe "in what the npm library docx writes" do
    let(:document) do
      path = File.join(Dir.mktmpdir, "pages.docx")
      system("node", File.expand_path("../../reference/npm_pages_write.js", __dir__), path, exception: true)
      Norvel::Formats.read_file(path)
    end

    it "holds" do
      SomeOf.seeds(1..12).each { |seed| told("seed #{seed}") { check(document, Random.new(seed)) } }
    end

    it "fills fields that have nothing in them yet, so that every reader shows the right lists and numbers" do
      now = [Norvel::Edits::RefreshNumbers.new, Norvel::Edits::RefreshLists.new].inject(document) do |state, edit|
        edit.apply(state).after
      end
      again = Norvel::Formats.read(Norvel::Formats.write(now).bytes, name: "n.docx").tap do |one|
        Norvel::Layout.of(one)
      end
      lists = Norvel::Structure::ContentsLists.new(again)
      expect(lists.lists.map { |list| [list.captions, lists.compared(list).map { |row| [row.entry.text, row.wrong] }] })
        .to eq [[nil, [["Of mills\t1", nil], ["Wheels\t1", nil], ["Of dues\t1", nil], ["References\t4", nil]]],
          ["Figure", [["A mill\t1", nil], ["A toll\t2", nil]]]]
      expect(again.paragraphs.map(&:text)).to include "Figure 1. A mill", "Table 1. Dues", "Figure 2. A toll",
        "As on page 1."
      expect(Norvel::Structure::ComputedNumbers.new(again).stale).to eq []
      expect(Norvel::Structure::TypedReferences.new(again).lost.map(&:words)).to eq ["Figure 4"]
    end
  end
end
