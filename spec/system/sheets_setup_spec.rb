# frozen_string_literal: true

require "open3"

Browser.boot

# The last night: labels, heads, lists and page set-up, from Sheets alone.
RSpec.describe "the sheets set up", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  # The thesis with its headings in their styles.
  def self.ready
    @ready ||= begin
      came = Norvel::Formats.read(Demo::Thesis.new.bytes, name: "t.docx").tap { |one| Norvel::Layout.of(one) }
      mended = Norvel::Guide::Plan.new(Norvel::Guide.find("ravelmouth-thesis"), came).after
      Norvel::Formats.write(Norvel::Edits::Describe.new({title: "Tide mills of the Ravel", author: "Mirre Tolland"})
        .apply(mended).after).bytes
    end
  end

  def bring(station)
    @manuscript = Manuscript.bring_in(self.class.ready, filename: "thesis.docx", guide: "ravelmouth-thesis")
    at_station(station)
  end

  def at_station(station) = visit("/manuscripts/#{@manuscript.id}/#{station}")

  def manuscript = Manuscript.find(@manuscript.id)

  def pages = Desk.pages(manuscript)

  # What head and foot of a sheet say.
  def shown(sheet)
    pages.heads(sheet).to_h do |story, _, _, column|
      [story.kind, column.pieces.map { |piece| piece.block.set_items.text.delete("\uFFF9") }.join]
    end
  end

  def see_and_keep(said)
    click_button "See what it does"
    keep(said)
  end

  def keep(said)
    click_button "Keep"
    expect(page).to have_css("#said", text: said)
  end

  it "give the thesis roman front matter, heads by chapter, contents and lists, all right on every line" do
    bring("sheets/matters")
    select "CHAPTER 1. THE ESTUARY AND ITS MILLS", from: "Body begins at, row 2"
    select "i, ii, iii", from: "Page numbers, row 1"
    select "not shown", from: "Number on its first page, row 1"
    see_and_keep "Number pages i, …; 1, …"

    at_station("sheets/heads?matter=1")
    expect(page).to be_axe_clean.within("#station")
    find_field("Head, left").click
    click_button "chapter"
    expect(page).to have_field("Head, left", with: "{chapter}")
    fill_in "Head, right", with: "{author}"
    click_button "See what it does"
    expect(page).to have_css(".strips text", text: "Mirre Tolland")
    keep "Head: chapter · author"
    expect(page).to have_css(".headcard", text: "chapter")

    at_station("sheets/parts")
    expect(page).to be_axe_clean.within("#station")
    {"Contents" => "contents", "List of figures" => "list of figures", "List of tables" => "list of tables"}
      .each do |row, words|
      within("tr", text: /\A#{row}/) { click_button "insert …" }
      expect(page).to have_css(".ripple", text: "Put in the #{words}, not kept yet")
      keep "Put in the #{words}"
    end
    at_station("sheets/contents")
    expect(page).to have_css(".contentslist", text: "right on every line", count: 3)

    document = manuscript.document
    expect(pages.sheets.first(5).map(&:label)).to eq %w[i ii iii iv v]
    expect(shown(pages.sheets[0])).to eq("footer" => "").or eq({})
    chapter = pages.labelled("7").first
    expect(shown(chapter)).to eq("header" => "CHAPTER 1. THE ESTUARY AND ITS MILLS\t\tMirre Tolland", "footer" => "7")
    rules = manuscript.check.findings.map(&:rule).uniq.grep(/\A(?:page|pagination|contents|captions|parts)\./)
    expect(rules).to eq []

    read = read_by_python(Norvel::Formats.write(document).bytes)
    lists = Norvel::Structure::ContentsLists.new(document)
    wanted = lists.lists.flat_map { |list| lists.wanted(list).map { |one| "#{one.text}\t#{one.label}" } }
    expect(read["entries"]).to eq wanted
    expect(read["sections"]).to eq [["lowerRoman", nil, true], [nil, "1", false]]
    expect(read["missing"]).to eq []
  end

  # Source: python3-docx of Debian 12: entries of lists in the file, sections, and links that lead nowhere.
  def read_by_python(bytes)
    path = File.join(Dir.mktmpdir, "t.docx")
    File.binwrite(path, bytes)
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import docx, sys, json
      w = "{http://schemas.openxmlformats.org/wordprocessingml/2006/main}"
      doc = docx.Document(sys.argv[1])
      def words(p):
        return "".join(t.text if t.tag == w + "t" else "\\t" for t in p._p.iter() if t.tag == w + "t" or (t.tag == w + "tab" and t.getparent().tag == w + "r"))
      def told(s):
        n = s._sectPr.find(w + "pgNumType")
        return [None if n is None else n.get(w + "fmt"), None if n is None else n.get(w + "start"), s.different_first_page_header_footer]
      entries = [words(p) for p in doc.paragraphs if p.style.name.lower() in ("toc 1", "toc 2", "toc 3", "table of figures")]
      names = {b.get(w + "name") for b in doc.element.body.iter(w + "bookmarkStart")}
      links = {h.get(w + "anchor") for h in doc.element.body.iter(w + "hyperlink")}
      print(json.dumps({"entries": entries, "sections": [told(s) for s in doc.sections], "missing": sorted(links - names)}))
    PYTHON
    expect(status).to be_success, err
    JSON.parse(out)
  end

  it "drag a margin, by hand and by arrow keys, and keep it for the whole document" do
    bring("sheets/4")
    expect(page).to be_axe_clean.within("#station")
    before = pages.sheets.size
    handle = find("[data-edge=margin_left] .handle").native
    page.driver.browser.action.click_and_hold(handle).move_by(20, 0).release.perform
    expect(page).to have_css("#setup-ripple", text: /#{before} → \d+ sheets/)
    typed = find_field("Margin at the left").value
    expect(typed.to_f).to be > 4.5
    page.execute_script("document.querySelector('#setup-ripple b').dataset.drawn = 'before'")
    find("[data-edge=margin_left]").send_keys(:arrow_left)
    expect(page).to have_field("Margin at the left", with: "#{(typed.to_f - 0.1).round(2).to_s.delete_suffix(".0")} cm")
    expect(page).to have_css("#setup-ripple b:not([data-drawn])")
    told = find("#setup-ripple b").text[/→ (\d+)/, 1].to_i
    keep "Set margin left"
    expect(pages.sheets.size).to eq told
    expect(manuscript.document.sections.first.margin_left).to be_within(3).of((typed.to_f - 0.1) * 72 / 2.54)
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back: Set margin left")
  end

  it "turn a sheet for a wide table, and mirror margins" do
    bring("sheets/10")
    click_button "Turn the sheet for its table …"
    expect(page).to have_css("#setup-ripple", text: "Turn the sheet of a table")
    within("#setup-ripple") { click_button "Keep" }
    expect(page).to have_css("#said", text: "Turn the sheet of a table")
    lying = pages.sheets.select { |sheet| manuscript.document.sections[sheet.section - 1].landscape? }
    expect(lying.size).to eq 1
    expect(lying.first.paragraphs.first.text).to start_with "Table 1."
    check "inside and outside, for both sides of the paper"
    expect(page).to have_css("#setup-ripple", text: "Mirror the margins of left pages")
    keep "Mirror the margins of left pages"
    expect(page).to have_field("Inside")
    again = Norvel::Formats.read(Norvel::Formats.write(manuscript.document).bytes, name: "t.docx")
    expect([again.settings.mirrored, again.sections.map(&:landscape?)]).to eq [true, [false, true, false]]
  end

  it "begin chapters on right pages, seen before it is kept; a finding's mend is seen so too" do
    bring("sheets/matters")
    select "on a right page", from: "chapters-begin"
    click_button "See the pages"
    expect(page).to have_css(".ripple", text: "Begin 8 chapters on a right page, not kept yet")
    expect(page).to be_axe_clean.within("#station")
    keep "Begin 8 chapters on a right page"
    document = manuscript.document
    sides = Norvel::Structure::Matters.new(document).chapters.map { |one| pages.sheet_of(one.id).side }
    expect(sides.uniq).to eq ["right"]
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back: Begin 8 chapters")
    at_station("findings")
    within("tr.group", text: "Missing: list of tables") { click_link "Put it in …" }
    expect(page).to have_css(".ripple", text: "Put in the list of tables, not kept yet")
    keep "Put in the list of tables"
    at_station("findings")
    expect(page).not_to have_css("tr.group", text: "Missing: list of tables")
  end

  it "let typed captions be counted, and tell what the text names in vain" do
    @manuscript = Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx", guide: "ravelmouth-thesis")
    at_station("sheets/captions")
    expect(page).to be_axe_clean.within("#station")
    click_button "Let 25 typed numbers be counted …"
    expect(page).to have_css(".ripple td", text: "counted as Figure", minimum: 10)
    keep "Let 25 captions be numbered by a sequence"
    expect(page).not_to have_button("Let 25 typed numbers be counted …")
    expect(page).to have_link("A list of figures …")
    expect(page).to have_css("#seal", text: "24,905 words")
  end
end
