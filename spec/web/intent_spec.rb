# frozen_string_literal: true

WebApp.boot

# A guide is chosen, or none; what a person likes is kept; what is asked for is done and told.
RSpec.describe "intent as plain pages" do
  include Rack::Test::Methods

  def app = Web

  before { WebApp.clear }
  after do
    Preference.delete_all
    Preference.forget
    Norvel::Length.unit = nil
  end

  def body = CGI.unescapeHTML(last_response.body)

  def token
    get "/"
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  def bring(bytes, name, **fields)
    post "/manuscripts", {authenticity_token: token,
      file: Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", original_filename: name),
      **fields}
    Manuscript.last
  end

  def form(manuscript, path, **fields)
    post "/manuscripts/#{manuscript.id}/#{path}",
      {authenticity_token: token, version: Manuscript.find(manuscript.id).lock_version, **fields}
  end

  let(:plain) do
    package((1..6).map { |n| p(r("Some text that goes on, number #{n}.")) }.join + p(r("A head", "<w:b/>")) +
      p(r("More of it.")))
  end

  it "holds a document against nothing until somebody says so, and lets go of it again" do
    made = bring(plain, "plain.docx")
    expect([made.guide, made.template, made.rules.none?]).to eq [nil, nil, true]
    get "/"
    expect(body).to include("no guide chosen", "things to tidy")
    expect(body).not_to match(/\d must/)
    get "/manuscripts/#{made.id}/galley"
    expect(body).to include("no guide chosen", "choose one …")
    form(made, "guide", against: "guide:ravelmouth-thesis", back: "/manuscripts/#{made.id}/survey")
    expect([last_response.status, last_response["Location"][%r{/manuscripts.*}], made.reload.guide])
      .to eq [303, "/manuscripts/#{made.id}/survey", "ravelmouth-thesis"]
    expect(made.check.counts["must"]).to be > 0
    form(made, "guide", against: "")
    expect([made.reload.guide, made.check.counts["must"]]).to eq [nil, 0]
    form(made, "guide", against: "guide:none of ours")
    expect([last_response.status, body]).to match [422, /no such guide/]
  end

  it "asks once: what was chosen stands in the next form" do
    bring(plain, "one.docx", against: "guide:ravelmouth-house")
    get "/"
    expect(body).to include('<option value="guide:ravelmouth-house" selected>')
    get "/manuscripts/#{Manuscript.last.id}/findings"
    expect(body.gsub(/<[^>]+>/, "")).to include("held against Ravelmouth Harbour Authority, house format 2026")
  end

  it "takes styles from the template that was chosen, when they are first used" do
    made = bring(plain, "report.docx", against: "template:ship:ravelmouth-report")
    form(made, "edits/style", ids: "7", role: "heading_1")
    put = Manuscript.find(made.id).document
    template = SavedTemplate.document_of("ship:ravelmouth-report")
    sizes = [put, template].map { |one| one.cascade.of_style(one.styles.called("Heading 1"), :run)[:size] }
    expect([sizes.uniq.size, put.paragraph(7).direct, put.paragraph(7).runs.first.direct]).to eq [1, set, set]
  end

  # Nobody chose what a style that is made now looks like; what the file, a template or a guide says was chosen.
  it "offers the paragraphs' own look for a style that it makes, the style's for one that somebody described" do
    offered = ->(manuscript) {
      get "/manuscripts/#{manuscript.id}/roles"
      body.scan(/name="look_(\w+)" value="(\w+)" checked/).to_h
    }
    heading = style("Heading1", "heading 1", rpr: '<w:sz w:val="32"/>')
    text = (1..6).map { |n|
      p(r("The keeper wrote the height of tide #{n} in the book, and the hour beside it, " \
          "before he lit the lamp."))
    }.join
    own = package(text + p(r("The light", '<w:b/><w:sz w:val="30"/>')) + text, styles: heading)
    expect(offered[bring(own, "own.docx")]).to eq("heading_1" => "style", "body" => "theirs")
    expect(offered[bring(own, "held.docx", against: "guide:ravelmouth-house")]["body"]).to eq "style"
    made = bring(own, "seen.docx", against: "")
    post "/manuscripts/#{made.id}/galley/outcome", {authenticity_token: token, ids: "1-6", style: "Body Text"}
    expect(body).to include("The style is made now", 'value="theirs" checked')
  end

  it "tells what a guide asks of pages in the person's unit" do
    Preference.unit = "cm"
    made = bring(plain, "pages.docx", against: "guide:ravelmouth-thesis")
    get "/manuscripts/#{made.id}/findings"
    expect(body).to include("The inside margin is not 3.8 cm")
    expect(body).not_to include("38 mm")
  end

  it "says of words that are set apart that they are" do
    made = bring(package(p(r("The keeper of the ") + r("Tern", "<w:i/>")) + p(r("Plain."))), "apart.docx")
    bench = ->(ids) { form(made, "galley/bench", ids:) && body[%r{<h3>Set by hand</h3>\s*<p[^>]*>([^<]*)}, 1] }
    expect([bench["1"], bench["2"], bench["1-2"]])
      .to eq ["Nothing on the whole paragraph; some of its words are set apart.",
        "Nothing: it looks as the style says.", "Nothing on whole paragraphs; words are set apart in 1."]
  end

  it "keeps the switch for what was set by hand" do
    made = bring(package(p(r("Set by hand", '<w:sz w:val="30"/>'), '<w:jc w:val="center"/>') +
      p(r("Also", '<w:sz w:val="30"/>'))), "hand.docx")
    form(made, "edits/style", ids: "1", style: "Body Text", hand: "stays")
    expect(Manuscript.find(made.id).document.look(Manuscript.find(made.id).document.paragraph(1))[:align])
      .to eq "center"
    form(made, "edits/style", ids: "2", role: "body")
    expect(Manuscript.find(made.id).document.paragraph(2).runs.first.direct.key?(:size)).to be true
    form(made, "edits/style", ids: "1-2", style: "Body Text", hand: "goes")
    expect(Manuscript.find(made.id).document.paragraphs.flat_map { |one|
      one.direct.keys +
          one.runs.flat_map { |run| run.direct.keys }
    }).to eq []
  end

  it "speaks one unit of lengths, and takes a bare number for it" do
    made = bring(package(p(r("Some text"), '<w:ind w:left="567"/>')), "unit.docx")
    form(made, "galley/bench", ids: "1")
    expect(body).to include("left indent 1 cm")
    form(made, "edits/value", ids: "1", property: "indent_left", value: "2")
    expect(Manuscript.find(made.id).document.look(Manuscript.find(made.id).document.paragraph(1))[:indent_left])
      .to be_within(0.01).of(56.69)
    post "/unit", {authenticity_token: token, unit: "mm", back: "/manuscripts/#{made.id}/galley"}
    expect(last_response["Location"]).to end_with "/manuscripts/#{made.id}/galley"
    form(made, "edits/value", ids: "1", property: "indent_left", value: "30")
    expect(made.reload.ledger_entries.last.title).to include "30 mm"
    get "/manuscripts/#{made.id}/styles?section=1"
    expect(body).to match(/\d mm/)
    expect(body).not_to match(/\d cm/)
    post "/unit", {authenticity_token: token, unit: "furlongs"}
    expect([last_response.status, body]).to match [422, /no unit/]
  end

  it "marks, moves and unmarks headings in the outline, several at once" do
    made = bring(package((1..3).map { |n|
      p(r("Head #{n}", '<w:b/><w:sz w:val="30"/>')) +
          p(r("Some text that goes on and on, so that it reads as text. " * 3))
    }.join), "outline.docx")
    roles = -> { Manuscript.find(made.id).document.then { |now| now.paragraphs.map { |one| now.heading_level(one) } } }
    form(made, "edits/outline", paragraph: %w[1 3 5], act: "mark", back: "/manuscripts/#{made.id}/survey?view=outline")
    expect(roles.call).to eq [1, 0, 1, 0, 1, 0]
    form(made, "edits/outline", paragraph: %w[3 5], act: "down")
    expect(roles.call).to eq [1, 0, 2, 0, 2, 0]
    form(made, "edits/outline", paragraph: %w[5], act: "up")
    form(made, "edits/outline", paragraph: %w[3], act: "level-4")
    expect(roles.call).to eq [1, 0, 4, 0, 1, 0]
    form(made, "edits/outline", paragraph: %w[3], act: "unmark")
    expect([roles.call, Manuscript.find(made.id).document.decisions]).to eq [[1, 0, 0, 0, 1, 0], {3 => "no_heading"}]
    form(made, "edits/outline", act: "mark")
    expect([last_response.status, body]).to match [422, /Tick a heading first/]
    expect(Manuscript.find(made.id).document.paragraphs.flat_map { |one| one.direct.keys }).to eq []
  end

  it "offers headings that differ in size alone as one level" do
    made = bring(package(p(r("Some text that goes on and on, so that it reads as text. " * 3)) +
      [30, 32, 30, 36].map { |size|
        p(r("Head of #{size}", %(<w:b/><w:sz w:val="#{size}"/>))) +
      p(r("Some text that goes on and on, so that it reads as text. " * 3))
      }.join), "sizes.docx")
    get "/manuscripts/#{made.id}/survey?view=outline"
    expect(body).to include("look alike but for that", "make them one level")
    form(made, "edits/outline", one: body[/name="one" value="([^"]+)"/, 1])
    expect(Manuscript.find(made.id).document.then { |now| now.paragraphs.map { |one| now.heading_level(one) } })
      .to eq [0] + [1, 0] * 4
  end

  it "shows what it moves when a style takes a look, before it does" do
    heads = style("Heading1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>', rpr: '<w:sz w:val="40"/>')
    made = bring(package(p(r("Worn"), '<w:pStyle w:val="Heading1"/>') * 3 +
      p(r("Mine", '<w:i/><w:sz w:val="30"/>'), '<w:pStyle w:val="Heading1"/>'), styles: heads), "adopt.docx")
    get "/manuscripts/#{made.id}/styles?style=Heading1&try=adopt&ids=4"
    expect(body).to include("Let Heading 1 take the look of paragraph 4, not kept yet", 'id="f-adopt"',
      'name="ids" value="4"')
    form(made, "styles/adopt", style: "Heading1", ids: "4")
    now = Manuscript.find(made.id).document
    expect([now.styles["Heading1"].run.values.slice(:size, :italic), now.paragraph(4).runs.first.direct])
      .to eq [{size: 15.0, italic: true}, set]
  end

  it "tells why more is found than before" do
    heads = style("Heading1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>', rpr: '<w:sz w:val="60"/>')
    made = bring(package(p(r("Plain words that stand here")) * 5, styles: heads), "rise.docx",
      against: "guide:ravelmouth-house")
    made.check
    form(made, "edits/style", ids: "2", style: "Heading1")
    get "/manuscripts/#{made.id}/standing"
    expect(body).to match(/\d+ more than before: /)
  end

  it "asks which style pasted text goes in, that of the text it stands after by itself" do
    made = bring(package(p(r("Some text that goes on."), '<w:pStyle w:val="T"/>'), styles: style("T", "Prose")),
      "paste.docx")
    form(made, "paste", after: "1", text: "One more paragraph.\n\nAnd one.")
    expect(body).to include('<option value="T" selected>Prose</option>')
    form(made, "paste", after: "1", text: "One more paragraph.", body: "T", keep: "1")
    expect(Manuscript.find(made.id).document.then { |now| now.paragraphs.map { |one| now.style_name(one) } })
      .to eq %w[Prose Prose]
  end

  it "says in place that a letter is taken, and which are free" do
    made = bring(plain, "letters.docx")
    form(made, "letters", style: "Normal", letter: "j")
    expect([last_response.status, body])
      .to match [422, /“j” can't be a style's letter since it has other work. Free are a, b/]
    expect(body).to include('id="galley"')
    form(made, "letters", style: "Normal", letter: "n")
    follow_redirect!
    expect(body).to include("n puts paragraphs in Normal now.")
  end

  it "makes a usual style for what is based on it, or follows it" do
    made = bring(plain, "base.docx")
    form(made, "styles/make", name: "Remark", kind: "paragraph", based_on: "Body Text")
    now = Manuscript.find(made.id).document
    expect(now.styles[now.styles.named("Remark").based_on].name).to eq "Body Text"
    form(made, "styles/next", style: now.styles.named("Remark").id, next: "Heading 2")
    now = Manuscript.find(made.id).document
    expect(now.styles[now.styles.named("Remark").next_id].name).to eq "Heading 2"
  end
end
