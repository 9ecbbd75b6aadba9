# frozen_string_literal: true

Browser.boot

RSpec.describe "the sheets", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  def at_station(bytes, station, guide: "ravelmouth-thesis")
    @manuscript = Manuscript.bring_in(bytes, filename: "thesis.docx", guide:)
    visit "/manuscripts/#{@manuscript.id}/#{station}"
  end

  def pages = Desk.pages(Manuscript.find(@manuscript.id))

  it "show all pages, and lead to one by its label" do
    at_station(Demo::Thesis.new.bytes, "sheets")
    expect(page).to have_css("#wall .leaf", minimum: 60)
    expect(page).to be_axe_clean.within("#station")
    find("#sheet-14 .leaf").click
    expect(page).to have_css("#bench h2", text: "Page 14")
    fill_in "page, or words on it", with: "31"
    click_button "Go"
    expect(page).to have_css("#bench h2", text: "Page 31")
    expect(page).to have_css(".sheetsize text", text: "characters a line")
    first("a.settext rect").hover
    expect(page).to have_css("#pointed", text: "This paragraph is in Normal")
    expect(find("#pointed a")[:href]).to end_with "styles?style=Normal"
    expect(page).to be_axe_clean.within("#station")
  end

  it "find a heading at the foot of its page, and mend it" do
    at_station(Demo::Thesis.new.bytes, "sheets/3")
    expect(page).to have_css(".onsheet", text: "A heading stands at the foot of page 3 without a line of its text")
    click_button "Keep it with the text below"
    expect(page).to have_css("#said", text: "Keep 1 heading with the text below")
    expect(page).to have_css("#bench .ended", text: "what follows keeps with its next paragraph")
    expect(page).not_to have_css(".onsheet", text: "heading")
    click_link "See the pages numbered so …"
    expect(page).to have_css(".facts", text: "i–ii, then 1–74")
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back")
    expect(pages.sheets[2].ended_by).to eq :widow_control
  end

  it "bring the notice from two pages to one, shown before it is done" do
    at_station(Demo::Notice.new.bytes, "sheets", guide: "ravelmouth-house")
    expect(page).to have_css("#bench", text: "30 blank paragraphs after them make the rest")
    click_link "See what would save a page"
    expect(page).to have_css(".pagerow", text: "Before")
    expect(page).to have_css(".smallpage", count: 3)
    click_button "Do it"
    expect(page).to have_css("#said", text: "Remove 30 blank paragraphs")
    expect(page).to have_css("#wall .leaf", count: 1)
    expect(page).to have_css("#seal", text: "59 words")
  end

  it "number front matter and body apart, seen before it is kept, and taken back as one" do
    at_station(Demo::Thesis.new.bytes, "sheets/matters")
    expect(page).to be_axe_clean.within("#station")
    select "CHAPTER 1. THE ESTUARY AND ITS MILLS", from: "Body begins at, row 2"
    select "i, ii, iii", from: "Page numbers, row 1"
    select "not shown", from: "Number on its first page, row 1"
    click_button "See what it does"
    expect(page).to have_css(".facts", text: "i–ii, then 1–74")
    expect(pages.labelled("ii")).to eq []
    click_button "Keep"
    expect(page).to have_css("#said", text: "Number pages i, …; 1, …")
    expect(page).to have_css(".bandword", text: "Section 2 · 1–74")
    fill_in "page, or words on it", with: "ii"
    click_button "Go"
    expect(page).to have_css("#bench h2", text: "Page ii")
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back: Number pages")
    expect(pages.labelled("ii")).to eq []
  end

  it "put a contents list in, seen before it is kept, and bring it up to date when it has become old" do
    mended = Norvel::Guide::Plan.new(Norvel::Guide.find("ravelmouth-thesis"),
      Norvel::Formats.read(Demo::Thesis.new.bytes, name: "t.docx")).after
    at_station(Norvel::Formats.write(mended).bytes, "sheets/contents")
    expect(page).to be_axe_clean.within("#station")
    select "CHAPTER 1. THE ESTUARY AND ITS MILLS", from: "before"
    select "1", from: "levels 1 to"
    click_button "See what it does"
    expect(page).to have_css(".ripple", text: "Put in a contents list, not kept yet")
    expect(page).to have_css(".smallpage", count: 8)
    click_button "Keep"
    expect(page).to have_css("#said", text: "Put in a contents list")
    expect(page).to have_css(".contentslist", text: "right on every line")
    document = Manuscript.find(@manuscript.id).document
    chapter = document.paragraphs.find do |one|
      one.text.start_with?("CHAPTER 2") && document.look(one)[:outline_level] == 1
    end
    now = Manuscript.find(@manuscript.id)
    now.perform(Norvel::Edits::Retype.new(chapter.id, "CHAPTER 2. A NEW NAME"), version: now.lock_version)
    visit "/manuscripts/#{@manuscript.id}/sheets/contents"
    expect(page).to have_css(".contentslist", text: "1 of 9 entries wrong")
    click_button "Bring it up to date …"
    click_button "Keep"
    expect(page).to have_css("#said", text: "Bring the contents list up to date")
    expect(page).to have_css(".contentslist td", text: "CHAPTER 2. A NEW NAME")
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back: Bring the contents list up to date")
  end

  it "tell what a change of line spacing does to pages before it is kept, a page of it at size" do
    at_station(Demo::Thesis.new.bytes, "styles?style=Normal")
    fill_in "v-line_spacing", with: "1.3\t"
    expect(page).to have_css(".ripple", text: /76 pages before, \d+ pages after/)
    expect(page).to have_css(".pagepair", count: 3)
    sleep 0.5 # until leaving the field has been answered too
    first(".pagepair button").click
    expect(page).to have_css("#sheet-pair svg", count: 2)
    expect(page).to have_css("#sheet-pair text", minimum: 20)
    told = find(".ripple").text[/before, (\d+) pages after/, 1].to_i
    click_button "Keep"
    expect(page).to have_css("#said", text: "Change Normal")
    expect(pages.sheets.size).to eq told
  end

  it "draws each line where the layout says it stands: words end where they were measured to" do
    at_station(Demo::Thesis.new.bytes, "sheets/4?near=1")
    expect(page).to have_css(".sheetsize text", minimum: 20)
    drawn = page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      document.fonts.ready.then(() => done([...document.querySelectorAll("a.settext > text")].map((t) => [t.textContent, t.getComputedTextLength()])));
    JS
    wanted = pages.sheets[3].lines.flat_map(&:spans).to_h { |span| [span.letters.shown(span.text), span.width] }
    off = drawn.filter_map { |text, width| (width - wanted[text]).abs if wanted[text] && text.size > 3 }
    expect(off.size).to be > 20
    expect(off.max).to be < 0.2
    expect(page.evaluate_script("getComputedStyle(document.querySelector('a.settext > text')).stroke")).to eq "none"
  end

  it "fill in by themselves once pages are worked out, and the head of the page with them" do
    Paging.inline = false
    waits = Queue.new << true # what comes is counted with its pages
    allow(Norvel::Layout).to receive(:of).and_wrap_original { |original, *arguments, **more|
      waits.pop && original.call(*arguments, **more)
    }
    at_station(Demo::Notice.new.bytes, "sheets", guide: "ravelmouth-house")
    expect(page).to have_css("#wall", text: "Pages are being worked out")
    expect(page).to have_css("#standing", text: "57 must")
    20.times { waits << true }
    expect(page).to have_css("#wall .leaf", count: 2)
    expect(page).to have_css("#bench", text: "Why 2 pages?")
    expect(page).to have_css("#standing", text: "58 must")
  ensure
    Paging.inline = true
  end

  # Reading and checking work on a telephone: nothing is wider than 390 pixels.
  it "fit a telephone" do
    at_station(Demo::Notice.new.bytes, "sheets", guide: "ravelmouth-house")
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: 390, height: 844, deviceScaleFactor: 1,
      mobile: true)
    ["sheets", "sheets/1", "sheets/matters", "sheets/contents", "sheets/saving"].each do |step|
      visit "/manuscripts/#{@manuscript.id}/#{step}"
      expect([step, page.evaluate_script("document.documentElement.scrollWidth")]).to eq [step, 390]
    end
  ensure
    page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
  end
end
