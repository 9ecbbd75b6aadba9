# frozen_string_literal: true

WebApp.boot

# Every station's pages and forms without a browser: they work as plain pages too.
RSpec.describe "stations as plain pages" do
  include Rack::Test::Methods

  def app = Web

  before { WebApp.clear }

  let(:manuscript) do
    Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx", guide: "ravelmouth-house")
  end
  let(:at) { "/manuscripts/#{manuscript.id}" }

  def document = Manuscript.find(manuscript.id).document

  def version = Manuscript.find(manuscript.id).lock_version

  def form(path, headers = {}, **fields)
    get "/"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    post "#{at}/#{path}", {authenticity_token: token, version:, **fields}, headers
  end

  def expect_done(text)
    expect(last_response.status).to eq 303
    follow_redirect!
    expect(last_response.body).to include(text)
  end

  def expect_refused(text)
    expect([last_response.status, last_response.body]).to match [422, /#{text}/]
  end

  it "draws every page" do
    pages = ["survey", "survey?view=outline", "survey?view=lines", "survey?view=aloud", "survey?view=consistency",
      "survey?view=none", "roles", "styles", "styles?style=Heading1&all=1", "templates",
      "templates?template=ship:short-notice",
      "galley", "galley?at=5", "words", "words?q=harbour&with=port", "words?look=italic",
      "galley?pick=hand:blank_paragraphs", "galley?pick=look:none", "paste", "paste?after=4",
      "beside", "beside?page=99", "beside/sheets", "bare", "bare?chosen=1", "findings", "ledger", "handover", "discard"]
    pages.each do |path|
      get "#{at}/#{path}"
      expect([path, last_response.status]).to eq [path, 200]
    end
    %w[looks.css?blocks=0-1 survey_looks.css beside.css?page=0 specimen.css spine standing].each do |path|
      get "#{at}/#{path}"
      expect([path, last_response.status]).to eq [path, 200]
    end
  end

  it "draws every page of a document without text" do
    empty = Manuscript.bring_in(package(""), filename: "empty.docx")
    %w[survey roles styles templates galley paste beside findings ledger handover].each do |path|
      get "/manuscripts/#{empty.id}/#{path}"
      expect([path, last_response.status]).to eq [path, 200]
    end
  end

  it "puts a whole look in a style, or in a new one" do
    look = Norvel::Survey.of(document).looks.find { |group| group.role == "list_item" }
    form "edits/look", look_group: look.key, style: "BodyText"
    expect_done "Put #{look.size} paragraphs in Body Text"
    again = Norvel::Survey.of(document).looks.find { |group| group.role == "body" }
    form "edits/look", look_group: again.key, name: "Steps", by: "name"
    expect_done "Make the style Steps"
    expect(document.uses[document.styles.named("Steps").id]).to eq again.size
    form "edits/look", look_group: "gone", style: "BodyText"
    expect_refused "No paragraph has that look"
  end

  it "puts chosen roles in styles, and refuses none" do
    form "edits/roles", role: ["heading_1", "heading_2"]
    expect_done "in the styles of 2 kinds"
    expect(Norvel::Survey::Outline.new(document).marked.size).to eq 24
    form "edits/roles"
    expect_refused "No kind of paragraph is chosen"
  end

  it "changes styles, one after the other" do
    form "styles/values", style: "BodyText", values: {size: "12pt", first_line: "0.5in"}
    expect_done "Change Body Text: size 12 pt, first line 36 pt"
    form "styles/values", style: "BodyText", inherit: ["size"]
    expect_done "Change Body Text: size inherited"
    form "styles/values", style: "BodyText", values: {size: "huge"}
    expect_refused "not a length"
    form "styles/base", style: "Heading2", base: "Normal"
    expect_done "Base Heading 2 on Normal"
    form "styles/next", style: "BodyText", next: "Heading1"
    expect_done "followed by Heading 1"
    form "styles/hide", style: "Heading3"
    expect_done "Heading 3: hidden"
    form "styles/unused"
    expect_done "Delete"
    form "styles/number", scheme: "roman"
    expect_done "Number the headings: roman"
    form "styles/number", scheme: "klingon"
    expect_refused "no numbering"
    expect(Norvel::Formats.read(written(document), name: "x").markers.values.first).to eq "I"
  end

  it "makes styles of every kind, and changes lists and pages" do
    form "styles/make", kind: "paragraph", name: "Margin Note", outline: "3", letter: "m", next: "BodyText"
    expect_done "Make the style Margin Note"
    expect([document.styles["MarginNote"].paragraph[:outline_level], document.styles["MarginNote"].next_id,
      JSON.parse(manuscript.reload.letters)]).to eq [3, "BodyText", {"m" => "MarginNote"}]
    form "styles/make", kind: "paragraph", name: "Other", letter: "!"
    expect_refused "be a style"
    form "styles/make", kind: "character", name: "Ship Name"
    expect_done "Make the style Ship Name"
    form "styles/values", style: "ShipName", values: {italic: "yes"}
    expect_done "Change Ship Name: italic yes"
    form "styles/make", kind: "list", name: "Steps", form: "numbers"
    expect_done "Make the list style Steps"
    form "styles/level", style: "Steps", level: "2",
      of_level: {format: "upper_roman", before: "(", above: "no", after: ")", marker_at: "1 cm", text_at: "2 cm",
                 suffix: "space", bold: "yes", color: "#1f3864", start: "3"}
    expect_done "Steps, level 2"
    level = document.numbering.level(document.styles["Steps"].paragraph[:list_id], 1)
    expect([level.text, level.format, level.start, level.suffix, level.paragraph[:first_line], level.run[:bold]])
      .to eq ["(%2)", "upper_roman", 3, "space", -28.3464, true]
    form "styles/level", style: "Steps", level: "2", of_level: {start: "many"}
    expect_refused "not a number to start at"
    form "styles/level", style: "Steps", level: "1", of_level: {format: "bullet", sign: "→"}
    expect_done "Steps, level 1"
    form "styles/level", style: "Steps", level: "1", of_level: {format: "upper_letter", sign: "→"}
    expect(document.numbering.level(document.styles["Steps"].paragraph[:list_id], 0).text).to eq "%1."
    form "styles/list", style: "MarginNote", list: document.styles["Steps"].paragraph[:list_id], level: "1"
    expect_done "Margin Note: level 1 of Steps"
    form "styles/level", style: "BodyText", of_level: {start: "2"}
    expect_refused "is in no list"
    form "styles/place", style: "MarginNote", before: "BodyText"
    expect_done "Place Margin Note before Body Text"
  end

  it "numbers headings and takes the typed numbers away that say the same" do
    typed = Manuscript.bring_in(package(%w[1 2 7].map { |n| p(r("#{n}. Head #{n}"), '<w:pStyle w:val="H"/>') }.join,
      styles: style("H", "heading 1")), filename: "typed.docx")
    get "/"
    post "/manuscripts/#{typed.id}/styles/number",
      {authenticity_token: last_response.body[/name="authenticity_token" value="([^"]+)"/, 1], version: 0,
       scheme: "decimal", typed: "1"}
    expect_done "Number the headings: decimal, 2 typed numbers taken away"
    now = Manuscript.find(typed.id).document
    expect(now.paragraphs.map { |paragraph| [now.markers[paragraph.id], paragraph.text] })
      .to eq [["1", "Head 1"], ["2", "Head 2"], ["3", "7. Head 7"]]
    expect(last_response.body).to include("you changed the words of 2 paragraphs")
  end

  it "takes several changes back in order, from the ledger" do
    first = nil
    {"Heading2" => "Normal", "Heading1" => "BodyText", "Heading3" => "Normal"}.each do |style, base|
      form "styles/base", style:, base: base
      first ||= LedgerEntry.last
    end
    get "#{at}/ledger"
    expect(last_response.body).to include("Take these 3 back", "no paragraph of itself")
    form "take_back", entry: first.id, back: "#{at}/ledger"
    expect_done "Taken back: the last 3 changes"
    expect([document.styles.by_id, LedgerEntry.count]).to eq [manuscript.first_document.styles.by_id, 0]
    form "take_back"
    expect_refused "nothing to take back"
  end

  it "tells in the ledger what a mend of everything did, by kind" do
    form "findings/mend_safe"
    kinds = LedgerEntry.last.kinds
    get "#{at}/ledger"
    expect(kinds).not_to be_empty
    expect(Nokogiri::HTML(last_response.body).css(".kinds li").map(&:text)).to eq kinds
    form "styles/base", style: "Heading2", base: "Normal"
    expect(LedgerEntry.last.kinds).to eq []
  end

  # Media type: ISO/IEC 29500-2 and the registry of media types.
  it "serves every file as what it is, and asks for one where none was chosen" do
    ["#{at}/original", "#{at}/download", "/templates/ship:short-notice/download"].each do |address|
      get address
      expect([last_response.status, last_response.content_type])
        .to eq [200, "application/vnd.openxmlformats-officedocument.wordprocessingml.document"]
      expect(last_response["Content-Disposition"]).to match(/\.docx"/)
    end
    form "templates/bring"
    expect_refused "No file was chosen: choose a .docx, .odt or .fodt first."
  end

  it "shows the images of a document and keeps what is said of them" do
    thesis = Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx")
    get "/manuscripts/#{thesis.id}/handover"
    expect(last_response.body).to include("without a description", "/images")
    get "/manuscripts/#{thesis.id}/images"
    expect(last_response.body).to include("/pictures/1", "under “", "before it")
    get "/manuscripts/#{thesis.id}/images", show: "decoration"
    expect(last_response.body).to include "There is nothing of this kind."
    get "/manuscripts/#{thesis.id}/pictures/1"
    expect([last_response.status, last_response.content_type, last_response.body.b[0, 4]])
      .to eq [200, "image/png", "\x89PNG".b]
    get "/manuscripts/#{thesis.id}/pictures/99"
    expect(last_response.status).to eq 404
    get "/"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    2.times do
      post "/manuscripts/#{thesis.id}/pictures",
        {authenticity_token: token, version: Manuscript.find(thesis.id).lock_version,
         description: {"1" => "The curve of a spring tide"}}
    end
    expect([last_response.status, last_response.body]).to match [422, /No description was changed/]
    expect(Manuscript.find(thesis.id).document.pictures.first.description).to eq "The curve of a spring tide"
  end

  it "names page set-ups and changes them" do
    form "styles/make", kind: "page", name: "Body matter", section: "1"
    expect_done "Make the page style Body matter"
    form "styles/page", page: "Body matter", of_page: {margin_left: "40mm", columns: "1"}
    expect_done "Page style Body matter: margin at the left 40 mm"
    expect(document.sections[0].margin_left).to be_within(0.01).of(113.39)
    form "styles/page", page: "Body matter", of_page: {columns: "none"}
    expect_refused "1 to 12 columns"
    form "styles/page_name", page: "Body matter", name: "Text"
    expect_done "now Text"
    form "styles/page_put/ripple", page: "Text", sections: ["1"]
    expect(last_response.status).to eq 200
    form "styles/page_delete", page: "Text"
    expect_done "Delete the page style Text"
    form "styles/page", section: "1", of_page: {margin_top: "35mm"}
    expect_done "Set margin top 35 mm in 1 section"
    form "styles/page", section: "1", of_page: {}
    expect_refused "Nothing was changed"
    form "styles/nothing"
    expect(last_response.status).to eq 404
  end

  it "puts paragraphs in lists from the galley" do
    form "edits/list", ids: "3-5", list: "Numbers"
    expect_done "Put 3 paragraphs in Numbers"
    form "edits/restart", ids: "5", again: "1"
    expect_done "Start the numbers again"
    expect(document.markers.values_at(3, 4, 5)).to eq %w[1. 2. 1.]
    form "edits/restart", ids: "5", again: "0"
    expect(document.markers.values_at(3, 4, 5)).to eq %w[1. 2. 3.]
    form "edits/list", ids: "4", list: document.styles.named("Numbers").paragraph[:list_id], level: "2"
    form "edits/list", ids: "3", list: "0"
    expect(document.markers.values_at(3, 4, 5)).to eq [nil, "a.", "1."]
    form "edits/list", ids: "3", list: "77"
    expect_refused "There is no such list"
  end

  it "shows every kind of change as a ripple" do
    form "styles/make", kind: "list", name: "Steps", form: "letters"
    {"merge" => {style: "Heading2", into: "Heading3"}, "delete" => {style: "Heading2", to: "BodyText"},
     "base" => {style: "Heading2", base: "BodyText"}, "number" => {scheme: "decimal"},
     "list" => {style: "BodyText", list: "1", level: "1"}, "page" => {section: "1", of_page: {margin_left: "50mm"}},
     "level" => {style: "Steps", level: "1", of_level: {before: "", after: "."}}}.each do |change, values|
      form "styles/#{change}/ripple", {"HTTP_HX_REQUEST" => "true"}, **values
      expect([change, last_response.status, last_response.body.include?("not kept yet")]).to eq [change, 200, true]
    end
    expect(last_response.body).to include(%(form="f-level"))
  end

  it "shows what a dragged style would move, and says why a circle can't be" do
    get "#{at}/styles", style: "Heading3", try: "base", base: "BodyText"
    expect(last_response.body).to include("Base Heading 3 on Body Text, not kept yet")
    get "#{at}/styles", style: "Heading1", try: "base", base: "Heading2"
    expect(last_response.body).to match(/role="alert">\s*<p>[^<]*that would be a circle/)
  end

  it "shows the ripple as a page of its own too" do
    form "styles/values/ripple", style: "Normal", values: {space_after: "20 pt"}
    expect(last_response.status).to eq 200
    expect(last_response.body).to include("not kept yet", "paragraphs change")
  end

  it "changes words, and says when it can't" do
    form "edits/retype", ids: "1", text: "A new title"
    expect(document.paragraphs[0].text).to eq "A new title"
    form "edits/retype", ids: "1", text: " \n "
    expect_refused "Nothing was typed"
    form "edits/add", ids: "2", text: "Added here"
    expect(document.paragraphs[2].text).to eq "Added here"
    form "edits/join", ids: "3"
    form "edits/case", ids: "2", case: "upper"
    expect(document.paragraph(2).text).to match(/\A[A-Z ]+\z/)
    form "edits/case", ids: "2", case: "wavy"
    expect_refused "There is no case"
    form "edits/delete", ids: "2"
    expect(document.include?(2)).to be false
    form "edits/words", ids: "5", words: "nowhere to be found", character: "Strong"
    expect_refused "is not in this paragraph"
  end

  it "pastes plain text, and refuses nothing" do
    form "paste", after: "3", text: "One\n\nTwo", keep: "1"
    expect(document.paragraphs.map(&:text)).to include("One", "Two")
    form "paste", after: "3", text: "   "
    expect_refused "no words"
  end

  it "finds by text and by pattern" do
    get "#{at}/galley/find", q: "handbook"
    expect(JSON.parse(last_response.body)).to eq("ids" => [1], "places" => [1])
    get "#{at}/galley/find", q: "/^\\d+\\. /"
    expect(JSON.parse(last_response.body)["ids"].size).to eq 9
    get "#{at}/galley/find", q: "/(/"
    expect_refused "pattern can"
  end

  it "finds all alike: by look, style, role, and to the next heading" do
    %w[look style role section].each do |by|
      get "#{at}/galley/like", by:, paragraph: 2
      expect(JSON.parse(last_response.body)).to include(2)
    end
  end

  it "mends one group, then all that is safe" do
    group = manuscript.check.groups.find { |g| g.rule == "clean.blank_paragraph" }
    form "findings/mend", group: group.key, sure: "1"
    expect_done "Make space of #{group.size} blank paragraphs"
    form "findings/mend", group: group.key
    expect_refused "not there any more"
    form "findings/mend_safe"
    expect_done "Mend all that is safe"
    form "guide", against: "guide:ravelmouth-thesis"
    expect(Manuscript.find(manuscript.id).guide).to eq "ravelmouth-thesis"
    form "guide", against: "guide:unknown"
    expect_refused "no such guide"
  end

  it "gives its parts as files in an archive" do
    get "#{at}/handover"
    expect(last_response.body).to include("headings of level 1", "headings of levels 1 and 2")
    expect(last_response.body).not_to include("level 0")
    get "#{at}/parts", level: "1"
    names = Norvel::Formats::Container.new(last_response.body).names
    expect(names.first).to eq "01 before the first.docx"
    expect(names.size).to be > 2
    plain = Manuscript.bring_in(package(p(r("Words alone."))), filename: "plain.docx")
    get "/manuscripts/#{plain.id}/parts", level: "9"
    expect(last_response.body).to include("Nothing is marked as a heading down to level 9")
  end

  it "sets what the document says of itself" do
    form "describe", title: "Handbook", author: "The warden", language: "en-GB"
    expect(document.info.slice(:title, :author, :language).values).to eq ["Handbook", "The warden", "en-GB"]
    form "describe", language: "English"
    expect_refused "not a language tag"
    form "describe", title: "Handbook", language: "en-GB"
    expect_refused "Nothing it says of itself was changed"
  end

  it "has each id once, those of the bench among them" do
    get "#{at}/galley"
    page = Nokogiri::HTML(last_response.body)
    page.css("#bench *").each(&:remove)
    form "galley/bench", ids: "2"
    ids = page.css("[id]").map { |one| one["id"] } + Nokogiri::HTML.fragment(last_response.body).css("[id]")
      .map { |one| one["id"] }
    expect(ids.tally.select { |_, count| count > 1 }).to eq({})
  end

  it "saves, brings in and takes templates" do
    form "templates/save", name: "Ours"
    expect_done "Saved the template Ours"
    form "templates/save", name: "Ours"
    expect_refused "already"
    get "/templates/own:#{SavedTemplate.last.id}/download"
    expect(Norvel::Formats.read(last_response.body, name: "t").paragraphs.map(&:text))
      .to include("Body Text: this paragraph shows the style.")
    get "/templates/own:0/download"
    expect_refused "no such template"
  end

  it "starts a document from a template, and needs a title" do
    get "/"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    post "/new", authenticity_token: token, template: "ship:short-notice", title: " "
    expect_refused "needs a title"
  end

  # List paragraphs with numbering, spacing and indents of their own, as most writers make them.
  describe "Styles of common lists" do
    let(:listed) do
      own = '<w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr><w:spacing w:before="60" w:after="60"/><w:ind ' \
        'w:left="700" w:hanging="350"/>'
      styles = style("ListParagraph", "List Paragraph", ppr: '<w:ind w:left="720"/>') + style("Heading1", "heading 1")
      plain = docx(p(r("Head"), '<w:pStyle w:val="Heading1"/>') +
        (p(r("An item of it"), "<w:pStyle w:val=\"ListParagraph\"/>#{own}") * 3) + p(r("Loose item"), own), styles:)
      with_list = Norvel::Edits::DefineListStyle.new("Points", "bullets").change(plain)
      put = Norvel::Edits::PutInList.new([2, 3, 4, 5], with_list.styles.named("Points").paragraph[:list_id], level: nil)
        .change(with_list)
      Manuscript.bring_in(written(put), filename: "lists.docx")
    end

    it "are drawn, and every change of them ripples with scripts and without" do
      get "/"
      known = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
      faults = listed.document.styles.by_id.keys.flat_map do |id|
        get "/manuscripts/#{listed.id}/styles?style=#{id}"
        expect(last_response.status).to eq 200
        {"values" => {"values" => {"space_after" => "7pt"}}, "merge" => {into: "Normal"},
         "delete" => {to: "Normal", look: "keep"}, "base" => {base: "Normal"}, "list" => {list: "0", level: "1"},
         "number" => {scheme: "decimal"}, "unused" => {}}.flat_map do |change, fields|
          [{}, {"HTTP_HX_REQUEST" => "true"}].filter_map do |headers|
            post "/manuscripts/#{listed.id}/styles/#{change}/ripple",
              {authenticity_token: known, style: id, version: 0, **fields}, headers
            "#{last_response.status} #{change} #{id}" unless [200, 422].include?(last_response.status)
          end
        end
      end
      expect(faults).to eq []
    end
  end

  describe "finding and replacing" do
    it "puts other words at the ticked places alone, and says what it can't" do
      get "#{at}/words", q: "harbour", with: "port", words: "1"
      places = last_response.body.scan('name="hit[]"').size
      expect(places).to be > 3
      form("words", q: "harbour", with: "port", words: "1", hit: %w[1 2 999999 x])
      expect_done("Replace “harbour” by “port” at 2 places")
      get "#{at}/words", q: "harbour", with: "port", words: "1"
      expect(last_response.body.scan('name="hit[]"').size).to eq places - 2
      form("words", q: "harbour", with: "port")
      expect_refused("Tick a place first")
      get "#{at}/words", q: "harbour"
      expect(last_response.body).to include("Take the ticked words out")
      get "#{at}/words", look: "bold", with: "port"
      expect(last_response.body).not_to match(/Replace the ticked|Take the ticked|<del>/)
      get "#{at}/words", q: "/(/"
      expect_refused("can’t be read|can&#39;t be read")
    end

    it "puts words that are set apart in a character style" do
      get "#{at}/words", look: "bold"
      number = last_response.body.scan('name="hit[]"').size
      form("edits/hits", look: "bold", ticked: "1", hit: (0...number).map(&:to_s), new_character: "Ship",
        new_look: "bold", back: "#{at}/words?look=bold")
      expect_done("#{number} places in Ship")
      style = document.styles.named("Ship", "character")
      runs = document.working.flat_map(&:runs).select { |run| run.style_id == style.id }
      expect(runs.map { |run| run.direct[:bold] }.uniq).to eq [nil]
    end
  end

  describe "placeholders" do
    let(:manuscript) do
      Manuscript.bring_in(package(p(r("[Title]")) + p(r("I, [Your name], hand in [Title].")) + p(r("Words."))),
        filename: "form.docx")
    end

    it "are listed with a field each, filled in as one change, and told on Handover as long as there are any" do
      get "#{at}/handover"
      expect(last_response.body).to include("Fill in 3 placeholders")
      get "#{at}/placeholders"
      expect(last_response.body).to include("3 places to fill in", "[Your name]", "2 places")
      form("placeholders", placeholder: {"0" => " ", "1" => ""})
      expect_refused("Nothing was filled in")
      form("placeholders", placeholder: {"0" => "Salt & Timber", "1" => ""})
      expect_done("Fill in 2 placeholders")
      expect(document.paragraphs.map(&:text))
        .to eq ["Salt & Timber", "I, [Your name], hand in Salt & Timber.", "Words."]
      form("placeholders", placeholder: {"0" => "I. A."})
      get "#{at}/placeholders"
      expect(last_response.body).to include("Every placeholder that was found is filled in")
      get "#{at}/handover"
      expect(last_response.body).not_to include("#{at}/placeholders")
    end
  end

  describe "words set apart by hand" do
    let(:manuscript) do
      text = p(r("The gauge at the ") + r("Old Quay", "<w:b/>") + r(" reads the tide as it ") + r("falls", "<w:i/>"))
      Manuscript.bring_in(package(text * 3), filename: "tides.docx")
    end

    it "are told by their looks, and go as their paragraph is where they are ticked" do
      get "#{at}/survey"
      expect(last_response.body).to match(%r{<h3>Words set apart by hand</h3>.*look=bold&amp;apart=1}m)
      get "#{at}/words", look: "bold", apart: "1"
      expect(last_response.body.scan('name="hit[]"').size).to eq 3
      form("edits/hits", look: "bold", apart: "1", ticked: "1", hit: %w[0 2], plain: "1", back: "#{at}/words")
      expect_done("Let 2 places look as the paragraph does")
      expect(Norvel::Survey::LooksApart.of(document)).to eq("italic" => 3, "bold" => 1)
    end
  end

  it "says on the seal what became of each part and each kind of white space" do
    blank = document.paragraphs.find(&:blank?)
    form "edits/delete", ids: blank.id.to_s
    get "#{at}/handover"
    rows = last_response.body[/<details class="sealparts">.*?<\/details>/m].scan(/<tr>(.*?)<\/tr>/m)
      .map { |row, *| row.gsub(/<[^>]+>/, " ").split.join(" ") }
    expect(rows.grep(/\Atext/).first).to end_with "the same"
    expect(rows.grep(/\Ablank paragraphs/).first).to end_with "1 fewer"
  end

  describe "beginning again from bare text" do
    it "tells what goes and what stays, does it as one change, and shows it beside what it was" do
      get "#{at}/bare", chosen: "1", stays: ["headings"]
      goes = last_response.body[/Styles that paragraphs leave.*?<\/ul>/m].scan(/<\/b>\s*([^<]+?)\s*<\/li>/).flatten
      expect(goes).to match_array ["Body Text", "Normal"]
      words = Norvel::Seal.of(document).words
      form "bare", chosen: "1", stays: ["headings"]
      expect(last_response.location).to match(/beside\?before=\d+&only=1/)
      manuscript.reload
      expect(manuscript.document.paragraphs.flat_map { |one| one.direct.keys }.uniq).to eq []
      expect(Norvel::Seal.of(manuscript.document).words).to eq words
      expect(manuscript.document.uses.keys.map { |id| document.styles[id].name })
        .to match_array ["Normal", "Title", "Heading 1", "Heading 2", "Heading 3"]
    end
  end

  describe "beside what it was" do
    it "compares with the state before any change of the ledger: words, looks, what came and went" do
      first = document.paragraphs.find { |one| one.word_count > 8 }
      form("edits/retype", ids: first.id.to_s, text: first.text.sub(/\w+/, "Never"))
      other = document.paragraphs.reverse.find { |one| one.word_count > 8 }
      form("edits/style", ids: other.id.to_s, style: "Heading1")
      entries = manuscript.reload.ledger_entries.to_a
      shown = entries.map do |entry|
        get "#{at}/beside", before: entry.id, only: "1"
        body = last_response.body
        [body.scan(/· (other words|looks otherwise)/).flatten, body.include?("<ins>Never</ins>")]
      end
      expect(shown).to eq [[["other words", "looks otherwise"], true], [["looks otherwise"], false]]
      get "#{at}/beside.css", before: entries.first.id, only: "1"
      expect([last_response.status, last_response.body.empty?]).to eq [200, false]
    end

    it "compares sheet by sheet, with the lines that stand elsewhere marked" do
      other = document.paragraphs.find { |one| one.word_count > 8 }
      form("edits/style", ids: other.id.to_s, style: "Heading1")
      get "#{at}/beside/sheets"
      expect([last_response.status, last_response.body]).to match [200, /1 of \d+ sheets? that differ/]
      expect(last_response.body.scan(/class="apart" d="(M[^"]*)"/).flatten.size).to eq 2
      get "#{at}/beside/sheets", before: "999999"
      expect(last_response.body).to include "1 of"
    end

    it "says so where nothing differs, and where a change is not there any more" do
      get "#{at}/beside", only: "1"
      expect(last_response.body).to include("nothing differs")
      get "#{at}/beside", before: "99999999"
      expect(last_response.body).to include("As it came")
    end
  end
end
