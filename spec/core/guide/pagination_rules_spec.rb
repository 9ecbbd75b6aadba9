# frozen_string_literal: true

# Rules on pages, their causes and mends.
RSpec.describe Norvel::Guide::Rules::PaginationRules do
  include Values

  def exactly = {space_before: 0.0, space_after: 0.0, line_spacing: {rule: "exact", value: 20.0}}

  # A sheet that holds ten lines of 20 points.
  def ten_lines = {width: 400.0, height: 200.0, margin_top: 0.0, margin_bottom: 0.0, margin_left: 0.0,
                   margin_right: 0.0, header: 0.0, footer: 0.0}

  def headings = style("H1", "Heading 1", outline_level: 1) + style("Loose", "Body Text", widow_control: false)

  def text(count, **direct) = p((["words of text"] * count).join("\n"), **exactly, **direct)

  def heading(words = "Heading") = p(words, style: "H1", **exactly)

  def blank = p("", **exactly)

  def page_break = p("\f", **exactly)

  def guide(rules) = Norvel::Guide.new("norvel_guide: 1\nname: G\npagination: {#{rules}, cite: \"7\"}\n")

  def made(body, page: {}) = super(body, page: {**ten_lines, **page}, styles: headings)

  def check(document, rules) = Norvel::Guide::Check.new(guide(rules), document.tap { |one| Norvel::Layout.of(one) })

  # What a check finds, and whether all is well once its mends are made.
  def found_and_mended(document, rules)
    before = check(document, rules)
    found = before.findings.map { |one| [one.rule, one.message, one.found, one.cite] }
    after = before.groups.inject(document) do |now, group|
      (edit = group.edit(guide(rules))) ? edit.apply(now).after : now
    end
    [found, check(after.with, rules).findings.map(&:rule), after]
  end

  it "finds a last line alone, and mends its style, or the paragraph that says so itself" do
    document = made(text(7) + text(4, style: "Loose"))
    found, left, after = found_and_mended(document, "widows: forbid")
    expect(found).to eq [["pagination.widow", "The last line of a paragraph stands alone at the head of page 2",
      "page 2", "7"]]
    expect([left, after.styles["Loose"].paragraph[:widow_control]]).to eq [[], true]
    _, left, after = found_and_mended(made(text(7) + text(4, widow_control: false)), "widows: forbid")
    expect([left, after.paragraphs.last.direct.key?(:widow_control)]).to eq [[], false]
  end

  it "finds a first line alone" do
    found, left, = found_and_mended(made(text(9) + text(4, style: "Loose")), "orphans: forbid")
    expect(found.map { |one| one[0, 2] })
      .to eq [["pagination.orphan", "The first line of a paragraph stands alone at the foot of page 1"]]
    expect(left).to eq []
  end

  it "finds a heading at the foot of a page, blank paragraphs under it too, and keeps it with its text" do
    found, left, after = found_and_mended(made(text(9) + heading + text(3)), "stranded_headings: forbid")
    expect(found.map { |one| one[0, 3] })
      .to eq [["pagination.stranded_heading", "A heading stands at the foot of page 1 without a line of its text",
        "page 1"]]
    expect([left, after.styles["H1"].paragraph[:keep_with_next]]).to eq [[], true]
    _, left, after = found_and_mended(made(text(7) + heading + blank + blank + text(3)), "stranded_headings: forbid")
    expect([left, Norvel::Layout.of(after).label_of(2)]).to eq [[], "2"]
  end

  it "lets a heading be that someone put before a break" do
    expect(check(made(text(3) + heading + page_break + text(3)), "stranded_headings: forbid").findings).to eq []
    expect(check(made(text(3) + heading), "stranded_headings: forbid").findings).to eq []
  end

  it "finds blank pages with their cause: blanks that run over, a second break, the begin of a section" do
    found, left, = found_and_mended(made(text(8) + (blank * 9)), "blank_pages: forbid")
    expect(found.map { |one| one[1] }).to eq ["Page 2 is blank: it holds 7 blank paragraphs"]
    expect(left).to eq []
    found, left, after = found_and_mended(made(text(3) + page_break + page_break + text(3)), "blank_pages: forbid")
    expect(found.map { |one| one[1] }).to eq ["Page 2 is blank: it holds one blank paragraph with a page break"]
    expect([left, after.paragraphs.size]).to eq [[], 3]
    parted = text(3) + ending(page: ten_lines, **exactly) + text(3)
    found, left, = found_and_mended(made(parted, page: {starts: "odd_page"}), "blank_pages: forbid")
    expect(found.map { |one| one[1] }).to eq ["Page 2 is blank: the next section begins on a right page"]
    expect(left).to eq []
  end

  it "leaves a page alone that holds a picture, and one that ends the text" do
    expect(check(made(text(10) + text(1)), "blank_pages: forbid").findings).to eq []
    expect(check(made([]), "blank_pages: forbid").findings.map(&:rule)).to eq []
  end

  it "counts pages" do
    document = made(text(25))
    expect(check(document, "pages: {max: 2}").findings.map { |one| [one.message, one.asked, one.found] })
      .to eq [["The document does not have at most 2 pages", "at most 2 pages", "3 pages"]]
    expect(check(document, "pages: {min: 2, max: 3}").findings).to eq []
    expect(check(document, "pages: {min: 4}").findings.size).to eq 1
  end

  it "judges nothing while pages are not known, and says which page findings are on" do
    document = made(text(9) + heading + text(3))
    expect(Norvel::Guide::Check.new(guide("stranded_headings: forbid"), document).findings).to eq []
    checked = check(document, "stranded_headings: forbid")
    expect(checked.page(checked.findings.first)).to eq 1
  end

  it "refuses rules on pages that make no sense" do
    expect { guide("pages: {max: zero}") }.to raise_error(Norvel::UnusableGuide, /pagination.pages/)
    expect { guide("widow: forbid") }.to raise_error(Norvel::UnusableGuide)
  end

  it "is mended in bulk with all else, and what is left is what a check of the result finds" do
    document = made(text(9) + heading + text(3)).tap { |one| Norvel::Layout.of(one) }
    plan = Norvel::Guide::Plan.new(guide("stranded_headings: forbid"), document)
    expect(plan.mended).to eq [{rule: "pagination.stranded_heading", count: 1}]
    expect([plan.left, plan.words_unchanged?]).to eq [[], true]
  end

  it "holds its promises on the demo: what the guide asks of pages is met by what is safe, and by the one mend " \
    "that asks" do
    check = ->(document) { Norvel::Guide::Check.new(thesis_guide, document.with.tap { |one| Norvel::Layout.of(one) }) }
    found = ->(document) { check[document].on_document.select { |one| one.rule.start_with?("pagination.") } }
    mended = Norvel::Guide::Plan.new(thesis_guide, thesis.with.tap { |one| Norvel::Layout.of(one) }).after
    left = found[mended]
    expect(left.map(&:rule)).to eq %w[pagination.label pagination.shown_from pagination.restart]
    numbered = left.first.mend.edit([left.first], thesis_guide).apply(mended).after
    expect(found[numbered].map(&:rule)).to eq []
    expect(found[reread(numbered)].map(&:rule)).to eq []
  end
end
