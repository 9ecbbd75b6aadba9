# frozen_string_literal: true

RSpec.describe "the web application", :web do
  before(:all) { WebApp.boot && extend(Rack::Test::Methods) }
  before { WebApp.clear }

  include(Module.new do
    def app = Web
  end)

  before { self.class.include(Rack::Test::Methods) }

  let(:manuscript) { Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx", guide: "ravelmouth-thesis") }

  def token
    get "/"
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  def send_form(path, **fields)
    post path, {authenticity_token: token, **fields}
  end

  def upload(bytes, name)
    file = Tempfile.new(["x", ".docx"], binmode: true).tap { |f| f.write(bytes) && f.rewind }
    send_form("/manuscripts",
      file: Rack::Test::UploadedFile.new(file.path, "application/octet-stream", true, original_filename: name))
  end

  it "takes a file in and opens it" do
    upload(package(p(r("Hello"))), "mine.docx")
    expect(last_response.status).to eq 303
    follow_redirect!
    expect(last_response.body).to include("Hello")
  end

  it "says in a sentence what is wrong with a file, and keeps the shelf" do
    manuscript
    ["plain text", "PK\x05\x06".b + ("\0" * 18), "%PDF-1.4"].each do |bytes|
      upload(bytes, "<b>bad</b>.docx")
      expect(last_response.status).to eq 422
      expect(last_response.body).to include("was not taken in").and(satisfy { |body| !body.include?("<b>bad") })
    end
    expect(Manuscript.count).to eq 1
  end

  it "refuses forms without a token, and sets its safety on every page" do
    post "/manuscripts/#{manuscript.id}/take_back", version: 0
    expect(last_response.status).to eq 403
    clear_cookies
    get "/"
    policy = last_response.headers["content-security-policy"]
    expect(policy).to include("default-src 'none'", "script-src 'self'", "style-src 'self'")
      .and(satisfy { |text| !text.match?(/unsafe|http|\*/) })
    expect(last_response.headers["set-cookie"]).to match(/httponly/i).and match(/samesite=lax/i)
    expect(last_response.headers.to_h.slice("x-frame-options", "x-content-type-options").values).to eq %w[DENY nosniff]
  end

  it "sends no session back that has not changed: what comes late takes back nothing that was chosen meanwhile" do
    get "/"
    get "/"
    expect(last_response.headers).not_to have_key("set-cookie")
  end

  it "never shows a document's text unescaped" do
    sneaky = Manuscript.bring_in(package(p(r("<script>alert(1)</script>",
      '<w:rFonts w:ascii="x&quot;;}&lt;/w:style>&lt;script>" w:hAnsi="y"/>')), title: "&lt;img src=x&gt;",
      styles: style("S", "&lt;b&gt;bold", default: true)), filename: "x.docx")
    %w[galley findings handover ledger].each do |station|
      get "/manuscripts/#{sneaky.id}/#{station}"
      expect(last_response.status).to eq 200
      expect(last_response.body).not_to match(/<script>alert|<img src=x|<b>bold/)
    end
    get "/manuscripts/#{sneaky.id}/looks.css", blocks: "0-0"
    expect(last_response.body).not_to include("<script", "</w:style")
  end

  it "answers a stale page with a polite conflict and does nothing" do
    send_form("/manuscripts/#{manuscript.id}/edits/style", ids: "3", style: "Heading1", version: 0)
    expect(last_response.status).to eq 303
    send_form("/manuscripts/#{manuscript.id}/edits/style", ids: "4", style: "Heading1", version: 0)
    expect([last_response.status, last_response.body]).to match [409, /changed in another window/]
    expect(manuscript.reload.ledger_entries.size).to eq 1
  end

  it "takes changes back one by one, also after a restart" do
    first = manuscript.document
    manuscript.perform(Norvel::Edits::PutInStyle.new([3], "Heading1", hand: :stays), version: 0)
    manuscript.perform(Norvel::Edits::ClearDirect.new(:all), version: 1)
    manuscript.perform(Norvel::Edits::RemoveBlankParagraphs.new(:all), version: 2)
    Desk::LIVE.clear
    again = Manuscript.find(manuscript.id)
    expect(again.document.paragraphs).to eq manuscript.document.paragraphs
    3.times { |n| again.take_back(version: 3 + n) && Desk::LIVE.clear }
    expect(Manuscript.find(manuscript.id).document.paragraphs).to eq first.paragraphs
    expect(again.take_back(version: 6)).to be_empty
  end

  it "sends only the blocks that are near" do
    get "/manuscripts/#{manuscript.id}/galley", at: 400
    expect(last_response.body.scan('class="row').size).to be <= 3 * GalleyRow::BLOCK
    get "/manuscripts/#{manuscript.id}/galley/blocks/2"
    expect(last_response.body.scan('class="row').size).to eq GalleyRow::BLOCK
  end

  it "hands over the document with its words" do
    manuscript.perform(Norvel::Guide::MendSafe.new(manuscript.rules), version: 0)
    get "/manuscripts/#{manuscript.id}/download"
    expect(last_response.headers["content-disposition"]).to include("thesis, clean.docx")
    expect(Norvel::Seal.of(Norvel::Formats.read(last_response.body, name: "x")).words)
      .to eq Norvel::Seal.of(manuscript.first_document).words
    get "/manuscripts/#{manuscript.id}/original"
    expect(last_response.body).to eq manuscript.original.bytes
  end

  it "says what is not there" do
    get "/manuscripts/99999/galley"
    expect([last_response.status, last_response.body]).to match [404, /no such document/]
    get "/nowhere"
    expect(last_response.status).to eq 404
  end

  it "works as plain pages: a form without scripts puts paragraphs in a style" do
    send_form("/manuscripts/#{manuscript.id}/edits/style", "paragraph[]": "3", paragraph: ["3"], style: "Heading2",
      version: 0)
    expect(manuscript.reload.document.style_name(manuscript.document.paragraph(3))).to eq "Heading 2"
  end
end
