# frozen_string_literal: true

Browser.boot

RSpec.describe "styles", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  let(:manuscript) do
    Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx", guide: "ravelmouth-house")
  end
  let(:at) { "/manuscripts/#{manuscript.id}" }

  def styles = Manuscript.find(manuscript.id).document.styles

  it "shows the ripple before a change is kept, and keeps or drops it" do
    visit "#{at}/styles?style=Heading1"
    expect(page).to have_css(".leaf.here", text: "Heading 1")
    fill_in "v-space_before", with: "30pt"
    expect(page).to have_css(".ripple", text: "space before")
    expect(page).to have_css(".big div", text: "paragraphs change")
    click_link "Drop"
    expect(page).to have_no_css(".ripple", text: "space before")
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
    page.driver.browser.action.move_to(heading.native).pointer_down(:left).move_by(0, -20).move_to(body.native)
      .pointer_up(:left).perform
    expect(page).to have_css(".ripple", text: "Base Heading 3 on Body Text, not kept yet")
    expect(page).to have_select("a-base", selected: "Body Text")
    click_button "Keep"
    expect(page).to have_css("#said", text: "Base Heading 3 on Body Text")
    expect(styles["Heading3"].based_on).to eq "BodyText"
    find(".leaf[data-style='BodyText']").send_keys(:arrow_down)
    focused = Browser.settled("Heading3") { page.evaluate_script("document.activeElement.dataset.style") }
    expect(focused).to eq "Heading3"
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
    expect(page).to have_css(".ripple", text: "The two look alike")
    click_button "Keep"
    expect(page).to have_css("#said", text: "Merge Margin Note into Body Text")
    expect(page).to have_css("h2", text: "Body Text")
    within("form[action$='styles/delete']") do
      select "Normal", from: "a-to"
      check "looking as now"
      click_button "delete"
    end
    expect(page).to have_css(".big div", text: /paragraphs change\s*0/)
    click_button "Keep"
    expect(page).to have_css("#said", text: "Delete the style Body Text")
    expect(styles["BodyText"]).to be_nil
  end

  it "lets a style adopt the look of a paragraph, and all of it follow" do
    document = manuscript.document
    hand = document.paragraphs.find { |p| p.text.start_with?("Hours and tides") }
    manuscript.perform(Norvel::Edits::ChangeStyle.new("Heading1", {size: 30.0}), version: 0)
    manuscript.reload.perform(Norvel::Edits::PutInStyle.new([hand.id], "Heading1", hand: :stays), version: 1)
    visit "#{at}/galley?at=#{hand.id}"
    find("summary", text: "The style takes this look …").click
    click_button "Let it take this look"
    expect(page).to have_css("#said", text: "take the look of paragraph")
    expect([styles["Heading1"].run[:size], Manuscript.find(manuscript.id).document.paragraph(hand.id).runs[0]
      .direct.empty?]).to eq [18.0, true]
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
    expect(written(Manuscript.find(manuscript.id).document)).to eq written(manuscript.first_document)
    visit "#{at}/templates"
    fill_in "t-name", with: "Our own"
    click_button "Save"
    expect(page).to have_css(".templatelist li", text: "Our own")
    click_link "Our own"
    expect(page).to be_axe_clean
  end

  # Norvel's main promise to a student: headings with values of their own stay, those that inherit follow.
  it "sets the body to double spacing: headings with their own stay, those that inherit follow" do
    document = Norvel::Edits::RebaseStyle.new("Heading2", "BodyText").change(manuscript.document)
    own = Norvel::Edits::Several.new([Norvel::Edits::RebaseStyle.new("Heading2", "BodyText"),
      Norvel::Edits::RebaseStyle.new("Heading3", "BodyText"),
      Norvel::Edits::ChangeStyle.new("Heading3", {line_spacing: {rule: "multiple", value: 1.0}})])
    manuscript.perform(own, version: 0)
    visit "#{at}/styles?style=BodyText"
    fill_in "v-line_spacing", with: "double"
    expect(page).to have_css(".ripple", text: "With it: Heading 2.")
    expect(page).to have_css(".big div",
      text: /paragraphs change\s*#{document.uses["BodyText"] + document.uses["Heading2"]}/)
    click_button "Keep"
    expect(page).to have_css("#said", text: "line spacing double")
    now = Manuscript.find(manuscript.id).document
    expect(%w[BodyText Heading2 Heading3 Heading1].map { |id|
      now.cascade.of_style(now.styles[id],
        :paragraph)[:line_spacing][:value]
    }).to eq [2.0, 2.0, 1.0, 1.0792]
  end

  it "redefines Heading 1 by adoption, and all in it change" do
    heading = manuscript.document.paragraphs.find { |p| p.style_id == "Heading1" }
    manuscript.perform(Norvel::Edits::Several.new([Norvel::Edits::MakeEqual.new([heading.id], :align, "right")]),
      version: 0)
    visit "#{at}/galley?at=#{heading.id}"
    find("summary", text: "The style takes this look …").click
    click_button "Let it take this look"
    expect(page).to have_css("#said", text: "Let Heading 1 take the look")
    now = Manuscript.find(manuscript.id).document
    expect(now.paragraphs.select { |p| p.style_id == "Heading1" }.map { |p| now.look(p)[:align] }.uniq).to eq ["right"]
  end

  it "drags a dimension of the specimen, or moves it by keys" do
    visit "#{at}/styles?style=BodyText"
    handle = find("[data-drag='indent_left']")
    # the specimen is to scale: its column is the measure of the page, 159.2 mm, so 40 pixels are
    width = evaluate_script("document.querySelector('#specimen .itself').getBoundingClientRect().width")
    moved = 40 * (159.2 / 25.4 * 72) / width
    page.driver.browser.action.move_to(handle.native).pointer_down(:left).move_by(40, 0).pointer_up(:left).perform
    expect(page).to have_css(".ripple", text: "left indent")
    expect(find("#v-indent_left").value[/\A([\d.]+) cm\z/, 1].to_f).to be_within(0.06).of(moved * 2.54 / 72)
    find("[data-drag='line_spacing']").send_keys(:arrow_down, :arrow_down)
    expect(page).to have_css(".ripple", text: "line spacing 1.2")
    click_button "Keep"
    expect(page).to have_css("#said", text: /left indent .*line spacing 1.2/)
    expect(styles["BodyText"].paragraph[:indent_left]).to be_within(2).of(moved)
  end

  it "makes a list style, changes a level, and puts paragraphs in it" do
    visit "#{at}/styles"
    find("summary", text: "Make a style …").click
    within(".more form#f-make") do
      fill_in "Name", with: "Steps"
      select "lists", from: "Of"
      select "1. · a. · i.", from: "Markers"
      click_button "Make it"
    end
    expect(page).to have_css("h2", text: "Steps")
    expect(page).to be_axe_clean
    fill_in "l-after", with: ")"
    expect(page).to have_css(".ripple", text: "Steps, level 1: marker")
    click_button "Keep"
    expect(page).to have_css(".levels .marker", text: "1)")
    visit "#{at}/galley?at=6"
    find("summary", text: "List").click
    select "Steps", from: "in-list"
    click_button "Put in list"
    expect(page).to have_css("#row-6 .marker", text: "1)")
    click_button "Start again here"
    expect(page).to have_css("#said", text: "Start the numbers again at paragraph")
  end

  it "names a page set-up and changes it for all its sections" do
    visit "#{at}/styles?section=1"
    fill_in "a-page-name", with: "Body matter"
    click_button "name it"
    expect(page).to have_css("h2", text: "Body matter")
    expect(page).to be_axe_clean
    fill_in "p-margin_left", with: "4 cm"
    expect(page).to have_css(".ripple", text: "margin at the left 40 mm")
    expect(page).to have_css(".big div", text: "sections change")
    click_button "Keep"
    expect(page).to have_css("#said", text: "Page style Body matter")
    expect(Manuscript.find(manuscript.id).document.sections[0].margin_left).to be_within(0.1).of(113.4)
  end

  it "sets tab stops and borders in words" do
    visit "#{at}/styles?style=Heading1"
    fill_in "v-borders", with: "below 1 pt #1f3864"
    fill_in "v-tabs", with: "right 15 cm with dots"
    expect(page).to have_css(".ripple", text: "tab stops right")
    click_button "Keep"
    expect(page).to have_field("v-tabs", with: "right 15 cm with dots")
    fill_in "v-color", with: "#999999"
    expect(page).to have_css(".ripple",
      text: /Colour on ground: 21.0 : 1 .* before, 2.8 : 1 on white, too little after/)
    fill_in "v-borders", with: "under it"
    expect(page).to have_css("#said [role=alert]", text: "not a side")
  end

  # The handbook's quotation: a style from a paragraph, single-spaced and inset, put on all that look so.
  it "makes a block quotation style from a paragraph and puts it on all long quotations" do
    thesis = Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx")
    quote = thesis.document.paragraphs.find do |p|
      Norvel::Survey::Suggestions.of(thesis.document).role(p.id) == "quote"
    end
    visit "/manuscripts/#{thesis.id}/galley?at=#{quote.id}"
    expect(page).to have_css("#bench h2", text: "Paragraph")
    find("body").send_keys("R")
    expect(page).to have_css("#selected", text: "24 selected")
    find("summary", text: "A new style of this look …").click
    fill_in "make-name", with: "Long Quotation"
    click_button "Make it"
    expect(page).to have_css("#said", text: "Make the style Long Quotation from 24 paragraphs")
    made = Manuscript.find(thesis.id).document
    expect([made.uses[made.styles.named("Long Quotation").id], made.styles.named("Long Quotation")
      .paragraph[:indent_left]]).to eq [24, 53.85]
  end

  it "puts words in a character style" do
    visit "#{at}/galley?at=3"
    paragraph = manuscript.document.paragraph(4)
    find("#row-4 .scell").click
    expect(page).to have_css("#bench h2", text: "Paragraph 4")
    find("#letters-fold summary").click
    fill_in "some-words", with: paragraph.text.split.first(2).join(" ")
    select "Work Title", from: "character-some"
    within("#words-form") { click_button "Set" }
    expect(page).to have_css("#said", text: "in Work Title")
    made = Manuscript.find(manuscript.id).document
    expect(made.styles[made.paragraph(4).runs.first.style_id].name).to eq "Work Title"
  end

  it "numbers headings by style" do
    visit "#{at}/styles"
    find("summary", text: "Number headings …").click
    click_button "Number them by style"
    expect(page).to have_css(".ripple .marker", text: "1")
    click_button "Keep"
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
    expect([made.style_name(made.paragraphs[0]), made.info[:author], made.paragraphs.map(&:text)])
      .to eq ["Title", "I. Aldermoor", ["On Weirs", "I. Aldermoor", "Introduction", "Begin here."]]
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
