# frozen_string_literal: true

Browser.boot

# Other formats in a real browser, as a person meets them.
RSpec.describe "formats", type: :feature do
  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  def bring_in(bytes, name)
    path = File.join(Dir.mktmpdir, name)
    File.binwrite(path, bytes)
    visit "/"
    attach_file "file", path, make_visible: true
    click_button "Bring in"
  end

  def downloaded(pattern)
    40.times do
      path = Dir[File.join(Browser.downloads, pattern)].first
      return path if path && Dir[File.join(Browser.downloads, "*.crdownload")].empty?
      sleep 0.25
    end
    raise "nothing was downloaded like #{pattern}"
  end

  before { FileUtils.rm_f(Dir[File.join(Browser.downloads, "*")]) }

  it "brings in minutes as .odt, puts them in styles, and hands over .odt and .docx" do
    bring_in(Demo::Minutes.new.bytes, "minutes of 5 February.odt")
    expect(page).to have_css("#galley .row", minimum: 20)
    titles = Manuscript.last.document.paragraphs.each.with_index(1).select { |one, _| one.text.match?(/\A\d\. /) }
      .map(&:last)
    find("#row-#{titles.first} .scell").click
    titles.drop(1).each do |number|
      page.driver.browser.action.key_down(:control).click(find("#row-#{number} .scell").native).key_up(:control).perform
    end
    expect(page).to have_css("#bench h2", text: "#{titles.size} paragraphs")
    find("body").send_keys("1")
    expect(page).to have_css("#said", text: "put #{titles.size} paragraphs in Heading 1")
    visit "/manuscripts/#{Manuscript.last.id}/plan"
    find("button", text: /\ADo |Make |Mend /, match: :first).click
    expect(page).to have_css("#said, .planned, #station", wait: 20)
    visit "/manuscripts/#{Manuscript.last.id}/handover"
    expect(page).to have_css(".formats .carried-all", minimum: 1, wait: 20)
    expect(page).to be_axe_clean
    find("#download").click
    odt = Norvel::Formats.read_file(downloaded("*.odt"))
    expect([odt.format, odt.paragraphs.count { |one| odt.look(one)[:outline_level].positive? }])
      .to match ["odt", be >= 5]
    find("#take-docx").click
    docx = Norvel::Formats.read_file(downloaded("*.docx"))
    expect([docx.format, Norvel::Seal.of(docx).words]).to eq ["docx", Norvel::Seal.of(odt).words]
  end

  # Source: axe-core (Deque Systems).
  it "hands over web pages in which axe-core finds no fault" do
    documents = [Norvel::Formats.read(Demo::Thesis.new.bytes, name: "thesis"),
      Norvel::Formats.read(Demo::Minutes.new.bytes, name: "minutes")]
    documents.each_with_index do |document, number|
      path = File.join(Dir.mktmpdir, "#{number}.html")
      File.binwrite(path, Norvel::Formats.write(document, as: "html").bytes)
      page.driver.browser.navigate.to("file://#{path}")
      expect(page).to be_axe_clean
    end
  end

  it "dresses a report in Markdown in the report's template" do
    bring_in(Demo::Gauge.new.bytes, "tide gauge.md")
    expect(page).to have_css("h1", text: "has no styles yet")
    expect(page).to have_css(".textblocks li", text: "The new seat was levelled")
    expect(page).to be_axe_clean
    visit "/"
    expect(page).to have_css(".waiting", text: "waiting to be dressed")
    click_link "Dress it"
    select "Ravelmouth report", from: "Dress it in"
    click_button "Dress it"
    expect(page).to have_css("#galley .row .sname", text: "Heading 1")
    expect(page).to have_css("#galley .row", text: "The float hung free at once.")
    visit "/manuscripts/#{Manuscript.last.id}/handover"
    click_link "The text as it came"
    expect(File.binread(downloaded("tide gauge.md"))).to eq Demo::Gauge.new.bytes
  end
end
