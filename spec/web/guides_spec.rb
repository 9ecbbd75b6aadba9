# frozen_string_literal: true

WebApp.boot

# Guides as plain pages: made, read, changed in place, kept in editions.
RSpec.describe "guides as plain pages" do
  include Rack::Test::Methods

  def app = Web

  before { WebApp.clear }

  text = "norvel_guide: 1\nname: Ours # of the office\nroles:\n  body: {size: 12pt, cite: \"2.1\"}\n"
  define_method(:text) { text }

  let(:guide) { SavedGuide.keep(text) }
  let(:manuscript) do
    body = p(r("The first paragraph of a text that is long enough to be read as one, and so it is."),
      rpr: '<w:sz w:val="24"/>') * 3
    Manuscript.bring_in(package(body + section), filename: "m.docx")
  end

  def p(inside, rpr: "") = %(<w:p><w:pPr><w:rPr>#{rpr}</w:rPr></w:pPr>#{inside}</w:p>)

  def send_form(path, **fields)
    get "/guides"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    post path, {authenticity_token: token, **fields}
  end

  def change(step, row = guide, **fields) = send_form("/guides/#{row.key}/#{step}", seen: row.version, **fields)

  def page = last_response.body

  def newest = SavedGuide.order(:id).last

  it "reads every guide that ships aloud, topic by topic, and offers no change of it" do
    Norvel::Guide.shipped.each do |key, shipped|
      Norvel::Guide::Sentences.new(shipped).by_topic.each do |topic, sentences|
        get "/guides/#{key}?topic=#{topic}"
        sentences.each { |one| expect(page).to include Rack::Utils.escape_html(one.words).gsub("&#x27;", "&#39;") }
        expect(page).not_to include "Put it in"
      end
      send_form("/guides/#{key}/rule", place: "page.size", way: "is", value: "A5", step: "put")
      expect([last_response.status, page]).to match [422, /copy it/]
    end
  end

  it "opens every rule of every guide with what it has" do
    rich = "norvel_guide: 1\nname: R\nconsistent: {spacing: must}\nheadings: {case: {heading_1: upper}}\n" \
      "count: {words: 9}\nlists: {markers: {bullet: [•]}}\nrunning: {head: {left: Title}}\n" \
      "exceptions: [{rule: clean.blank_paragraph, because: so}]\n"
    [*Norvel::Guide.shipped.values, Norvel::Guide.new(rich)].each do |shipped|
      row = SavedGuide.keep(shipped.source)
      SomeOf.seeds(Norvel::Guide::Sentences.new(shipped).all).each do |one|
        get "/guides/#{row.key}", topic: one.topic, rule: one.place.join(".")
        expect([one.place, last_response.status, page]).to match [one.place, 200, /Put it in/]
      end
    end
  end

  it "puts a value in as typed, with its weight and clause, and the comments stay" do
    change("rule", place: "roles.body.size", way: "between", value: "10pt to 12pt", severity: "should", cite: "3",
      step: "put")
    expect(last_response.status).to eq 303
    expect(newest.source).to eq "norvel_guide: 1\nname: Ours # of the office\nroles:\n" \
      "  body: {size: {min: 10pt, max: 12pt}, cite: \"3\"}\nseverity:\n  role.body.size: should\n"
    expect([newest.kept, guide.reload.source]).to eq [false, text]
    change("rule", newest, place: "roles.body.size", step: "out")
    expect(Norvel::Guide.new(newest.source).data["roles"]).to eq "body" => {"cite" => "3"}
    expect(SavedGuide.count).to eq 2
  end

  it "asks for more by a label, and says so where there is no such rule" do
    get "/guides/#{guide.key}", ask: "Block quotation: size"
    expect(page).to include('name="place" value="roles.quote.size"')
    get "/guides/#{guide.key}", ask: "the weather"
    expect([last_response.status, page]).to match [422, /none of the rules/]
    change("rule", place: "parts.0", members: {"part" => "abstract", "required" => "true", "max_words" => "350"},
      step: "put")
    expect(Norvel::Guide.new(newest.source).parts)
      .to eq ["part" => "abstract", "required" => true, "max_words" => 350]
  end

  it "says what a value would find before it is put in" do
    change("rule", place: "roles.body.size", way: "is", value: "18pt", step: "try", document: manuscript.id)
    expect(page).to match(/<b>(?:the same|3 more)/)
    expect(SavedGuide.count).to eq 1
  end

  it "refuses what can't be a rule, in words, with what was typed still there" do
    change("rule", place: "roles.body.size", way: "is", value: "eleven stones", step: "put")
    expect([last_response.status, page]).to match [422, /must be a length.*eleven stones/m]
    change("rule", place: "roles.body.size", way: "between", value: "12pt", step: "put")
    expect(page).to include "Say two values"
    [["", "x"], ["nowhere.at.all", "x"], ["norvel_guide", "2"], ["roles.0.size", "3"]].each do |place, value|
      change("rule", place:, way: "is", value:, step: "put")
      expect([place, last_response.status]).to eq [place, 422]
    end
    expect(SavedGuide.count).to eq 1
  end

  it "refuses a text with the line, keeps it in the editor, and takes it once it is right" do
    wrong = "#{text}  quote: {size: tall}\n"
    change("text", text: wrong)
    expect([last_response.status, page]).to match [422, /Line 5: “roles.quote.size”/]
    expect(page).to include('data-line="5"').and include("quote: {size: tall}")
    change("text", text: "#{text}  quote: {size: 10pt} # ours\r\n")
    expect(newest.source).to eq "#{text}  quote: {size: 10pt} # ours\n"
  end

  it "keeps two windows from writing over each other" do
    change("text", text: "#{text}language: en\n")
    change("text", text: "#{text}language: de\n")
    expect([last_response.status, page]).to match [422, /another window/]
    expect(newest.source).to include "language: en"
  end

  it "keeps changes as an edition, or drops them; a document keeps its own and is told of the newer" do
    manuscript.judge_by(guide.key, template: nil, version: manuscript.lock_version)
    change("rule", place: "roles.body.size", way: "is", value: "11pt", step: "put")
    change("drop", newest)
    expect(SavedGuide.count).to eq 1
    change("rule", place: "roles.body.size", way: "is", value: "11pt", step: "put")
    draft = newest
    expect(SavedGuide.key?(draft.key)).to be false
    change("keep", draft, seen: "other")
    expect([last_response.status, draft.reload.kept]).to eq [422, false]
    change("keep", draft)
    get "/manuscripts/#{manuscript.id}/findings"
    expect(page).to include("held against").and include("Ours, edition 1").and include("there is an edition 2")
    get "/guides/#{guide.key}?document=#{manuscript.id}"
    expect(page).to include("Size of body text is 12 pt.").and include("Hold m against edition 2")
    change("rule", place: "roles.body.size", way: "is", value: "10pt", step: "put")
    expect([last_response.status, page]).to match [422, /another window/]
    change("keep", draft)
    expect(page).to include "no changes"
  end

  it "is not taken off while a document is held against it" do
    manuscript.judge_by(guide.key, template: nil, version: manuscript.lock_version)
    change("discard")
    expect([last_response.status, page]).to match [422, /1 document is held against this guide/]
    manuscript.judge_by(nil, template: nil, version: manuscript.reload.lock_version)
    change("discard")
    expect(SavedGuide.count).to eq 0
  end

  it "is made from a file, a document, another guide, a manual or nothing, and comes back as it went" do
    file = ->(name, bytes) { Rack::Test::UploadedFile.new(StringIO.new(bytes), "", original_filename: name) }
    send_form("/guides", from: "file", file: file["house.docx", Demo::Handbook.new.bytes])
    expect([newest.origin, Norvel::Guide.new(newest.source).role("body")]).to match ["house.docx", include("size")]
    get "/guides/#{newest.key}/text.yml"
    exported = page
    send_form("/guides", from: "file", file: file["house.yml", exported], name: "Again")
    expect(newest.source).to eq exported.sub(/^name: .*/, "name: Again")
    send_form("/guides", from: "document", of_document: manuscript.id)
    send_form("/guides", from: "copy", of_guide: "ravelmouth-thesis", name: "Mine: with \"signs\"")
    expect(newest.name).to eq "Mine: with \"signs\""
    send_form("/guides", from: "nothing", name: "Empty")
    send_form("/guides", from: "manual", name: "Manual", text: "The text is double-spaced.")
    expect(page).to include "Line spacing of body text is double."
    send_form("/guides/#{newest.key}/offers", seen: newest.version, text: "The text is double-spaced.", hit: ["0"])
    expect(newest.source).to include "line_spacing: double"
    expect([SavedGuide.where(kept: true).count, SavedGuide.latest.size]).to eq [4, 6]
    expect(SavedGuide.key?(newest.key)).to be false
    get "/guides"
    expect(page).to include("not kept yet")
    change("keep", newest)
    expect([SavedGuide.key?(newest.key), newest.number]).to eq [true, 1]
  end

  it "makes nothing of what is no file, no guide and no name" do
    file = ->(name, bytes) { Rack::Test::UploadedFile.new(StringIO.new(bytes), "", original_filename: name) }
    [{from: "file"}, {from: "file", file: file["a.docx", "no zip"]}, {from: "file", file: file["a.yml", "a: [1"]},
      {from: "file", file: file["a.yml", "\xFF\xFE"]}, {from: "copy", of_guide: "none"}, {from: "nothing"},
      *["a: [1", "- a", "\xFF\xFE", "!!x 1", ""].map { |text| {from: "file", file: file["a.yml", text], name: "A"} },
      {from: "elsewhere"}, {}].each do |fields|
      send_form("/guides", **fields)
      expect([fields, last_response.status, page]).to match [fields, 422, /No guide was made/]
    end
    send_form("/guides", from: "document", of_document: "99")
    expect(last_response.status).to eq 404
    expect(SavedGuide.count).to eq 0
  end

  it "answers keys that are none, and documents that are gone" do
    ["none", "own:0", "own:#{"9" * 30}", "own:x", "..%2fschema"].each do |key|
      get "/guides/#{key}"
      expect([key, last_response.status]).to match [key, be_between(404, 422)]
    end
    get "/guides/ravelmouth-house?document=99&topic=none&rule=parts.99"
    expect(last_response.status).to eq 200
  end

  it "draws what a rule measures, for every margin, indent, space and line" do
    drawn = Norvel::Guide::Catalogue.all.to_h { |entry| [entry.place.last, RuleDrawing.of(entry.place)] }.compact
    expect(drawn.keys).to include("left", "inside", "first_line", "indent_left", "space_after", "line_spacing", "size")
    drawn.each_value do |drawing|
      expect([drawing.ground, drawing.measure]).to all match(/\AM[\d.MhHvVz -]+\z/)
    end
    expect(drawn).not_to include("style", "bold")
  end

  it "throws away what was never kept, says so, and drops nothing where nothing is begun" do
    row = SavedGuide.keep(text, kept: false)
    get "/guides/#{row.key}"
    expect(page).to include("Throw it away").and include("Keep as edition 1")
    change("drop", row)
    follow_redirect!
    expect([page, SavedGuide.count]).to match [/The guide Ours is gone, as it was never kept/, 0]
    kept = SavedGuide.keep(text)
    change("drop", kept)
    expect([last_response.status, page]).to match [422, /no changes of this guide/]
    expect(SavedGuide.count).to eq 1
  end

  it "refuses rules from a manual for a guide that ships, and takes the words of a manual's file for one's own" do
    key = "ravelmouth-thesis"
    get "/guides/#{key}/manual"
    expect([last_response.status, page]).to match [422, /copy it/]
    [["manual", {text: "x"}], ["offers", {text: "The text is double-spaced.", hit: ["0"]}], ["text", {text: "x"}],
      ["keep", {}], ["drop", {}], ["discard", {}]].each do |step, fields|
      send_form("/guides/#{key}/#{step}", **fields)
      expect([step, last_response.status, page]).to match [step, 422, /copy it/]
    end
    manual = package(p(r("The text is double-spaced.")) + p(r("Print on A4 paper.")) + section)
    file = Rack::Test::UploadedFile.new(StringIO.new(manual), "", original_filename: "manual.docx")
    send_form("/guides/#{guide.key}/manual", file:)
    expect(page).to include("Line spacing of body text is double.", "Sheets are A4.")
    send_form("/guides/#{guide.key}/manual", text: "The sea is calm.")
    expect(page).to include "No sentence of this text states a value"
  end

  it "counts what a document meets with the exceptions that were granted in it, as its findings do" do
    manuscript.judge_by(guide.key, template: nil, version: manuscript.lock_version)
    change("rule", place: "roles.body.size", way: "is", value: "30pt", step: "put")
    change("keep", newest)
    manuscript.judge_by(newest.key, template: nil, version: manuscript.reload.lock_version)
    finding = manuscript.reload.check.findings.find { |one| one.rule == "role.body.size" }
    manuscript.grants << Grant.from(finding, manuscript.check, scope: "place", because: "by letter")
    get "/guides/#{newest.key}?document=#{manuscript.id}&topic=text"
    expect(page).to include("1 granted")
    shown = page[%r{<b class="must">(\d+)}, 1].to_i
    expect(shown).to eq Manuscript.find(manuscript.id).check.findings.count { |one| one.rule == "role.body.size" }
  end
end
