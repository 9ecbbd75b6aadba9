# frozen_string_literal: true

# A changed document laid out from what is known of the state before: the same as laid out anew.
RSpec.describe Norvel::Layout::LayoutBefore do
  def seen(pages)
    pages.sheets.map do |sheet|
      [sheet.page, sheet.label, sheet.ended_by,
        sheet.lines.map { |line| [line.text, line.left.round(3), line.baseline.round(3)] },
        sheet.note_lines.map(&:text)]
    end
  end

  # Lays the change out from the state before, and anew.
  def both(before, after)
    known = Norvel::Layout.of(after, known: Norvel::Layout.of(before))
    [known, Norvel::Layout.of(after.with)]
  end

  def retyped(document, id, text)
    paragraph = document.paragraph(id)
    document.replace([paragraph.with(runs: [paragraph.runs.first.with(text:)].freeze)])
  end

  let(:document) { thesis.with.tap { |one| Norvel::Layout.of(one) } }
  let(:worded) { document.paragraphs.reject { |one| one.blank? || one.special? } }

  it "shares the sheets that a change does not reach" do
    known, anew = both(document, retyped(document, worded[200].id, worded[200].text.sub(/\w+/, "Ferry")))
    expect(seen(known)).to eq seen(anew)
    shared = known.sheets.count { |sheet| Norvel::Layout.pages(document).sheets.any? { |other| other.equal?(sheet) } }
    expect(shared).to be > 60
  end

  it "is right where lines come or go" do
    [worded[3], worded[150], worded.last].each do |paragraph|
      ["short", "#{paragraph.text} #{"and more " * 200}"].each do |text|
        expect(seen(both(document, retyped(document, paragraph.id, text))[0]))
          .to eq seen(Norvel::Layout.of(retyped(document, paragraph.id, text)))
      end
    end
  end

  it "holds on to the layout before only while it is made, however many follow one another" do
    held = lambda do
      GC.start
      ObjectSpace.each_object(Norvel::Layout::Result).count
    end
    before = held.call
    now = document
    25.times do |n|
      after = retyped(now, worded[n * 7].id, "#{worded[n * 7].text} #{n}")
      Norvel::Layout.of(after, known: Norvel::Layout.pages(now))
      now = after
    end
    expect(held.call - before).to be < 6 # the stack may still name some
    expect(Norvel::Layout.pages(now).stories.setting.blocks.size).to be <= now.everything.size
  end

  # Random edits of every kind, one after the other, each laid out from the one before.
  it "is the same as anew after any edits (property)" do
    guide = thesis_guide
    makers = [
      ->(doc, n) {
        Norvel::Edits::ChangeStyle.new(doc.styles.default.id,
          [{space_after: (n % 20).to_f}, {size: 9.0 + (n % 6)}, {line_spacing: {rule: "multiple", value: 1 + (n % 3)}},
            {align: "justify"}, {indent_right: (n % 90).to_f}, {keep_with_next: n.even?},
            {font: %w[Arial Calibri][n % 2]}][n % 7])
      },
      ->(doc, n) { Norvel::Edits::SetPage.new([1], {margin_left: 40.0 + (n % 80), margin_top: 60.0 + (n % 30)}) },
      ->(doc, n) { Norvel::Edits::DeleteParagraphs.new([doc.paragraphs[n % doc.paragraphs.size].id]) },
      ->(doc, n) {
        Norvel::Edits::RemoveBlankParagraphs.new(doc.paragraphs.select(&:blank?).first((n % 9) + 1)
      .map(&:id))
      },
      ->(doc, n) {
        Norvel::Edits::ClearDirect.new(doc.paragraphs[n % (doc.paragraphs.size - 60), 40].map(&:id),
          keep_emphasis: n.even?)
      },
      ->(doc, n) {
        Norvel::Edits::MoveParagraphs.new([doc.paragraphs[n % doc.paragraphs.size].id],
          %w[up down][n % 2])
      },
      ->(doc, n) { Norvel::Guide::MendSafe.new(guide, only: ["role.heading_*", "clean.tab_indent"].first((n % 2) + 1)) }
    ]
    PropCheck.forall(PropCheck::Generators.array(PropCheck::Generators.choose(0..9_999), min: 1, max: 4))
      .with_config(n_runs: 12) do |numbers|
      now = document
      Norvel::Layout.of(now)
      numbers.each do |n|
        after = begin
          makers[n % makers.size].call(now, n / makers.size).apply(now).after
        rescue Norvel::Refused
          next
        end
        known, anew = both(now, after)
        raise "laid out otherwise after #{numbers.inspect}" unless seen(known) == seen(anew)
        now = after
      end
    end
  end

  it "counts notes anew where one goes" do
    holder = document.paragraphs.find { |one| one.raw_text.include?("\uFFFA") }
    known, anew = both(document, Norvel::Edits::DeleteParagraphs.new([holder.id]).apply(document).after)
    expect(seen(known)).to eq seen(anew)
    expect(known.sheets.flat_map(&:note_lines).first.text).to start_with "1 "
  end
end
