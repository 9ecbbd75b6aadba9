# frozen_string_literal: true

Browser.boot

# A bulk change as a careful person makes it: seen first, in parts, done, taken back.
RSpec.describe "the plan", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  def at_station(bytes, station, guide: "ravelmouth-thesis")
    @manuscript = Manuscript.bring_in(bytes, filename: "paper.docx", guide:)
    visit "/manuscripts/#{@manuscript.id}/#{station}"
  end

  def document = Manuscript.find(@manuscript.id).document

  def names(document = self.document) = document.paragraphs.to_h { |one| [one.text, document.style_name(one)] }

  # A paper without any formatting, as it is when it was pasted.
  def bare
    running = "The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years. " \
      "It is the only record of its kind."
    sections = {"1 Introduction" => 2, "1.1 The keeper" => 2, "1.2 The book" => 2, "2 What the book shows" => 3}
    text = ["The Keeper and his Book", "by Ines Aldermoor",
      *sections.flat_map { |heading, count| [heading, *[running] * count] }]
    package(text.map { |line| p(r(line)) }.join, defaults: defaults("Calibri", 22))
  end

  it "brings bare text into styles in few actions: roles from words alone, the plan, one press" do
    at_station(bare, "findings")
    click_link "Mend all that is safe …"
    expect(page).to have_css(".planparts td", text: "9 paragraphs go in Body Text")
    expect(page).to have_css(".planparts td", text: "2 paragraphs go in Heading 1")
    click_button "Do these"
    expect(page).to have_css("#said", text: "Mend all that is safe", wait: 20)
    expect(names.slice("1 Introduction", "1.1 The keeper", "2 What the book shows"))
      .to eq("1 Introduction" => "Heading 1", "1.1 The keeper" => "Heading 2", "2 What the book shows" => "Heading 1")
    expect(page.find("#seal")).to have_text("unchanged since you brought the file in")
  end

  it "is shown, one part switched off, done, and taken back" do
    at_station(Demo::Thesis.new.bytes, "plan")
    expect(page).to have_css("#plan-bench", text: "must 1,085 → 73")
    expect(page).to be_axe_clean.within("#station")
    before = names
    uncheck "35 paragraphs go in Heading 2"
    expect(page).to have_css(".planleft td", text: "left out of the plan")
    check "24 paragraphs go in Bibliography"
    expect(page).to have_css("#plan-bench", text: "must 1,085 → 143")
    expect(page).to have_unchecked_field("35 paragraphs go in Heading 2")
    click_button "Do these"
    expect(page).to have_css("#said", text: "Mend all that is safe", wait: 20)
    expect(names.values.tally.slice("Heading 2", "Heading 1", "Bibliography", "Body Text"))
      .to eq("Heading 1" => 9, "Bibliography" => 24, "Body Text" => 256)
    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back: Mend all that is safe")
    expect(names).to eq before
  end

  # Read by python-docx: what it hands over has the parts, and every paragraph a style.
  it "with everything ticked leaves nothing of the thesis but descriptions of its images" do
    at_station(Demo::Thesis.new.bytes, "plan")
    actions = 0
    4.times do
      expect(page).to have_no_css("#plan-busy.htmx-request", wait: 60)
      break if page.has_no_css?(".planparts tbody:last-child input[type=checkbox]:not(:checked)", wait: 0)
      before = page.evaluate_script("document.querySelector('#plan').dataset.drawn = 'before'")
      click_button "Tick all"
      actions += 1
      expect(page).to have_no_css("#plan[data-drawn=#{before}]", wait: 60)
    end
    find(".movedpages summary", match: :first).click
    expect(page).to have_css(".movedpages .smallpage", minimum: 2, wait: 30)
    click_button "Do these"
    expect(page).to have_css("#said", text: "Mend all that is safe", wait: 60)
    left = Manuscript.find(@manuscript.id).check.findings.map(&:rule).tally
    expect([left, actions]).to eq [{"accessible.alt_text" => 10}, 2]
    expect(document.uses.keys.map { |id| document.styles[id].name }).to include("Body Text", "Heading 1", "Table Text")
    expect(page.find("#seal")).to have_text("you changed the words of 3 paragraphs") # headings of the lists that came
  end

  it "remembers that a line is no heading" do
    at_station(Demo::Thesis.new.bytes, "galley?at=1")
    id = document.paragraphs.find { |one| one.text.start_with?("1.2 ") }.id
    visit "/manuscripts/#{@manuscript.id}/galley?at=#{id}"
    find("#row-#{id} .scell").click
    expect(page).to have_css("#bench .roleline", text: "Looks like heading 2")
    find("summary", text: "This is no heading …").click
    select "no heading", from: "It is"
    click_button "Remember it"
    expect(page).to have_no_css("#bench .roleline", text: "Looks like heading")
    visit "/manuscripts/#{@manuscript.id}/plan"
    expect(page).to have_css(".planparts td", text: "34 paragraphs go in Heading 2")
  end

  it "lets a heading's style take the look that a paragraph has, told before" do
    styles = style("Heading1", "heading 1", based_on: "Normal", ppr: '<w:outlineLvl w:val="0"/>',
      rpr: '<w:color w:val="2F5496"/><w:sz w:val="32"/>')
    at_station(package(p(r("Worn already"), '<w:pStyle w:val="Heading1"/>') +
      p(r("Sources", '<w:b/><w:sz w:val="28"/>')) + p(r("Some text.")), styles:), "galley?at=2")
    find("#row-2 .scell").click
    expect(page).to have_css("#bench h2", text: "Paragraph 2")
    find("#more-styles summary").click
    select "Heading 1", from: "style"
    expect(page).to have_css("#put-outcome", text: "colour automatic → #2f5496")
    expect(page).to have_button("Put in Heading 1")
    find("summary", text: "The style takes this look …").click
    select "Heading 1", from: "adopting"
    click_button "Let it take this look"
    expect(page).to have_css("#said", text: "Let Heading 1 take their look, put 1 paragraph in Heading 1")
    now = document
    expect([now.styles["Heading1"].run[:color], now.letter_look(now.paragraphs[0])[:bold],
      now.paragraphs[1].runs[0].direct]).to eq ["auto", true, set]
  end

  it "puts a running head in a style of its own" do
    minutes = package(p(r("Minutes of the Harbour Committee")) + section,
      styles: style("Head", "Minutes Head", based_on: "Normal", rpr: '<w:sz w:val="16"/>'),
      footer: p(r("Harbour Committee, March", "<w:b/>")))
    at_station(minutes, "galley")
    expect(page).to have_css("h3", text: "Running foot of section 1")
    id = document.stories.first.paragraphs.first.id
    find("#row-#{id} .scell").click
    expect(page).to have_css("#bench h2", text: "Running foot of section 1")
    find("#more-styles summary").click
    select "Minutes Head", from: "style"
    click_button "Put in Minutes Head"
    expect(page).to have_css("#row-#{id} .sname", text: "Minutes Head")
    expect(page).to have_css("#take-back", text: "1 in running feet")
    written = Norvel::Formats.read(Norvel::Formats.write(document).bytes, name: "m.docx").stories.first.paragraphs.first
    expect([written.style_id, written.runs.first.direct]).to eq ["Head", set]
  end

  it "opens a note from its mark" do
    at_station(package(p(r("Text with a note") + note(1)), footnotes: footnote(1, "Salt and Timber, leaf 4.")),
      "galley")
    find("a.tonote").click
    expect(page).to have_css("h3", text: "Note 1")
    expect(page).to have_css(".row", text: "Salt and Timber, leaf 4.")
  end

  it "sets one value on many, seen as a ripple before it is kept" do
    at_station(Demo::Handbook.new.bytes, "styles", guide: "ravelmouth-house")
    find("summary", text: "One value for many …").click
    fill_in "value-many", with: "1.5"
    click_button "Show what it moves"
    expect(page).to have_css(".ripple", text: "Line spacing 1.5 on 55 paragraphs, not kept yet")
    click_button "Keep"
    expect(page).to have_css("#said", text: "Line spacing 1.5 on 55 paragraphs")
    body = document.paragraphs.select { |one| Norvel::Survey.role(document, one) == "body" }
    expect(body.map { |one| document.look(one)[:line_spacing][:value] }.uniq).to eq [1.5]
  end
end
