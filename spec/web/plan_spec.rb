# frozen_string_literal: true

WebApp.boot

# The plan, decisions and ways to put paragraphs in a style, as plain pages.
RSpec.describe "the plan and what a person decides" do
  include PageForms

  before { WebApp.clear }

  let(:manuscript) do
    Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx", guide: "ravelmouth-house")
  end

  def form(...) = send_form(...)

  def parts(html) = html.scan(/name="(shown|offered)\[\]" value="([^"]+)"/).map { |_, key| CGI.unescapeHTML(key) }

  def body = page

  it "shows what would change, what it keeps and what is left, and does nothing" do
    get "#{at}/plan"
    expect(body).to include("9 paragraphs go in <b>Heading 2</b>", "nothing is done yet", "Left for you to decide",
      "no word changes", "When it is done")
    get "#{at}/plan.css"
    expect([last_response.status, body]).to match [200, /\.p[0-9a-f]+\{/]
    expect(now.ledger_entries).to be_empty
  end

  # Guides that name no styles have mends of two steps.
  it "is shown by every guide that ships" do
    line = "The tide gauge was read at each low water, and the shoots were counted along a rope that was laid anew. "
    set = '<w:spacing w:line="240" w:lineRule="auto"/>'
    heading = r("The counts", '<w:b/><w:sz w:val="32"/>')
    own = Manuscript.bring_in(package((p(heading) + p(r(line * 2), set) * 4) * 3 + section), filename: "own.docx")
    Norvel::Guide.shipped.each_key do |guide|
      [own, manuscript].each do |one|
        one.judge_by(guide, template: nil, version: one.reload.lock_version)
        %w[plan plan.css findings].each do |path|
          get "/manuscripts/#{one.id}/#{path}"
          expect([guide, path, last_response.status]).to eq [guide, path, 200]
        end
      end
    end
  end

  it "is for what is chosen: a role, a style, pages, parts" do
    get "#{at}/plan"
    everything = parts(body)
    expect(body).to include(">everything</option>", "What it is", "Its style")
    get "#{at}/plan", on: "roles:heading_1", from: "1"
    expect(parts(body).size).to be < everything.size
    expect(body).to include('value="roles:heading_1" selected', 'name="from" value="1"')
    get "#{at}/plan", leave: %w[tables notes]
    expect([last_response.status, body]).to match [200, /nothing is done yet/]
    get "#{at}/plan.css", leave: %w[tables]
    expect(last_response.status).to eq 200
    get "#{at}/plan", on: "styles:No style of this name"
    expect(body).to include("selected>No style of this name (0)")
    get "#{at}/plan", from: "ninety"
    expect([last_response.status, body]).to match [422, /There is no page “ninety”/]
  end

  it "tells the pages before and after a part that moves them" do
    get "#{at}/plan"
    key = CGI.unescapeHTML(body[%r{plan/pages\?key=([^"&]+)}, 1]).tr("+", " ")
    get "#{at}/plan/pages", key: CGI.unescape(key)
    expect(body).to include("Pages before and after", "Page numbers before", "Back to the plan")
    get "#{at}/plan/pages", {key: CGI.unescape(key)}, "HTTP_HX_REQUEST" => "true"
    expect(body).to match(%r{<dt>Sheets</dt>\s*<dd>\d+ → \d+</dd>})
    get "#{at}/plan/pages", key: "no such part"
    expect([last_response.status, body]).to match [422, /not in the plan any more/]
  end

  it "does what is ticked, as one change with its kinds, and takes it back" do
    get "#{at}/plan"
    keys = parts(body)
    form "findings/mend_safe", shown: keys, part: keys - ["put_in_style Heading 2"]
    document = now.document
    expect(document.uses[document.styles.named("Heading 2").id])
      .to eq Norvel::Formats.read(Demo::Handbook.new.bytes, name: "h.docx").then { |came| came.uses["Heading2"] }
    expect(now.ledger_entries.first.kinds).to include("Put 3 paragraphs in Heading 1")
    form "take_back"
    expect(now.document.paragraphs).to eq manuscript.document.paragraphs
  end

  it "shows the same plan with other parts ticked, in place and as a page" do
    get "#{at}/plan"
    keys = parts(body)
    form "plan", {"HTTP_HX_REQUEST" => "true"}, shown: keys, part: keys - ["space_for_blanks"]
    expect(body).to include('hx-swap-oob="innerHTML:#station"', 'hx-swap-oob="innerHTML:#plan-bench"',
      "left out of the plan")
    form "plan", shown: keys + ["keep_with_next"], part: []
    expect(body).to include("nothing that is safe to do")
  end

  it "is made for what is selected, and does no more" do
    body_text = now.document.paragraphs.first(60)
    ids = body_text.map(&:id).join(",")
    form "plan", ids: ids
    expect(body).to include("of 60 paragraphs:", %(name="ids" value="))
    keys = parts(body)
    before = now.document
    form "findings/mend_safe", ids: ids, shown: keys, part: keys
    touched = now.document.paragraphs.reject { |one| before.same_paragraph?(one) }.map(&:id)
    expect(touched - body_text.map(&:id)).to eq []
    expect(touched).not_to be_empty
    form "take_back"
    form "plan", ids: "999999"
    expect(body).to include("of 0 paragraphs: nothing that is safe to do")
  end

  it "is refused for a page that is older than the document" do
    get "#{at}/plan"
    form "edits/clear", ids: "1-20", keep: ""
    form "findings/mend_safe", version: 0
    expect([last_response.status, body]).to match [409, /another window/]
  end

  it "says so when a fault of its own prevents it" do
    WebApp::Remembered.known.clear # so that it is held against its guide anew
    allow(Norvel::Survey::Gaps).to receive(:new).and_raise(NoMethodError)
    get "#{at}/plan"
    expect([last_response.status, body]).to match [422, /mistake of its own/]
  ensure
    WebApp::Remembered.known.clear
  end

  it "keeps what a person says, shows it, and forgets it when asked" do
    form "edits/decide", ids: "15", said: "no_heading", back: "#{at}/galley"
    expect(now.document.decisions).to eq(15 => "no_heading")
    form "galley/bench", ids: "15"
    expect(body).to include("as you said", '<option value="no_heading" selected>')
    form "edits/decide", ids: "15", said: ""
    expect(now.document.decisions).to eq({})
    form "edits/decide", ids: "15", said: "poem"
    expect([last_response.status, body]).to match [422, /no such kind/]
  end

  it "lets a suggested heading be none, from the list of roles" do
    get "#{at}/roles"
    id = body[/name="denied" value="(\d+)"/, 1].to_i
    form "edits/roles", denied: id.to_s
    expect(now.document.decisions).to eq(id => "no_heading")
    get "#{at}/roles"
    expect(body).not_to include(%(name="denied" value="#{id}"))
  end

  it "tells what becomes of paragraphs in a style, and does what a person chose" do
    form "galley/outcome", ids: "15", style: "Heading1"
    expect(body).to match(/set by hand go|Nothing was set by hand/)
    expect(body).to match(/Changes: .* →/)
    form "edits/style", ids: "15", style: "Heading1", look: "theirs"
    taken = now.document
    expect(taken.cascade.of_style(taken.styles["Heading1"], :paragraph)[:space_before]).to eq 0.0
    form "take_back"
    form "edits/style", ids: "15", style: "Heading1"
    put = now.document
    expect([put.paragraph(15).direct, put.styles["Heading1"]]).to eq [set, manuscript.first_document.styles["Heading1"]]
  end

  it "says of several what they read as" do
    form "galley/bench", ids: "1-20"
    expect(body).to match(/Read \d+ as body text, \d+ as headings/)
  end

  it "sets one value on what is selected, and on roles with its ripple first" do
    form "edits/value", ids: "15-20", property: "align", value: "justified"
    expect(now.document.look(now.document.paragraph(17))[:align]).to eq "justify"
    form "styles/value/ripple", {"HTTP_HX_REQUEST" => "true"}, property: "line_spacing", value: "double", on: %w[body]
    expect(body).to include("Line spacing double on", "paragraphs change")
    form "styles/value", property: "line_spacing", value: "double", on: %w[body]
    expect(now.ledger_entries.last.title).to start_with "Line spacing double on"
    wrong = {[%w[body], "size", "big"] => /not a length/, [[], "size", "12"] => /Nothing is ticked/,
             [%w[body], "shoe", "12"] => /no property/, [%w[body], "size", ""] => /Type a value/}
    wrong.each do |(on, property, value), said|
      form("styles/value", on:, property:, value:)
      expect([last_response.status, body]).to match [422, said]
    end
  end

  it "draws notes and feet after the text, and says where a change was" do
    foot = manuscript.document.stories.first.paragraphs.first.id
    get "#{at}/galley", at: foot
    expect(body).to include("Running foot of section 1", %(id="row-#{foot}"))
    form "edits/style", ids: foot.to_s, style: "BodyText"
    expect(now.ledger_entries.last.title).to eq "Put 1 paragraph in Body Text, 1 in running feet"
    form "galley/bench", ids: foot.to_s
    expect(body).to include("Running foot of section 1", "running head or foot")
  end
end
