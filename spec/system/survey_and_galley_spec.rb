# frozen_string_literal: true

Browser.boot

RSpec.describe "survey and galley", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  let(:manuscript) { Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx", guide: "ravelmouth-thesis") }
  let(:at) { "/manuscripts/#{manuscript.id}" }

  def keys(*strokes)
    find("body").send_keys(*strokes)
  end

  def find_all(text)
    fill_in "q", with: text
    find("#q").send_keys(:enter)
    expect(page).to have_css("#bench h2", text: /Paragraph|paragraphs/)
    expect(page).to have_css("#selected",
      text: "· #{manuscript.reload.document.paragraphs
      .count { |p| p.text.strip.match?(text.start_with?("/") ? Regexp.new(text[1..-2]) : text) }} selected")
  end

  def said(text)
    expect(page).to have_css("#said", text:, wait: 15)
  end

  # By hand it takes several hundred.
  it "puts every paragraph of the raw thesis in a style, by keys and bulk only, in few actions" do
    actions = 0
    act = ->(&block) { (actions += 1) && block.call }
    visit "#{at}/galley"
    expect(page).to have_css("#row-7")
    act.call { keys("E") }
    expect(page).to have_css("#selected", text: "811 selected")
    act.call { keys("0") }
    said("put 811 paragraphs in Body Text")
    {"/^(CHAPTER \\d|Abstract$|REFERENCES$)/" => "1", "/^\\d\\.\\d /" => "2", "/^(Figure|Table) \\d/" => "c",
     "Paid to the two brothers" => "q", "Salt and Timber: repairing" => "i", "Quay Press" => "r"}.each do |sought, key|
      act.call { find_all(sought) }
      act.call { keys(key) }
      said(/put \d+ paragraphs? in (Heading|Caption|Block|Title|Bib)/i)
    end
    %w[3 t].zip([Norvel::Survey::Suggestions.new(manuscript.document).to_h.find { |_, s| s.role == "heading_3" }.first,
      manuscript.document.paragraphs.find { |p| p.part == :table }.id]).each do |key, id|
      act.call { visit "#{at}/galley?at=#{id}" }
      expect(page).to have_css("#bench h2", text: "Paragraph")
      act.call { keys("R") }
      expect(page).to have_no_css("#selected", text: "· 1 selected")
      act.call { keys(key) }
      said(/ in (Heading 3|Table Text)/)
    end
    document = Manuscript.find(manuscript.id).document
    expect(document.uses.transform_keys { |id| document.styles[id].name }.keys)
      .to match_array ["Title", "Body Text", "Heading 1", "Heading 2", "Heading 3", "Block Quote", "Caption",
        "Table Text", "Bibliography"]
    expect(Norvel::Survey::Outline.new(document).marked.map { |entry| [entry.level, entry.skipped] }.tally)
      .to eq({[1, nil] => 9, [2, nil] => 35, [3, nil] => 10})
    puts "\n  every paragraph in a style after #{actions} actions"
    expect(actions).to be < 40
  end

  it "tells the truth on top, makes near misses equal, and puts suggested roles in styles as one change" do
    visit "#{at}/survey"
    expect(page).to have_css(".verdict",
      text: "622 paragraphs wear 18 looks but only 1 style. 189 more are blank. 54 look like headings; none is " \
      "marked as one.")
    within(".misses li", text: "4 at 1.93 cm") { click_button "make equal" }
    expect(page).to have_no_css(".misses li", text: "1.93 cm")
    click_link "Put each kind in its style …"
    uncheck "Table text: put 225 paragraphs in Table Text"
    click_button "Put the ticked kinds in these styles"
    expect(page).to have_css(".verdict", text: "All 54 headings are marked as such.")
    find("#take-back-button").click
    said("Taken back: Put")
    visit current_path
    expect(page).to have_css(".verdict", text: "none is marked as one")
  end

  it "makes a style from a look, and shows a group in the galley" do
    visit "#{at}/survey"
    row = find(".looks tr", text: "Paid to the two brothers", match: :first)
    row.find("summary", text: "Put in Block Quote").click
    expect(row).to have_css(".outcome", text: "as the style is")
    expect(row).to have_css(".outcome", text: "the style takes this look")
    row.fill_in "or in a new style of this look", with: "Long Quotation"
    row.click_button "Put 18 in Long Quotation"
    expect(page).to have_css(".looks tr", text: "in Long Quotation")
    find(".byhand li", text: "Tabs as indents").find("a").click
    click_button "Select them"
    expect(page).to have_css("#selected", text: "213 selected")
  end

  it "changes words when asked, says so, and takes it back" do
    visit "#{at}/galley?at=7"
    find("#change-words summary").click
    fill_in "words-text", with: "Salt and Tar\nA thesis"
    click_button "Keep these words"
    said("Retype paragraph 7 as 2")
    expect(page).to have_css("#seal", text: "you changed the words of 2 paragraphs")
    find("#take-back-button").click
    expect(page).to have_css("#seal", text: "24,905 words, unchanged")
  end

  it "pastes text, shown before it goes in" do
    visit "#{at}/galley?at=24"
    find("#change-words summary").click
    click_link "Paste after it …"
    page.execute_script("document.querySelector('#paste-html').value = '<h2>A new head</h2><p>With " \
      "<em>weight</em>.</p>'")
    fill_in "paste-text", with: "A new head"
    click_button "See how it would go in"
    expect(page).to have_css(".pastelist tr", text: "Heading 2 A new head")
    click_button "Put 2 paragraphs in"
    expect(page).to have_css(".row", text: "A new head")
  end

  it "stands beside the original, in step" do
    manuscript.perform(Norvel::Edits::RemoveBlankParagraphs.new(:all), version: 0)
    visit "#{at}/beside"
    expect(page).to have_css(".pair .gone", text: "gone", minimum: 5)
  end

  it "has the person's own letters" do
    visit "#{at}/galley"
    within(".stylelist li", text: "Normal") do
      fill_in "Letter for Normal", with: "n"
      click_button "set"
    end
    expect(page).to have_field("Letter for Normal", with: "n")
    within(".stylelist li", text: "Normal") do
      fill_in "Letter for Normal", with: "j"
      click_button "set"
    end
    expect(page).to have_text("it has other work. Free are a, b")
  end

  # Source: axe-core (Deque Systems).
  it "has no fault that axe-core finds" do
    at = "/manuscripts/#{Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx").id}"
    ["survey", "survey?view=outline", "survey?view=lines", "survey?view=aloud", "roles", "beside", "paste"]
      .each do |station|
      visit "#{at}/#{station}"
      expect(page).to be_axe_clean.excluding(".outcome-line") # the document's own colours
    end
    visit "#{at}/galley?at=24"
    find("#change-words summary").click
    expect(page).to be_axe_clean
  end

  # Reading and checking work on a telephone: nothing is wider than 390 pixels.
  it "fits a narrow screen at every station" do
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: 390, height: 844, deviceScaleFactor: 1,
      mobile: true)
    %w[survey survey?view=outline survey?view=aloud roles styles styles?section=1 templates?template=ship:short-notice
      galley?at=5 findings handover ledger beside].each do |station|
      visit "/manuscripts/#{manuscript.id}/#{station}"
      expect([station, page.evaluate_script("document.documentElement.scrollWidth")]).to eq [station, 390]
    end
  ensure
    page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
  end

  it "finds words, puts others at the ticked places, and takes that back as one" do
    visit "#{at}/galley"
    fill_in "q", with: "mill"
    find("#q").send_keys(:enter)
    expect(page).to have_css("#hit-place", text: "1 of 267")
    find("#hit-words summary").click
    click_on "Find and replace …"
    expect(page).to have_field("Find", with: "mill")
    check "whole words"
    fill_in "Put instead", with: "works"
    click_on "Show the places"
    expect(page).to have_text("52 places")
    expect(page).to have_css(".hitlist tbody tr:first-child del", text: "mill")
    expect(page).to have_css(".hitlist tbody tr:first-child ins", text: "works")
    uncheck "Place 1"
    click_on "Replace the ticked places"
    said("Replace “mill” by “works” at 51 places")
    expect(page).to have_css(".hitlist tbody tr", count: 1)
    expect(page).to have_text("you changed the words of 48 paragraphs")
    keys("u")
    expect(page).to have_text("24,905 words, unchanged since you brought the file in")
  end
end
