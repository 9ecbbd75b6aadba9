# frozen_string_literal: true

RSpec.describe "edits of styles" do
  include Values

  let(:styles) do
    style("Body", "My Body", based_on: "Normal", first_line: 36.0, size: 12.0) +
      style("Inset", "Inset", based_on: "Body", indent_left: 36.0) +
      style("Heading1", "Heading 1", based_on: "Normal", next_id: "Body", bold: true) +
      style("Other", "Other", size: 15.0)
  end
  let(:document) do
    made(p(r("Head"), style: "Heading1") + p(r("Text"), style: "Body") * 3 +
      p(r("Inset"), style: "Inset") + p(r("By hand", size: 12.0),
        style: "Other", align: "center"), styles:)
  end

  def look(document, number) = document.look(document.paragraphs[number])

  def size(document, number) = document.letter_look(document.paragraphs[number])[:size]

  it "bases a style on another, and refuses circles" do
    after = Norvel::Edits::RebaseStyle.new("Inset", "Normal").apply(document).after
    expect([look(after, 4)[:first_line], look(after, 4)[:indent_left]]).to eq [0.0, 36.0]
    expect { Norvel::Edits::RebaseStyle.new("Body", "Inset").apply(document) }.to raise_error(Norvel::Refused, /circle/)
    expect { Norvel::Edits::RebaseStyle.new("Body", "Body").apply(document) }.to raise_error(Norvel::Refused, /itself/)
  end

  it "renames, but not what contents lists go by" do
    expect(reread(Norvel::Edits::RenameStyle.new("Body", "House Text").apply(document).after).styles["Body"].name)
      .to eq "House Text"
    expect { Norvel::Edits::RenameStyle.new("Heading1", "Big").apply(document) }
      .to raise_error(Norvel::Refused, /contents lists and assistive technology/)
    expect { Norvel::Edits::RenameStyle.new("Body", "Inset").apply(document) }
      .to raise_error(Norvel::Refused, /already/)
  end

  it "deletes a style, its users looking like the base or as before" do
    plain = Norvel::Edits::DeleteStyles.new(["Body"]).apply(document).after
    expect([plain.style_name(plain.paragraphs[1]), look(plain, 1)[:first_line], plain.styles["Inset"].based_on,
      plain.styles["Heading1"].next_id]).to eq ["Normal", 0.0, "Normal", "Normal"]
    kept = Norvel::Edits::DeleteStyles.new(["Body"], keep_look: true).apply(document).after
    expect((1..4).map { |n| [look(kept, n).to_json_hash(:paragraph), size(kept, n)] })
      .to eq((1..4).map { |n| [look(document, n).to_json_hash(:paragraph), size(document, n)] })
    expect { Norvel::Edits::DeleteStyles.new(["Normal"]).apply(document) }.to raise_error(Norvel::Refused, /can't go/)
    expect(reread(plain).styles["Body"]).to be_nil
  end

  it "merges two, and what equals the new style goes" do
    after = Norvel::Edits::MergeStyles.new("Other", "Body").apply(document).after
    expect([after.style_name(after.paragraphs[5]), after.paragraphs[5].direct.values,
      after.paragraphs[5].runs[0].direct.values]).to eq ["My Body", {align: "center"}, {}]
    into_child = Norvel::Edits::MergeStyles.new("Body", "Inset").apply(document).after
    expect([look(into_child, 1)[:first_line], look(into_child, 1)[:indent_left], into_child.styles["Inset"].based_on])
      .to eq [36.0, 36.0, "Normal"]
  end

  it "lets a style take the look of a paragraph: its users follow, what was set by hand goes" do
    after = Norvel::Edits::PutInStyle.new([6], "Other", look: :theirs).apply(document).after
    expect([after.styles["Other"].run[:size], after.styles["Other"].paragraph[:align],
      after.paragraphs[5].direct.empty?, after.letter_look(after.paragraphs[5])[:size]])
      .to eq [12.0, "center", true, 12.0]
  end

  it "duplicates, links and hides" do
    after = Norvel::Edits::DuplicateStyle.new("Body", "Second").apply(document).after
    expect(after.styles.named("Second").paragraph).to eq document.styles["Body"].paragraph
    linked = Norvel::Edits::StyleLinks.new("Body", {next_id: "Inset"}).apply(after).after
    expect(reread(linked).styles["Body"].next_id).to eq "Inset"
  end

  # A look is worked out again only where a change of styles can reach it.
  it "keeps the looks that a change can't reach" do
    looks = ->(d) { d.paragraphs.map { |paragraph| [d.look(paragraph), d.letter_look(paragraph)] } }
    was = looks[document]
    now = looks[Norvel::Edits::ChangeStyle.new("Body", {size: 20.0}).apply(document).after]
    kept = was.zip(now).map do |(look, letters), (new_look, new_letters)|
      [look.equal?(new_look), letters.equal?(new_letters)]
    end
    expect(kept).to eq [[true, true], *[[true, false]] * 3, [true, false], [true, true]]
    after = Norvel::Edits::ChangeStyle.new("Inset", {size: 20.0}).apply(document).after
    counted = 0
    allow_any_instance_of(Norvel::Styles::Cascade).to receive(:run_layers).and_wrap_original { |original, *parts|
      (counted += 1) && original.call(*parts)
    }
    looks[after]
    expect(counted).to eq 1
  end

  it "looks as a document read anew does, whatever was kept (property)" do
    ids = %w[Body Inset Other Heading1 Normal]
    PropCheck.forall(PropCheck::Generators.array(PropCheck::Generators.choose(0..10_000), min: 1, max: 5))
      .with_config(n_runs: 40) do |numbers|
      changed = numbers.inject(document) do |now, n|
        now.paragraphs.each { |paragraph| now.letter_look(paragraph) && now.look(paragraph) }
        Norvel::Edits::ChangeStyle.new(ids[n % 5],
          [{size: (n % 20) + 6.0}, {bold: n.even?}, {indent_left: (n % 50).to_f}, {align: nil}][n % 4]).change(now)
      end
      fresh = Norvel::Document.new(**Norvel::Document::FIELDS.to_h { |field| [field, changed.public_send(field)] })
      raise "not the same looks" unless changed.paragraphs.all? do |paragraph|
        changed.look(paragraph) == fresh.look(paragraph) &&
          changed.letter_look(paragraph) == fresh.letter_look(paragraph)
      end
    end
  end

  it "inherits again" do
    after = Norvel::Edits::ChangeStyle.new("Body", {first_line: nil}).apply(document).after
    expect([look(after, 1)[:first_line], reread(after).styles["Body"].paragraph.empty?]).to eq [0.0, true]
  end

  describe Norvel::Report::Ripple do
    def ripple(values)
      described_class.new(Norvel::Edits::ChangeStyle.new("Body", values), document,
        Norvel::Guide::Check.new(thesis_guide, document))
    end

    it "tells what a change will move, and what sets the value itself" do
      moved = ripple({first_line: 18.0})
      expect([moved.styles.map(&:name), moved.moved.size, moved.unmoved.size]).to eq [["My Body", "Inset"], 4, 0]
      expect(ripple({indent_left: 10.0}).moved.map { |place| place.after.text }.tally).to eq({"Text" => 3})
    end

    it "counts those that set by hand what changes, though other words of them move" do
      made = made(p(r("Follows")) + p(r("Mostly its own ", size: 15.0) + r("in part")) +
        p(r("Another"), align: "center"))
      told = described_class.new(Norvel::Edits::ChangeStyle.new("Normal", {size: 20.0}), made,
        Norvel::Guide::Check.new(thesis_guide, made))
      expect([told.moved.size, told.unmoved.size, told.overriding.map(&:text)]).to eq [3, 0, ["Mostly its own in part"]]
      words = made(p(r("Some ") + r("words", style: "Ship")),
        styles: style("Ship", "Ship", type: "character", italic: true))
      told = described_class.new(Norvel::Edits::ChangeStyle.new("Ship", {bold: true}), words,
        Norvel::Guide::Check.new(thesis_guide, words))
      expect([told.moved.size, told.overriding.size]).to eq [1, 0]
    end

    it "counts findings that go and come" do
      better = ripple({line_spacing: {rule: "multiple", value: 2.0}})
      expect(better.findings_gone).to be >= 3
      expect(better.findings_come).to eq 0
    end

    it "leaves the document as it was" do
      ripple({first_line: 18.0}).moved
      expect(document.styles["Body"].paragraph[:first_line]).to eq 36.0
    end
  end

  # Random sequences of style edits and their way back end in the same document, in the same bytes when written.
  it "takes any sequence of style edits back (property)" do
    original = reread(document)
    first = written(original)
    templates = Norvel::Formats::Template.shipped.keys.map { |name| Norvel::Formats::Template.find(name) }
    makers = [
      ->(n) {
        Norvel::Edits::ChangeStyle.new(%w[Body Inset Other][n % 3],
          {space_after: (n % 30).to_f, bold: n.even?})
      },
      ->(n) { Norvel::Edits::RebaseStyle.new("Inset", %w[Normal Other][n % 2]) },
      ->(n) { Norvel::Edits::RenameStyle.new("Other", "Name #{n}") },
      ->(n) { Norvel::Edits::DuplicateStyle.new("Body", "Copy #{n}") },
      ->(n) { Norvel::Edits::DeleteStyles.new([%w[Inset Other][n % 2]], keep_look: n.even?) },
      ->(_) { Norvel::Edits::MergeStyles.new("Other", "Body") },
      ->(n) { Norvel::Edits::PutInStyle.new([6], "Other", look: :theirs) },
      ->(n) { Norvel::Edits::DefineStyle.new("New #{n}", values: {size: 9.0}) },
      ->(n) { Norvel::Edits::PlaceStyle.new("Body", before: %w[Inset Other Normal][n % 3]) },
      ->(n) { Norvel::Edits::NumberHeadings.new(%w[decimal roman none][n % 3], hanging: n.even?) },
      ->(n) { Norvel::Edits::StyleLinks.new("Body", {hidden: n.even?}) },
      ->(n) { Norvel::Edits::ApplyTemplate.new(templates[n % templates.size], page: n.even?, numbering: true) },
      ->(n) { Norvel::Edits::DefinePageStyle.new("Page #{n}", 1) },
      ->(n) { Norvel::Edits::SetPage.new([1], {margin_left: (n % 90) + 20.0}) },
      ->(n) {
        Norvel::Edits::ChangeStyle.new(%w[Body Inset][n % 2],
          {tabs: Norvel::Styles::Types::TabStops.new.typed("#{(n % 9) + 1} cm"),
           borders: Norvel::Styles::Types::Borders.new.typed(%w[none box above][n % 3])})
      }
    ]
    PropCheck.forall(PropCheck::Generators.array(PropCheck::Generators.choose(0..10_000), min: 2, max: 8))
      .with_config(n_runs: 40) do |numbers|
      now = original
      changes = numbers.filter_map do |n|
        change = makers[n % makers.size].call(n / makers.size).apply(now)
        now = change.after
        change
      rescue Norvel::Refused
        nil
      end
      again = reread(now)
      unless again.paragraphs.map { |q| [again.style_name(q), again.look(q).values] } == now.paragraphs
          .map { |q| [now.style_name(q), now.look(q).values] }
        raise "what was written reads " \
          "otherwise"
      end
      changes.reverse_each { |change| now = change.take_back(now) }
      raise "not the same bytes" unless written(now) == first
    end
  end
end
