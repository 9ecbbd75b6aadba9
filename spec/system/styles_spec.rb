# frozen_string_literal: true

Browser.boot

RSpec.describe "styles", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  let(:manuscript) { Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx", guide: "ravelmouth-house") }
  let(:at) { "/manuscripts/#{manuscript.id}" }

  def styles = Manuscript.find(manuscript.id).document.sheet

  it "shows the ripple before a change is kept, and keeps or drops it" do
    visit "#{at}/styles?style=Heading1"
    expect(page).to have_css(".leaf.here", text: "Heading 1")
    fill_in "v-space_before", with: "30pt"
    expect(page).to have_css(".ripple", text: "space before")
    expect(page).to have_css(".big div", text: "paragraphs change")
    click_link "Drop"
    expect(styles["Heading1"].paragraph[:space_before]).to eq 18.0
    fill_in "v-line_spacing", with: "double"
    # Heading 2 and 3 inherit the line spacing of Heading 1; Heading 2 has a space before of its own.
    expect(page).to have_css(".ripple", text: "With it: Heading 2, Heading 3")
    click_button "Keep"
    expect(page).to have_css("#said", text: "Change Heading 1: line spacing double")
    expect(styles["Heading1"].paragraph[:line_spacing]).to eq({rule: "multiple", value: 2.0})
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back")
    expect(styles["Heading1"].paragraph).not_to be_key(:line_spacing)
  end

  it "says what it can't understand, in words" do
    visit "#{at}/styles?style=BodyText"
    fill_in "v-size", with: "wide"
    expect(page).to have_css("#said [role=alert]", text: "“wide” is not a length")
  end

  it "keeps the names that assistive technology relies on, and refuses circles" do
    visit "#{at}/styles?style=Heading1"
    fill_in "a-name", with: "Big"
    click_button "rename"
    expect(page).to have_text("contents lists and assistive technology")
    visit "#{at}/styles?style=Heading1"
    select "Heading 2", from: "a-base"
    click_button "base"
    expect(page).to have_text("that would be a circle")
  end

  it "bases a style on another by dragging it there, and is walked by arrows" do
    visit "#{at}/styles?style=Heading1"
    heading, body = %w[Heading3 BodyText].map { |id| find(".leaf[data-style='#{id}']") }
    page.driver.browser.action.move_to(heading.native).pointer_down(:left).move_by(0, -20).move_to(body.native).pointer_up(:left).perform
    expect(page).to have_css("#said", text: "Base Heading 3 on Body Text")
    expect(styles["Heading3"].based_on).to eq "BodyText"
    find(".leaf[data-style='BodyText']").send_keys(:arrow_down)
    expect(page.evaluate_script("document.activeElement.dataset.style")).to eq "Heading3"
  end

  it "makes, merges and deletes styles" do
    visit "#{at}/styles"
    find("summary", text: "Make a style …").click
    within(".more form") do
      fill_in "Name", with: "Margin Note"
      select "Body Text", from: "Like"
      click_button "Make it"
    end
    expect(page).to have_css("h2", text: "Margin Note")
    select "Body Text", from: "a-merge"
    click_button "merge"
    expect(page).to have_css("#said", text: "Merge Margin Note into Body Text")
    expect(page).to have_css("h2", text: "Body Text")
    within("form[action$='styles/delete']") do
      select "Normal", from: "a-to"
      check "looking as now"
      click_button "delete"
    end
    expect(page).to have_css("#said", text: "Delete the style Body Text")
    expect(styles["BodyText"]).to be_nil
  end

  it "lets a style adopt the look of a paragraph, and all of it follow" do
    document = manuscript.document
    hand = document.paragraphs.find { |p| p.text.start_with?("Hours and tides") }
    manuscript.perform(Norvel::Edits::AssignStyle.new([hand.id], "Heading1"), version: 0)
    visit "#{at}/galley?at=#{hand.id}"
    expect(page).to have_css("#bench h2", text: "Paragraph")
    manuscript.reload.perform(Norvel::Edits::ChangeStyle.new("Heading1", {size: 30.0}), version: 1)
    visit "#{at}/galley?at=#{hand.id}"
    click_button "Let Heading 1 adopt this look"
    expect(page).to have_css("#said", text: "adopt the look of paragraph")
    expect([styles["Heading1"].run[:size], Manuscript.find(manuscript.id).document.paragraph(hand.id).runs[0].direct.empty?]).to eq [18.0, true]
  end

  it "dresses the document in another template, shown first, and takes it back; saves one of its own" do
    visit "#{at}/templates"
    click_link "Ravelmouth thesis"
    expect(page).to have_css(".big div", text: "styles matched")
    click_button "Dress it in Ravelmouth thesis"
    expect(page).to have_css("#said", text: "Dress in the template Ravelmouth thesis with its page set-up")
    expect(Manuscript.find(manuscript.id).document.sections[0].margin_left).to be_within(0.1).of(107.75)
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back")
    expect(Norvel::Formats::Docx.write(Manuscript.find(manuscript.id).document)).to eq Norvel::Formats::Docx.write(manuscript.first_document)
    visit "#{at}/templates"
    fill_in "t-name", with: "Our own"
    click_button "Save"
    expect(page).to have_css(".templatelist li", text: "Our own")
    click_link "Our own"
    expect(page).to be_axe_clean
  end

  # The handbook's quotation: a style from a paragraph, single-spaced and inset, put on all that look so.
  it "makes a block quotation style from a paragraph and puts it on all long quotations" do
    thesis = Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx")
    quote = thesis.document.paragraphs.find { |p| thesis.document.suggestions.role(p.id) == "quote" }
    visit "/manuscripts/#{thesis.id}/galley?at=#{quote.id}"
    expect(page).to have_css("#bench h2", text: "Paragraph")
    find("body").send_keys("R")
    expect(page).to have_css("#selected", text: "24 selected")
    fill_in "make-name", with: "Long Quotation"
    click_button "Make it"
    expect(page).to have_css("#said", text: "Make the style Long Quotation from 24 paragraphs")
    made = Manuscript.find(thesis.id).document
    expect([made.uses[made.sheet.named("Long Quotation").id], made.sheet.named("Long Quotation").paragraph[:indent_left]]).to eq [24, 53.85]
  end

  it "puts words in a character style" do
    visit "#{at}/galley?at=3"
    paragraph = manuscript.document.paragraph(4)
    find("#row-4 .scell").click
    expect(page).to have_css("#bench h2", text: "Paragraph 4")
    fill_in "some-words", with: paragraph.text.split.first(2).join(" ")
    select "Work Title", from: "character"
    within("#words-form") { click_button "Set" }
    expect(page).to have_css("#said", text: "in Work Title")
    made = Manuscript.find(manuscript.id).document
    expect(made.sheet[made.paragraph(4).runs.first.style_id].name).to eq "Work Title"
  end

  it "numbers headings by style" do
    visit "#{at}/styles"
    find("summary", text: "Number headings …").click
    click_button "Number them by style"
    expect(page).to have_css("#said", text: "Number the headings: decimal")
    expect(Manuscript.find(manuscript.id).document.markers.values.first(3)).to eq %w[1 1.1 1.2]
  end

  it "starts a document from a template, its front matter filled in" do
    visit "/"
    click_link "Start from a template …"
    expect(page).to be_axe_clean
    select "Ravelmouth thesis", from: "Template"
    fill_in "Title", with: "On Weirs"
    fill_in "Author", with: "I. Aldermoor"
    click_button "Start"
    expect(page).to have_css(".row", text: "On Weirs")
    made = Manuscript.last.document
    expect([made.style_name(made.paragraphs[0]), made.info[:author], made.paragraphs.map(&:text)]).to eq ["Title", "I. Aldermoor", ["On Weirs", "I. Aldermoor", "Introduction", "Begin here."]]
  end

  # Source: axe-core (Deque Systems).
  it "has no fault that axe-core finds" do
    visit "#{at}/styles?style=BodyText"
    expect(page).to be_axe_clean
    fill_in "v-line_spacing", with: "double"
    expect(page).to have_css(".ripple")
    expect(page).to be_axe_clean
  end
end
