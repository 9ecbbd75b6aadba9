# frozen_string_literal: true

Browser.boot

# Whole jobs as new users do them, their actions counted (a press, a choice or a word typed is one), and what is handed
# over read by python-docx and odfpy.
RSpec.describe "whole jobs", type: :feature do
  before do
    WebApp.clear
    FileUtils.rm_f(Dir[File.join(Browser.downloads, "*")])
    @actions = 0
  end
  after { Capybara.reset_sessions! }

  prose = "The keeper of the gate wrote down each tide that came over the sill in the winter of that year, and he " \
    "signed for every plank that was brought. Nobody asked him why."

  define_method(:prose) { prose }

  def act
    @actions += 1
    yield
  end

  def bring_in(bytes, name)
    path = File.join(Dir.mktmpdir, name)
    File.binwrite(path, bytes)
    visit "/"
    act { attach_file "file", path, make_visible: true }
    act { click_button "Bring in" }
  end

  def said(text) = expect(page).to(have_css("#said", text:, wait: 20))

  def keys(*typed) = find("body").send_keys(*typed)

  def search(text)
    act { find("#q").set(text) && find("#q").send_keys(:enter) }
    expect(page).to have_css("#hit-place", text: /of/)
  end

  # What is handed over, as the outside reads it.
  def handed_over(button)
    act { click_link "Handover" }
    act { click_link button }
    path = nil
    60.times { (path = Dir[File.join(Browser.downloads, "*.{docx,odt}")].first) ? break : sleep(0.1) }
    out, status = Open3.capture2("/usr/bin/python3", File.join(__dir__, "outside.py"), path)
    expect(status).to be_success
    JSON.parse(out)
  end

  def by_style(told) = told["paragraphs"].reject { |one| one["text"].strip.empty? }.group_by { |one| one["style"] }

  def told(job) = puts("\n  #{job}: #{@actions} actions")

  # An .odt in which everything is in the base style.
  def minutes
    body = ["Minutes of the harbour committee", "3 March 2026, town hall"].map do |text|
      %(<text:p text:style-name="P1">#{text}</text:p>)
    end
    %w[Attendance Sluices Dues Planks Gauge Lights Ferries].each do |point|
      body << %(<text:p text:style-name="P2">#{point} of the year</text:p>)
      body.concat([%(<text:p text:style-name="P3">#{prose} #{prose} #{prose}</text:p>)] * 6)
    end
    automatic = {"P1" => ['fo:text-align="center"', 'fo:font-size="16pt"'],
                 "P2" => ['fo:margin-top="14pt"', 'fo:font-weight="bold" fo:font-size="13pt"'],
                 "P3" => ['fo:text-align="justify" fo:margin-bottom="6pt"', 'fo:font-size="11pt"']}
    automatic = automatic.map { |name, (lines, letters)|
      %(<style:style style:name="#{name}" style:family="paragraph" style:parent-style-name="Standard">) +
        %(<style:paragraph-properties #{lines}/><style:text-properties #{letters}/></style:style>)
    }.join
    OpenDocument.new(body.join, automatic:).bytes
  end

  it "unstyled minutes (.odt): three styles, a numbered agenda, nothing by hand" do
    bring_in(minutes, "march minutes.odt")
    expect(page).to have_css("#galley .row")
    act { click_link "Survey" }
    act { click_link "Put each kind in its style …" }
    act { click_button "Put the ticked kinds in these styles" }
    said("Put 50 paragraphs in the styles of 3 kinds")
    act { click_link "Styles" }
    act { find(".lineage a", text: "Body Text", match: :first).click }
    act { select "left", from: "v-align" }
    act { click_button "Keep" }
    said("Change Body Text")
    act { find("summary", text: "Number headings …").click }
    act { click_button "Number them by style" }
    expect(page).to have_css(".ripple")
    act { click_button "Keep" }
    said("Number the headings")
    act { click_link "Galley" }
    act { find("#row-2 .scell").click }
    act { find("#more-styles summary").click }
    act { select "Subtitle", from: "style" }
    act { click_button "Put in Subtitle" }
    said("put 1 paragraph in Subtitle")
    found = handed_over("Download the .odt")
    told("unstyled minutes")
    expect(@actions).to be <= 40
    expect(found["paragraphs"].flat_map { |one| one["set"] + one["words"] }).to eq []
    expect(by_style(found).transform_values(&:size)).to include("Heading 1" => 7, "Body Text" => 42)
  end

  it "a plain-text chapter: title, headings by level, justified body" do
    text = "THE GATE AND ITS KEEPERS\n\n" +
      (1..4).map { |n|
        "#{n} Of the #{%w[gate sill planks tide][n - 1]}\n\n#{Array.new(5) { prose }
      .join("\n\n")}\n\n#{n}.1 Of old\n\n#{Array.new(5) { prose }.join("\n\n")}"
      }.join("\n\n")
    bring_in(text, "chapter.txt")
    expect(page).to have_text("has no styles yet")
    act { click_button "Dress it" }
    expect(page).to have_css("#galley .row")
    act { click_link "Survey" }
    act { click_link "Outline" }
    expect(page).to have_css(".worklist li", minimum: 8)
    act { click_link "Styles" }
    act { find(".lineage a", text: "Body Text", match: :first).click }
    act { select "justified", from: "v-align" }
    act { click_button "Keep" }
    said("Change Body Text")
    found = handed_over("Download the .docx")
    told("a plain-text chapter")
    expect(@actions).to be <= 20
    styles = by_style(found)
    expect(styles.slice("Heading 1", "Heading 2").transform_values(&:size)).to eq("Heading 1" => 4, "Heading 2" => 4)
    expect([styles["Title"]&.size, styles["Body Text"].size, found["styles"]["Body Text"]["align"]])
      .to match [1, 40, /JUSTIFY/]
  end

  it "a long text: double spacing everywhere" do
    body = (1..120).map { |n|
      (n % 12 == 1) ? p(r("Part #{n}", "<w:b/>")) : p(r(prose),
        '<w:spacing w:line="276" w:lineRule="auto"/>')
    }.join
    bring_in(package(body), "long text.docx")
    expect(page).to have_css("#galley .row")
    keys("E")
    @actions += 1
    expect(page).to have_css("#bench h2", text: "120 paragraphs")
    find("#one-value summary").click
    fill_in "value-bench", with: "double"
    act { click_button "Set it" }
    said("Line spacing double on 120 paragraphs")
    told("double spacing")
    expect(@actions).to be <= 5
    document = Manuscript.last.document
    expect(document.paragraphs.map { |one| document.look(one)[:line_spacing] }.uniq)
      .to eq [{rule: "multiple", value: 2.0}]
  end

  it "a report: headings recoloured once for all, text style following" do
    heads = style("Heading1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>',
      rpr: '<w:b/><w:color w:val="2F5496"/><w:sz w:val="32"/>') + style("Heading2", "heading 2", based_on: "Heading1",
        ppr: '<w:outlineLvl w:val="1"/>', rpr: '<w:sz w:val="26"/>')
    body = (1..7).map { |n|
      p(r("Part #{n}", '<w:color w:val="C00000"/>'), '<w:pStyle w:val="Heading1"/>') +
        p(r("Of it"), '<w:pStyle w:val="Heading2"/>') + p(r(prose)) * 9
    }.join
    bring_in(package(body, styles: heads), "report.docx")
    expect(page).to have_css("#galley .row")
    act { click_link "Styles" }
    act { find(".lineage a", text: "Heading 1", match: :first).click }
    act { fill_in "v-color", with: "dark green" }
    act { click_button "Keep" }
    said("Change Heading 1: colour #006400")
    act { click_link "Galley" }
    act { find("#row-1 .scell").click }
    expect(page).to have_css("#bench h2", text: "Paragraph 1")
    act { click_button "in Heading 1" }
    expect(page).to have_css("#bench h2", text: "7 paragraphs")
    act { click_button "Clear all of it" }
    said("Clear what was set by hand on 7 paragraphs")
    found = handed_over("Download the .docx")
    told("a report")
    expect(@actions).to be <= 20
    heads = found["paragraphs"].select { |one| one["style"] == "Heading 1" }
    expect([heads.size, heads.flat_map { |one| one["words"] }, found["styles"]["Heading 1"]["color"],
      found["styles"]["Heading 2"]["color"]]).to eq [7, [], "006400", nil]
  end

  it "a novel: its fourteen ship names in a character style by one search" do
    body = (1..14).map { |n|
      p(r("They came back on the Salt Wren in the #{n}th week, and nobody " \
          "spoke of it. #{prose}"))
    }.join
    bring_in(package(body), "novel.docx")
    expect(page).to have_css("#galley .row")
    search("Salt Wren")
    expect(page).to have_css("#hit-place", text: "1 of 14")
    act { find("#hit-words summary").click }
    act { fill_in "new-character-hits", with: "Ship Name" }
    find("#hit-words").select "italic", from: "Look of a new character style"
    act { click_button "Set 14 in it" }
    said("14 places in Ship Name")
    expect(@actions).to be <= 6
    told("fourteen ship names")
    found = handed_over("Download the .docx")
    expect(found["paragraphs"].flat_map { |one| one["character"] }).to eq [["Salt Wren", "Ship Name"]] * 14
    expect(found["paragraphs"].flat_map { |one| one["words"] }).to eq []
  end

  it "a handbook with headings of its own colour: putting them on changes none of them" do
    heads = style("Heading1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>',
      rpr: '<w:b/><w:color w:val="7A3F98"/><w:sz w:val="36"/>') + style("Heading2", "heading 2",
        ppr: '<w:outlineLvl w:val="1"/>', rpr: '<w:color w:val="7A3F98"/><w:sz w:val="28"/>')
    body = (1..5).map { |n| p(r("Duty #{n}", '<w:b/><w:sz w:val="30"/>')) + p(r(prose)) * 3 }.join
    bring_in(package(p(r("Old"), '<w:pStyle w:val="Heading1"/>') + body, styles: heads), "duties.docx")
    expect(page).to have_css("#galley .row")
    was = Manuscript.last.document.styles.by_id.slice("Heading1", "Heading2")
    [2, 6].each do |number|
      act { find("#row-#{number} .scell").click } && act { keys("1") } && said("Put 1 paragraph in Heading 1")
    end
    act { find("#row-10 .scell").click }
    expect(page).to have_css("#bench h2", text: "Paragraph 10")
    act { within("#put") { click_button "Heading 2" } }
    said("Put 1 paragraph in Heading 2")
    found = handed_over("Download the .docx")
    expect(Manuscript.last.document.styles.by_id.slice("Heading1", "Heading2")).to eq was
    put = found["paragraphs"].select { |one| one["text"].match?(/\ADuty [123]/) }
    expect(put.map { |one| [one["style"], one["set"], one["words"]] })
      .to eq [["Heading 1", [], []], ["Heading 1", [], []], ["Heading 2", [], []]]
  end

  it "a thesis whose chapters are numbered and whose acknowledgements are not" do
    names = ["Acknowledgements", "Abstract", "The harbour", "The gate", "The dues", "References"]
    body = names.map { |name| p(r(name), '<w:pStyle w:val="Heading1"/>') + p(r(prose)) * 4 }.join
    bring_in(package(body, styles: style("Heading1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>')),
      "thesis of dues.docx")
    expect(page).to have_css("#galley .row")
    act { click_link "Styles" }
    act { find("summary", text: "Number headings …").click }
    expect(page).to have_checked_field("Acknowledgements")
    expect(page).to have_checked_field("References")
    expect(page).to have_unchecked_field("The gate")
    act { click_button "Number them by style" }
    expect(page).to have_css(".ripple .marker", text: "1")
    act { click_button "Keep" }
    said("Number the headings")
    document = Manuscript.last.document
    heads = document.paragraphs.select { |one| names.include?(one.text) }
    expect(heads.map { |one| document.markers[one.id].to_s }).to eq ["", "", "1", "2", "3", ""]
    found = handed_over("Download the .docx")
    told("numbered chapters")
    expect(by_style(found).transform_values(&:size)).to include("Heading 1" => 3, "Heading 1 Unnumbered" => 3)
    expect(found["paragraphs"].flat_map { |one| one["set"] }).to eq []
  end

  # Nobody here has a guide: styles by kind, then the plan with what asks ticked.
  it "a messy sheet of lamps: cleaned up in one plan" do
    font = '<w:rFonts w:ascii="Verdana" w:hAnsi="Verdana"/><w:sz w:val="20"/>'
    item = ->(words) { p(r("• #{words}", font)) }
    part = lambda do |name|
      p(r("#{name} of the lamps", "#{font}<w:b/>")) + p(r(prose, font)) + p("") + p(r("\t#{prose}", font)) + p("") +
        p(r("\t#{prose}  He wrote it down.", font)) + p("") +
        item["a can of oil"] + item["a box of wicks"] + item["a cloth"] + p("")
    end
    bring_in(package(p(r("Lamps and lights", '<w:b/><w:sz w:val="36"/>')) +
      %w[Oil Wicks Glass Keepers Fog].map(&part).join + p(r("#{prose}\n#{prose}", font))), "lamps.docx")
    act { click_link "Survey" }
    act { click_link "Put each kind in its style …" }
    act { click_button "Put the ticked kinds in these styles" }
    said("Put 37 paragraphs in the styles of 4 kinds")
    act { click_link "Clean up what is sure …" }
    act { check "Typed signs of 15 list items are counted by lists" }
    expect(page).to have_checked_field("Typed signs of 15 list items are counted by lists")
    act { check "Line breaks in 1 paragraph become ends of paragraphs" }
    expect(page).to have_checked_field("Line breaks in 1 paragraph become ends of paragraphs")
    act { check "10 blank paragraphs become space" }
    expect(page).to have_checked_field("10 blank paragraphs become space")
    act { click_button "Do these" }
    said("Clean up what is sure")
    expect(page).to have_css("#seal", text: "no typed word did")
    found = handed_over("Download the .docx")
    told("a messy sheet")
    expect(@actions).to be <= 15
    expect(found["paragraphs"].map { |one| one["text"] }.grep(/\A\s|•|  |\n|\A\z/)).to eq []
    expect(found["paragraphs"].flat_map { |one| one["set"] + one["words"] }.uniq).to eq ["numPr"]
    expect(by_style(found).transform_values(&:size)).to include("List Paragraph" => 15, "Heading 1" => 5, "Title" => 1)
  end

  it "two chapters into a template with front matter: its pages, its contents list and its numbers made" do
    template, *chapters = %w[template one two].map { |name| File.join(Dir.mktmpdir, "#{name}.docx") }
    run = ["/usr/bin/python3", File.join(__dir__, "template_and_chapters.py"), template, *chapters]
    expect(system(*run)).to be true
    visit "/"
    act { attach_file "file", chapters, make_visible: true }
    act { click_button "Bring in" }
    act { click_link "one" }
    expect(page).to have_css("#galley .row")
    visit current_path.sub("galley", "templates")
    act { attach_file "t-file", template, make_visible: true }
    act { click_button "Bring it in" }
    act { click_link "begin with its front matter and put this text in …" }
    act { fill_in "Place of two", with: "2" }
    act { click_button "Look at the place" }
    expect(page).to have_css("#place", text: "Stays before: 8 paragraphs")
    expect(page).to be_axe_clean
    act { click_button "Put them together" }
    said("Put together one and others")
    found = handed_over("Download the .docx")
    told("chapters in a template")
    expect(@actions).to be <= 12
    texts = found["paragraphs"].map { |one| one["text"] }
    expect(texts).to start_with("[Title of your report]").and end_with("[List of your sources]")
    expect(texts.grep(/Your first chapter|Write here|Contents are made/)).to eq []
    expect(found["paragraphs"].count { |one| one["style"].match?(/\Atoc \d\z/i) }).to eq 7
    expect(by_style(found)["Heading 1"].map { |one| one["text"] })
      .to eq ["Declaration", "Contents", "Dues of the outer harbour", "Dues of the inner harbour", "References"]
  end

  it "a chapter with seventeen lead-ins: each in a character style, by one tick" do
    leads = %w[Oil Wicks Glass Keepers Fog Tides Sluices Dues Planks Gauge Lights Ferries Ropes Chains Bells Carts Salt]
    text = leads.map { |word| p(r("#{word}. ", "<w:b/>") + r(prose) + r(" See "), "") + p(r(prose)) }
    bring_in(package(p(r("What was kept", '<w:b/><w:sz w:val="36"/>')) + text.join), "chapter.docx")
    act { click_link "Survey" }
    expect(page).to have_css(".byhand li", text: /\A17\s+bold\z/)
    act { click_link "Clean up what is sure …" }
    act { check "What sets 17 lead-ins apart is said by a character style" }
    expect(page).to have_checked_field("What sets 17 lead-ins apart is said by a character style")
    act { click_button "Do these" }
    said("Clean up what is sure")
    found = handed_over("Download the .docx")
    told("lead-ins")
    expect(@actions).to be <= 9
    expect(found["paragraphs"].flat_map { |one| one["character"] }.reject { |words, _| words.strip.empty? })
      .to eq(leads.map { |word| ["#{word}.", "Lead-in"] })
    expect(found["paragraphs"].drop(1).flat_map { |one| one["words"] }.uniq).to eq []
  end
end
