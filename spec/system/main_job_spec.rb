# frozen_string_literal: true

Browser.boot

# The main job in a real browser, as a person does it.
RSpec.describe "the main job", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  def bring_in(bytes, name, against: "Ravelmouth Graduate Office, thesis format, 2026")
    path = File.join(Dir.mktmpdir, name)
    File.binwrite(path, bytes)
    visit "/"
    attach_file "file", path, make_visible: true
    select against, from: "Hold it against"
    click_button "Bring in"
    expect(page).to have_css("#galley .row")
  end

  def row(number)
    find("#row-#{number}")
  end

  def select_range(from, to)
    row(from).find(".scell").click
    page.driver.browser.action.key_down(:shift).click(row(to).find(".scell").native).key_up(:shift).perform
    expect(page).to have_css("#bench h2", text: "#{to - from + 1} paragraphs")
  end

  it "brings a file in, puts paragraphs in a style, clears, mends, takes back, and hands over" do
    bring_in(Demo::Handbook.new.bytes, "handbook.docx")
    words = page.find("#seal").text

    select_range(2, 4)
    within("#put") { click_button "Heading 2" }
    expect(page).to have_css("#said", text: "Put 3 paragraphs in Heading 2")
    expect([2, 3, 4].map { |n| row(n).find(".sname").text }.uniq).to eq ["Heading 2"]

    expect(page).to have_css("#bench", text: "Nothing: they look as the style says.")

    visit current_path.sub("galley", "findings")
    group = find("tr.group", text: /A blank paragraph stands for space.*Make space of them(?!,)/m)
    places = group.find("td.num").text.to_i
    expect(places).to be > 5
    group.find("button").click
    expect(page).to have_no_css("tr.group", text: /A blank paragraph stands for space.*Make space of them(?!,)/m)
    expect(page).to have_css("#said", text: "Make space of #{places} blank paragraphs")

    find("#take-back-button").click
    expect(page).to have_css("#said", text: "Taken back: Make space of #{places} blank paragraphs")
    visit current_path
    expect(page).to have_css("tr.group", text: "A blank paragraph stands for space")

    click_link "Mend all that is safe …"
    click_button "Do these"
    expect(page).to have_css("#said", text: "Mend all that is safe", wait: 20)
    expect(page.find("#seal").text).to start_with(words[/\A[\d,]+ words, unchanged/])

    click_link "Handover"
    click_link "Download the .docx"
    path = nil
    50.times { (path = Dir[File.join(Browser.downloads, "handbook*.docx")].first) ? break : sleep(0.1) }
    document = Norvel::Formats.read_file(path)
    expect(Norvel::Seal.of(document).words)
      .to eq Norvel::Seal.of(Norvel::Formats.read(Demo::Handbook.new.bytes, name: "x")).words
    expect(document.style_name(document.paragraphs[1])).to eq "Heading 2"
  end

  it "is driven by keys alone" do
    bring_in(Demo::Notice.new.bytes, "notice.docx")
    body = find("body")
    body.send_keys("j")
    expect(page).to have_css("#bench h2", text: "Paragraph 2")
    body.send_keys("k")
    expect(page).to have_css("#bench h2", text: "Paragraph 1")
    body.send_keys("1")
    expect(page).to have_css("#row-1 .sname", text: "Heading 1")
    body.send_keys("u")
    expect(page).to have_css("#row-1 .sname", text: "Normal")
    body.send_keys("gf")
    expect(page).to have_css("h2", text: "Findings")
  end

  it "loads what comes near, and goes to a place by the spine" do
    bring_in(Demo::Thesis.new.bytes, "thesis.docx")
    expect(page.all(".row").size).to be <= 200
    page.execute_script("document.querySelector('#galley').scrollTop = 1e7")
    expect(page).to have_css(".storyhead", text: "Running foot of section 1", wait: 10)
    find("#spine").click
    expect(page).to have_css(".block:not(.waiting)[data-block='9'], .block:not(.waiting)[data-block='10']", wait: 10)
  end

  it "leads from a finding to the images that need words, and keeps them" do
    bring_in(Demo::Thesis.new.bytes, "thesis.docx")
    visit current_path.sub("galley", "findings")
    within(".group", text: "An image has no description") { click_link "Describe them …" }
    expect(page.evaluate_async_script(<<~JS)).to eq 320
      const [done] = arguments, image = document.querySelector(".thumb img")
      image.decode().then(() => done(image.naturalWidth))
    JS
    fill_in "d-1", with: "Two spring tides as one curve"
    click_button "Keep the descriptions"
    expect(page).to have_css("#said", text: "Describe image 1")
    expect(page).to have_text("9 without a description")
  end

  it "says what is wrong with a file, in words that stay" do
    path = File.join(Dir.mktmpdir, "letter.docx")
    File.binwrite(path, "this is no package")
    visit "/"
    attach_file "file", path, make_visible: true
    click_button "Bring in"
    expect(page).to have_css("[role=alert]",
      text: "letter.docx was not taken in. This is not a .docx, .odt or .fodt file.")
  end

  it "tells a second window that the document went on without it" do
    bring_in(Demo::Notice.new.bytes, "notice.docx")
    row(1).find(".scell").click
    expect(page).to have_css("#put")
    manuscript = Manuscript.last
    manuscript.perform(Norvel::Edits::RemoveBlankParagraphs.new(:all), version: 0)
    within("#put") { click_button "Heading 2" }
    expect(page).to have_css("#said [role=alert]", text: "changed in another window")
  end

  # Source: axe-core (Deque Systems), WCAG 2.2 rules and best practices.
  it "has no fault that axe-core finds, on any screen" do
    bring_in(Demo::Handbook.new.bytes, "handbook.docx")
    galley = current_path
    visit "#{galley}?at=60"
    expect(page).to have_css("#put")
    expect(page).to be_axe_clean
    %w[findings handover ledger discard].each do |station|
      visit galley.sub("galley", station)
      expect(page).to be_axe_clean
    end
    visit "/"
    expect(page).to be_axe_clean
    visit "/nowhere"
    expect(page).to be_axe_clean
  end
end
