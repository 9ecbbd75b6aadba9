# frozen_string_literal: true

Browser.boot

# A guide made, changed and used in a real browser; actions are presses, choices and words typed.
RSpec.describe "guides", type: :feature do
  before do
    WebApp.clear
    @actions = 0
  end
  after { Capybara.reset_sessions! }

  def act
    @actions += 1
    yield
  end

  def at_hand(name, bytes)
    File.join(Dir.mktmpdir, name).tap { |path| File.binwrite(path, bytes) }
  end

  let(:handbook) { Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx") }

  it "makes one of a template, changes a rule that says first what it would find, and checks a document by it" do
    template = at_hand("notice.docx", Norvel::Formats::Template.bytes(handbook.document))
    visit "/"
    act { click_link "Guides …" }
    act { attach_file "file", template, make_visible: true }
    act { click_button "Make the guide" }
    expect(page).to have_css("#said", text: "Made the guide")
    expect(@actions).to be <= 8
    expect(page).to be_axe_clean
    act { click_link "Text" }
    act { find("#g-document").select(handbook.title) && click_button("show") }
    act { click_link "Size of body text is 11 pt." }
    act { fill_in("value", with: "10pt") && find("#r-value").send_keys(:tab) }
    expect(page).to have_css("#tried b", text: /\d+ (?:more|fewer)/, wait: 20)
    expect(page).to have_css(".guidetext li.here", text: "size: 11pt")
    expect(page).to be_axe_clean
    act { click_button "Put it in" }
    expect(page).to have_css(".ruletable", text: "Size of body text is 10 pt.")
    act { click_button "Keep as edition 2" }
    expect(page).to have_css("#said", text: "Kept as edition 2")
    puts "\n  a guide of a template, one rule changed: #{@actions} actions"
    visit "/manuscripts/#{handbook.id}/findings"
    find(".against summary").click
    find("#against").find("option", text: SavedGuide.newest.first.name).select_option
    click_button "Hold it against this"
    expect(page).to have_css("#standing", text: "edition 2")
    expect(page).to have_css("#findings", text: "10 pt")
  end

  it "finds five rules in a paragraph of a manual, and takes those that are ticked" do
    visit "/guides"
    fill_in "text", with: "Margins must be at least 1 inch on the left side. The text is double-spaced in a 12 point " \
      "font. Block quotations of 40 words or more are single-spaced. The abstract must not exceed 300 words."
    fill_in "name", with: "Town college"
    click_button "Make the guide"
    expect(page).to have_css(".offers tbody tr", minimum: 5)
    expect(page).to have_no_css(".offers input:checked")
    click_button "Tick all"
    expect(page).to have_no_css(".offers input:not(:checked)")
    all(".offers input").each(&:uncheck)
    ["The left margin is at least 1 in.", "Line spacing of body text is double.", "Size of body text is 12 pt.",
      "A block quotation has 40 words or more.", "The abstract stands here in the order, at most 300 words."]
      .each { |words| check words }
    expect(page).to be_axe_clean
    click_button "Put the ticked rules in"
    expect(page).to have_css("#said", text: "Put 5 rules in")
    expect(page).to have_css(".guidetext", text: "line_spacing: double")
  end

  it "shows the line of a text that can't be a guide, in the editor that keeps it" do
    row = SavedGuide.keep("norvel_guide: 1\nname: Ours\nroles:\n  body: {size: 12pt}\n")
    visit "/guides/#{row.key}"
    click_link "write in it …"
    fill_in "text", with: "norvel_guide: 1\nname: Ours\nroles:\n  body: {size: tall}\n"
    click_button "Put the text in"
    expect(page).to have_css("[role=alert]", text: "Line 4")
    line = "  body: {size: tall}"
    expect(Browser.settled(line) {
      page.evaluate_script("(b => b.value?.slice(b.selectionStart, b.selectionEnd))(document.activeElement)")
    }).to eq line
  end

  it "goes from a cause to its place, in its line and on its sheet, by keys, grants an exception, and mends" do
    handbook.judge_by("ravelmouth-house", template: nil, version: handbook.lock_version)
    visit "/manuscripts/#{handbook.id}/findings?topic=text"
    find("a.cause", match: :first).click
    expect(page).to have_css(".theline")
    expect(page).to have_css(".placesheet .foundbox")
    expect(page).to be_axe_clean
    first = find(".placegrid dl.found", match: :first).text
    find("body").send_keys("j")
    expect(page).to have_no_css(".placegrid dl.found", text: first, exact_text: true)
    find("body").send_keys("k")
    expect(page).to have_css(".placegrid dl.found", text: first, exact_text: true)
    find(".except summary").click
    fill_in "Reason", with: "by letter of 3 May"
    click_button "Grant the exception"
    find(".excepted summary").click
    expect(page).to have_css(".excepted li", text: "by letter of 3 May")
    find("a.cause", match: :first).click
    open = handbook.reload.check.findings.size
    find(".placeacts button", match: :first).click
    expect(page).to have_css("#findings .since", text: "gone")
    expect(handbook.reload.check.findings.size).to be < open
    find("a.cause", match: :first).click
    click_link "What does this mean?"
    expect(page).to have_css("h2", text: "How to meet it by hand")
    expect(page).to be_axe_clean
  end

  it "takes forty files at once, and gives one report of all" do
    line = "The keeper wrote the tide in the book, and he signed it for the year that had passed."
    paths = (1..40).map do |number|
      at_hand("minutes #{number}.docx", package((p(r(line), '<w:jc w:val="both"/>') * (number % 4 + 1)) + section))
    end
    visit "/"
    attach_file "file", paths, make_visible: true
    expect(page).to have_css(".chosen", text: "40 files")
    find("[name=against]").find("option", text: "Ravelmouth Harbour").select_option
    click_button "Bring in"
    expect(page).to have_css("#said", text: "Brought in 40 files")
    expect(page).to have_css("#documents li", count: 40)
    expect(page).to have_no_css(".waiting", wait: 30)
    expect(page).to be_axe_clean
    click_link "most open first"
    click_link "One report for all"
    expect(page).to have_css("h1", text: "40 documents")
    expect(page).to have_css("h2", count: 40)
    expect(page).to be_axe_clean
  end
end
