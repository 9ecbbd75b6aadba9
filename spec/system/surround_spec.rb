# frozen_string_literal: true

Browser.boot

# What stands around the paper: light or dark, by the system or by choice. Source: axe-core (Deque Systems), contrast by
# WCAG 2.2, 1.4.3; prefers-color-scheme by Media Queries 5, 12.5.
RSpec.describe "the surround", type: :feature do
  before { WebApp.clear }
  after do
    Preference.surround = ""
    page.driver.browser.execute_cdp("Emulation.setEmulatedMedia", media: "", features: [])
    Capybara.reset_sessions!
  end

  let(:at) do
    "/manuscripts/#{Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "h.docx", guide: "ravelmouth-house").id}"
  end

  def colour(selector, property = "backgroundColor")
    page.evaluate_script("getComputedStyle(document.querySelector('#{selector}')).#{property}")
  end

  it "is dark where a person chooses so; paper stays paper, and all can be read" do
    visit "#{at}/galley"
    paper, ink = colour(".galley"), colour(".galley", "color")
    select "dark", from: "Surround"
    find("form[action='/surround'] button").click
    expect(page).to have_css("html[data-surround=dark]")
    expect(colour("html")).to eq "rgb(26, 34, 42)"
    expect([colour(".galley"), colour(".galley", "color")]).to eq [paper, ink]
    ["galley?at=24", "sheets", "sheets/2", "findings", "handover", "accessible", "plan", "survey"].each do |station|
      visit "#{at}/#{station}"
      expect(page).to have_css("#station")
      expect(page).to be_axe_clean.excluding(".settext", ".outcome-line")
    end
    visit "/"
    expect(page).to be_axe_clean
  end

  it "goes by the system's setting where nobody chooses" do
    dark = [{name: "prefers-color-scheme", value: "dark"}]
    page.driver.browser.execute_cdp("Emulation.setEmulatedMedia", media: "", features: dark)
    visit "#{at}/galley"
    expect(colour("html")).to eq "rgb(26, 34, 42)"
    Preference.surround = "light"
    visit "#{at}/galley"
    expect(colour("html")).to eq "rgb(227, 231, 232)"
    expect { Preference.surround = "pink" }.to raise_error(Norvel::Refused, /no surround “pink”/)
  end

  it "is left off on paper, with what is there to press" do
    visit "#{at}/findings"
    page.driver.browser.execute_cdp("Emulation.setEmulatedMedia", media: "print", features: [])
    expect(page).to have_no_css(".route")
    [".btn", ".spinecol", ".foot"].each { |pressed| expect(page).to have_no_css(pressed) }
    expect(page).to have_css("#findings")
    expect(page.evaluate_script("document.querySelector('.paper').scrollHeight - " \
      "document.querySelector('.paper').clientHeight")).to be <= 1
  end
end
