# frozen_string_literal: true

# What a plan is for: by role, style, pages and parts.
RSpec.describe Norvel::Guide::Portion do
  include Values

  running = "The keeper of the gate wrote the hour and the height of the tide in the book, and he signed it. " * 3
  let(:document) do
    body = p(r("Tides", bold: true, size: 16.0)) + p(r(running)) * 3 + p("") +
      p(r("\tThe next page. ") + note(1), page_break_before: true) + table([["One  cell"]]) + p("\tThe end.")
    made(body, footnotes: footnote(1, "").map { |one| one.with(paragraphs: p("  A note.")) })
  end

  def texts(**choice)
    ids = described_class.new(document, **choice).ids
    ids&.map { |id| document.paragraph(id).text.strip[0, 9] }
  end

  it "is the whole where nothing is chosen" do
    expect(texts).to be_nil
  end

  it "takes those of a role or a style, and the blank ones that may stand between them" do
    expect(texts(styles: ["Normal"]).size).to eq document.working.size
    role = Norvel::Survey.role(document, document.paragraphs.first)
    expect(texts(roles: [role])).to include("Tides", "")
    expect(texts(styles: ["no such style"])).to eq [""]
  end

  it "does not take a style for a role of the same name, nor the other way round" do
    named = made(p(r("Cap"), style: "C") + p(r(running)), styles: style("C", "body"))
    ids = ->(**choice) { described_class.new(named, **choice).ids }
    expect([ids[styles: ["body"]], ids[roles: ["body"]], ids[roles: ["body"], styles: ["body"]]])
      .to eq [[1], [2], [1, 2]]
  end

  it "leaves parts alone: notes, heads, boxes, tables" do
    expect(texts(without: %w[tables])).not_to include("One  cell")
    expect(texts(without: %w[notes])).not_to include("A note.")
    expect(texts(without: %w[heads boxes]).size).to eq document.working.size
    expect { texts(without: %w[margins]) }.to raise_error(Norvel::Refused, /no part “margins”.*notes, heads/)
  end

  it "takes a stretch of pages by their labels" do
    Norvel::Layout.of(document)
    expect(texts(pages: %w[2 2])).to eq ["The next ", "One  cell", "The end.", "A note."] # of a mark there
    expect(texts(pages: %w[1 1])).to eq ["Tides", *["The keepe"] * 3, ""]
    expect { texts(pages: %w[2 1]) }.to raise_error(Norvel::Refused, /1 stands before page 2/)
    expect { texts(pages: %w[1 99]) }.to raise_error(Norvel::Refused, /no page “99”/)
  end

  it "says so where the pages are not known" do
    expect { texts(pages: %w[1 1]) }.to raise_error(Norvel::Refused, /not known yet/)
  end

  it "is what a plan mends, and nothing else" do
    Norvel::Layout.of(document)
    ids = described_class.new(document, pages: %w[2 2], without: %w[tables]).ids
    after = Norvel::Guide::Plan.new(Norvel::Guide.none, document, among: ids).after
    expect(after.working.map(&:text).grep(/\A\t/)).to be_empty
    expect(after.working.map(&:text)).to include("One  cell", "A note.")
    ids = described_class.new(document, pages: %w[2 2], without: %w[notes]).ids
    after = Norvel::Guide::Plan.new(Norvel::Guide.none, document, among: ids).after
    expect(after.working.map(&:text)).to include("One cell", "  A note.")
  end
end
