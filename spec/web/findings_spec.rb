# frozen_string_literal: true

WebApp.boot

# Findings as plain pages: which are looked at, one in its line and on its sheet, exceptions, notes, reports, help.
RSpec.describe "findings as plain pages" do
  include PageForms

  before { WebApp.clear }

  let(:manuscript) do
    Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx", guide: "ravelmouth-house")
  end

  def group(rule) = now.check.groups.find { |one| one.rule == rule }

  it "says how far a long check is, where nobody has made it yet" do
    stub_const("PlanView::LONG", 20)
    manuscript
    Desk::LIVE.clear
    get "#{at}/findings"
    expect(page).to include("paragraphs are being checked", "data-goto=\"#{at}/findings?now=1\"", "<progress")
    expect(Desk.checked?(now)).to be false
    get "#{at}/findings", now: "1"
    expect(page).to include("id=\"findings\"")
    get "#{at}/findings/progress"
    expect(page).to match(/value="\d+">\d+ %/)
    get "#{at}/findings"
    expect(page).not_to include("are being checked")
  end

  it "has a page to sign, with the changes and the seal; as a PDF and as JSON too" do
    manuscript.perform(Norvel::Edits::RemoveBlankParagraphs.new(:all), version: 0)
    get "#{at}/report"
    policy = last_response.headers["Content-Security-Policy"]
    expect(policy).to include("style-src #{Norvel::Report::Paper::DIGEST}").and include("script-src 'self'")
    expect(page).to include("<h1>Report on", "What was changed", "Remove", "Name and signature", ", line ")
    get "#{at}/report.pdf"
    expect([last_response.content_type, page[0, 5]]).to eq ["application/pdf", "%PDF-"]
    get "#{at}/report.json"
    told = JSON.parse(page)
    expect(told["changes"].size).to eq 1
    expect(told["seal"]).to include("words_unchanged" => true)
    expect(told["pages"]["count"]).to be > 5
  end

  it "tells how it stands for everyone, with the way to what is missing" do
    get "#{at}/accessible"
    expect(page).to include("1.1.1 Text for what is no text", "do not apply", "As it is read aloud")
    send_form "describe", title: "", language: ""
    get "#{at}/accessible"
    expect(page).to match(%r{2\.4\.2 A title.*?not met.*?handover#title}m)
    send_form "describe", title: "Tides", subject: "Mills", keywords: "tides, mills", language: "en-GB"
    get "#{at}/accessible"
    expect(page).to match(%r{2\.4\.2 A title.*?for you to judge}m)
    expect(now.document.info).to include(subject: "Mills", keywords: "tides, mills")
  end

  it "leads to where a title is said, where no words of the text can be it" do
    plain = Manuscript.bring_in(package(p(r("The gate was shut at low water."))), filename: "a.docx")
    get "/manuscripts/#{plain.id}/findings"
    expect(page).to match(%r{<a class="btn" href="/manuscripts/#{plain.id}/handover#title">Say it …})
  end

  it "tells how much is judged as it goes" do
    told = []
    document = docx(p(r("A line of the book.")) * 450)
    Norvel::Guide::Check.attempt(Norvel::Guide.none, document, told: ->(done) { told << done.round(2) })
    expect(told).to eq [0.0, 0.44, 0.89]
  end

  it "shows those of a weight, a topic, a part, a page or with some words, each with how many of how many" do
    all = now.check.groups
    {"weight" => "must", "topic" => "clean", "q" => "handbook"}.each do |name, value|
      get "#{at}/findings", name => value
      expect([name, last_response.status]).to eq [name, 200]
    end
    get "#{at}/findings", "topic" => "clean"
    shown = page.scan(/id="group-(\h+)"/).flatten
    expect(shown).to match_array all.select { |one| one.rule.start_with?("clean.") }.map(&:key)
    get "#{at}/findings", "page" => "1"
    expect(page.scan(/id="group-(\h+)"/).size).to be_between(1, all.size - 1)
    expect(page).to match(/\d+ of <a/)
    get "#{at}/findings", "q" => "no such words anywhere"
    expect(page).to include "Nothing was found of that kind"
  end

  it "shows every cause in its line and on its sheet, from one place to the next" do
    now.check.groups.each do |one|
      get "#{at}/findings/place", "group" => one.key, "nth" => one.size - 1
      expect([one.rule, last_response.status, page]).to match [one.rule, 200, /In its line.*On its sheet/m]
      get "#{at}/findings/place.css", "group" => one.key
      expect(last_response.status).to eq 200
    end
    ["", "group=none&nth=9999999", "nth=-3", "q=nowhere+at+all", "page=x&part=y"].each do |query|
      get "#{at}/findings/place?#{query}"
      expect([query, last_response.status]).to eq [query, 200]
    end
  end

  it "walks over all places by next, as many as there are" do
    get "#{at}/findings/place", "weight" => "must"
    places = 1
    while (link = page[/rel="next"[^>]* href="([^"]+)"/, 1])
      get CGI.unescapeHTML(link)
      places += 1
    end
    expect(places).to eq now.check.counts["must"]
  end

  it "draws the measure that is wrong where it is" do
    document = now.document
    sheets = Norvel::Layout.of(document).sheets
    paragraph = document.paragraphs.find { |one| one.word_count > 20 }
    sheet = Norvel::Layout.of(document).sheet_of(paragraph.id)
    section = document.sections[sheet.section - 1]
    measure = lambda do |rule, id = paragraph.id|
      FindingMeasure.new(Norvel::Guide::Finding.new(rule:, paragraph: id, found: "3 pt"), sheet, section)
    end
    across = measure["page.margin.left", nil].stroke.scan(/M([\d.]+) .*?H([\d.]+)/).first.map(&:to_f)
    expect(across).to eq [0, sheet.frame.left.round(1)]
    down = measure["page.margin.top", nil].stroke.scan(/M[\d.]+ ([\d.]+)V([\d.]+)/).first.map(&:to_f)
    expect(down).to eq [0, sheet.frame.top.round(1)]
    lines = sheet.lines.select { |line| line.block.paragraph.id == paragraph.id }
    spacing = measure["role.body.line_spacing"].stroke.scan(/M[\d.]+ ([\d.]+)V([\d.]+)/).first.map(&:to_f)
    expect(spacing).to eq lines.first(2).map { |line| line.baseline.round(1) }
    expect(measure["role.body.font"]).to have_attributes(stroke: "", words: ["", 0, 0], box: include(:x, :y))
    expect(sheets.size).to be > 1
  end

  it "grants an exception at a place, which counts nowhere, is listed everywhere, and ends when its place changes" do
    finding = group("role.body.style").findings.first
    send_form("findings/except", group: group("role.body.style").key, nth: 0, scope: "place", because: " by letter ",
      by: "A. Keeper")
    expect(last_response.status).to eq 303
    expect(now.check.findings.map { |one| [one.rule, one.paragraph] }).not_to include [finding.rule, finding.paragraph]
    expect(now.check.granted.map { |one| [one.rule, one.because, one.signed, one.findings.size] })
      .to eq [["role.body.style", "by letter", "A. Keeper, #{Date.today.iso8601}", 1]]
    get "#{at}/findings"
    expect(page).to include("Excepted: 1 rule").and include("by letter")
    get "#{at}/findings/report"
    expect(page).to include("Granted exceptions").and include("A. Keeper")
    send_form("edits/style", ids: finding.paragraph.to_s, style: now.document.styles.called("Title").id)
    expect(now.check.granted.first.findings).to eq []
    send_form("findings/ungrant", grant: Grant.last.id)
    expect([Grant.count, now.check.granted]).to eq [0, []]
  end

  it "grants one for a style, a kind or everywhere, as far as the same is found, and needs a reason" do
    one = group("role.body.style")
    {"style" => one.size, "role" => one.size, "rule" => one.size}.each do |scope, size|
      send_form("findings/except", group: one.key, nth: 0, scope:, because: "so it is")
      expect([scope, now.check.granted.first.findings.size]).to match [scope, be >= size]
      Grant.delete_all
    end
    send_form("findings/except", group: one.key, nth: 0, scope: "place", because: " ")
    expect([last_response.status, page]).to match [422, /needs a reason/]
    send_form("findings/except", group: one.key, nth: 0, scope: "nowhere", because: "x")
    expect(last_response.status).to eq 422
    send_form("findings/except", group: "none", nth: 0, scope: "place", because: "x")
    expect([last_response.status, page]).to match [422, /not there any more/]
    send_form("findings/except", group: one.key, nth: 0, scope: "place", because: "x", version: 99)
    expect([last_response.status, page]).to match [409, /another window/]
    expect(Grant.count).to eq 0
  end

  it "grants it for the paragraph that was seen, whichever place that has by now" do
    one = group("role.body.style")
    first, second = one.findings.first(2).map(&:paragraph)
    2.times do
      send_form("findings/except", group: one.key, nth: 0, at: first, scope: "place", because: "by letter")
    end
    expect([last_response.status, page]).to match [422, /not there any more/]
    send_form("findings/except", group: one.key, nth: 0, at: second, scope: "place", because: "by letter")
    expect(now.check.granted.flat_map(&:findings).map(&:paragraph)).to eq [first, second]
  end

  it "keeps a person's own note beside the finding, and takes all along when the document goes" do
    one = group("role.body.style")
    send_form("findings/remark", group: one.key, nth: 1, text: "ask <the office>")
    follow_redirect!
    expect(page).to include "ask &lt;the office&gt;"
    get "#{at}/findings/place", "group" => one.key, "nth" => 0
    expect(page).not_to include "ask &lt;the office&gt;"
    send_form("findings/except", group: one.key, nth: 0, scope: "rule", because: "so it is")
    now.discard
    expect([Remark.count, Grant.count]).to eq [0, 0]
  end

  it "says what the last change made of them, and draws how many were open" do
    2.times do
      send_form("findings/mend", group: now.check.groups.find { |one| one.first.mend&.safe }.key)
      get "#{at}/findings"
    end
    expect(page).to match(/Since the last change:.*\d+ gone.*openline/m)
    expect(now.ledger_entries.pluck(:open_findings)).to all be_positive
  end

  it "puts a cause in its style alike, by its own button or ticked" do
    put = now.check.groups.find { |one| one.first.mend&.put? && one.first.mend.safe }
    looks = %w[mend mend_ticked].map do |step|
      fields = (step == "mend") ? {group: put.key} : {cause: [put.key]}
      send_form("findings/#{step}", **fields)
      made = put.paragraphs.map { |id| now.document.paragraph(id).then { |one| [one.style_id, one.direct, one.runs] } }
      send_form("take_back")
      made
    end
    expect(looks.first).to eq looks.last
  end

  describe "a mend that would leave more to put right" do
    let(:manuscript) do
      style = '<w:style w:type="paragraph" w:styleId="BodyText"><w:name w:val="Body Text"/>' \
        '<w:basedOn w:val="Normal"/><w:pPr><w:jc w:val="both"/></w:pPr><w:rPr><w:sz w:val="30"/></w:rPr></w:style>'
      text = "The lead came up with grey mud each time, as the pilots had said that it would."
      body = "<w:p><w:r><w:t>#{text}</w:t></w:r></w:p>" * 6
      Manuscript.bring_in(Demo::Package.new(body:, styles: style).bytes, filename: "a.docx",
        guide: "ravelmouth-house")
    end

    it "says what it does before it is done, asks, and is done when a person says so" do
      key = group("role.body.style").key
      get "#{at}/findings/effect", group: key
      expect(page).to match(/Mended, \d+ findings go, \d+ come:.*see what comes/m)
      send_form("findings/mend", group: key, hand: "goes", look: "style")
      expect([last_response.status, now.ledger_entries.count]).to eq [303, 0]
      follow_redirect!
      expect(page).to include("Nothing is done yet", "Alignment of body text is justified, not left", "all the same")
      send_form "findings/mend", group: key, hand: "goes", look: "style", sure: "1"
      expect(now.document.paragraphs.map { |one| now.document.style_name(one) }.uniq).to eq ["Body Text"]
    end

    it "asks of several ticked alike, and of a press in the page by sending it there" do
      key = group("role.body.style").key
      keys = [key, group("page.margin.top").key]
      send_form("findings/mend_ticked", cause: keys)
      follow_redirect!
      expect(page).to include("Mend 2 causes", *keys.map { |one| %(name="cause[]" value="#{one}") })
      send_form("findings/mend_ticked", cause: keys, sure: "1")
      expect(now.ledger_entries.last.title).to start_with "Mend 2 causes"
      now.take_back(version: now.lock_version)
      header "HX-Request", "true"
      send_form("findings/mend", group: key, look: "style")
      expect(last_response.headers["HX-Redirect"]).to include("findings/outcome?group=#{key}")
      expect(now.ledger_entries.count).to eq 0
    end
  end

  it "mends several causes that are ticked as one change" do
    get "#{at}/findings"
    keys = page.scan(/name="cause\[\]" value="(\h+)"/).flatten
    groups = now.check.groups.select { |one| keys.include?(one.key) && one.first.mend.safe }.first(2)
    send_form("findings/mend_ticked", cause: groups.map(&:key))
    follow_redirect!
    expect(page).to include "Mend 2 causes"
    expect(now.ledger_entries.count).to eq 1
    expect(now.check.groups.map(&:key)).not_to include(*groups.map(&:key))
    send_form("findings/mend_ticked", cause: ["none"])
    expect([last_response.status, page]).to match [422, /No cause is ticked/]
  end

  # Source: RFC 4180, by Ruby's csv.
  it "is a table, and a page that prints" do
    get "#{at}/findings.csv"
    rows = CSV.parse(page, headers: true)
    expect(rows.map { |row| row["rule"] }.tally).to eq now.check.findings.map(&:rule).tally
    get "#{at}/findings/report"
    expect(page).to include("held against Ravelmouth Harbour Authority").and include("digest of the words")
  end

  it "has a page of help for every finding" do
    get "/help"
    expect(page.scan(%r{href="/help/}).size).to be > 80
    now.check.groups.each do |one|
      get "/help/#{one.rule}"
      expect([one.rule, last_response.status, page]).to match [one.rule, 200, /How to meet it by hand/]
    end
    get "/help/weather.rain"
    expect(last_response.status).to eq 404
  end
end
