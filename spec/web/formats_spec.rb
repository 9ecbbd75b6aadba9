# frozen_string_literal: true

WebApp.boot

# Texts that wait to be dressed, documents of every format, and what leaves in which.
RSpec.describe "formats as plain pages" do
  include Rack::Test::Methods

  def app = Web

  before { WebApp.clear }

  def token
    get "/"
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  def send_file(bytes, name) = post("/manuscripts",
    {authenticity_token: token,
     file: Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", original_filename: name)})

  def body = last_response.body

  let(:minutes) { Manuscript.bring_in(Demo::Minutes.new.bytes, filename: "minutes.odt", guide: "ravelmouth-house") }
  let(:text) { LooseText.bring_in(Demo::Gauge.new.bytes, filename: "tide gauge.md") }

  it "hands over a tagged PDF of the sheets, with what it does not hold" do
    get "/manuscripts/#{minutes.id}/handover"
    expect(body).to include("the sheets as they stand, tagged", "download?as=pdf")
    get "/manuscripts/#{minutes.id}/handover/pdf"
    expect([last_response.status, body]).to match [200, /it does not say its own/]
    get "/manuscripts/#{minutes.id}/download?as=pdf"
    expect(last_response.headers.values_at("content-type", "content-disposition"))
      .to match ["application/pdf", /minutes, clean\.pdf/]
    expect(body.b).to start_with "%PDF-1.7"
  end

  describe "a text without styles" do
    it "waits on the shelf, shows what is in it, and is dressed in a template" do
      send_file(Demo::Gauge.new.bytes, "tide gauge.md")
      expect(last_response.status).to eq 303
      follow_redirect!
      expect(body).to include("has no styles yet", "What was moved", "2. The new seat was levelled")
      get "/"
      expect(body).to include("The tide gauge at the old pier", "waiting to be dressed")
      post "/texts/#{LooseText.last.id}/dress",
        {authenticity_token: token, template: "ship:ravelmouth-thesis", against: "guide:ravelmouth-house"}
      expect(last_response.status).to eq 303
      follow_redirect!
      expect(body).to include("The tide gauge at the old pier", "Heading 1")
      made = Manuscript.last
      expect([made.filename, made.guide, made.loose_text.filename])
        .to eq ["tide gauge.docx", "ravelmouth-house", "tide gauge.md"]
      get "/"
      expect(body).not_to include "waiting to be dressed"
    end

    it "is kept beside the document that was made of it, and goes with that" do
      made = text.dress(File.binread(Norvel::Formats::Template.shipped.fetch("short-notice")))
      get "/manuscripts/#{made.id}/text"
      expect([last_response.body.b, last_response.media_type]).to eq [Demo::Gauge.new.bytes, "text/markdown"]
      get "/texts/#{text.id}"
      expect(last_response.status).to eq 404
      made.discard
      expect(LooseText.count).to eq 0
    end

    it "is taken off again" do
      post "/texts/#{text.id}/discard", {authenticity_token: token}
      expect([last_response.status, LooseText.count]).to eq [303, 0]
    end

    it "may be a web page or plain text" do
      {"a.html" => "<h1>Head</h1><p>words</p>", "b.txt" => "words and words", "c.markdown" => "*so*"}
        .each do |name, source|
        send_file(source, name)
        follow_redirect!
        expect([name, last_response.status]).to eq [name, 200]
      end
    end

    it "that holds no words, or is none, is refused in a sentence" do
      {"a.md" => "  ", "b.txt" => "\0\0\0\0\0", "c.html" => "<script>x</script>"}.each do |name, source|
        send_file(source, name)
        expect([last_response.status, body]).to match [422, /was not taken in/]
      end
      expect(LooseText.count).to eq 0
    end

    it "is refused what it can't wear" do
      {template: "ship:none", against: "guide:ravelmouth-house"}.then do |odd|
        post "/texts/#{text.id}/dress", {authenticity_token: token, **odd}
      end
      expect(last_response.status).to eq 422
      post "/texts/#{text.id}/dress", {authenticity_token: token, template: "ship:short-notice", against: "guide:none"}
      expect([last_response.status, body]).to match [422, /no such guide/]
      get "/texts/99999"
      expect(last_response.status).to eq 404
    end

    it "is known by what it is, whatever its name says" do
      send_file(Demo::Minutes.new.bytes, "minutes.md")
      expect(last_response.headers["Location"]).to include "/galley"
    end
  end

  describe "an .odt on the shelf" do
    it "is drawn at every station" do
      %w[survey survey?view=outline roles styles templates galley paste beside findings plan ledger handover discard]
        .each do |path|
        get "/manuscripts/#{minutes.id}/#{path}"
        expect([path, last_response.status]).to eq [path, 200]
      end
    end

    it "is dressed in a template that ships as .docx, and taken back" do
      post "/manuscripts/#{minutes.id}/templates/apply",
        {authenticity_token: token, version: 0, template: "ship:ravelmouth-report", asked: "1", page: "1",
         numbering: "1"}
      expect(last_response.status).to eq 303
      document = Manuscript.find(minutes.id).document
      expect(document.styles.named("Text body")).not_to be_nil
      expect(Norvel::Formats.write(document).bytes).to start_with "PK"
      Manuscript.find(minutes.id).take_back(version: 1)
      expect(Norvel::Formats.write(Manuscript.find(minutes.id).document).bytes)
        .to eq Norvel::Formats.write(minutes.first_document).bytes
    end

    it "saves its styles as a template that .docx documents wear" do
      SavedTemplate.create!(name: "Minutes", bytes: Norvel::Formats::Template.bytes(minutes.document))
      handbook = Manuscript.bring_in(Demo::Handbook.new.bytes, filename: "handbook.docx")
      get "/manuscripts/#{handbook.id}/templates", {template: SavedTemplate.all_by_key.key("Minutes")}
      expect(last_response.status).to eq 200
      get "/templates/#{SavedTemplate.all_by_key.key("Minutes")}/download"
      expect(last_response.media_type).to eq Norvel::Formats::Odt::TYPE
    end

    it "starts a new document where its template is one" do
      SavedTemplate.create!(name: "Minutes", bytes: Norvel::Formats::Template.bytes(minutes.document))
      post "/new", {authenticity_token: token, template: SavedTemplate.all_by_key.key("Minutes"), title: "New minutes"}
      expect([last_response.status, Manuscript.last.filename, Manuscript.last.document.format])
        .to eq [303, "New minutes.odt", "odt"]
    end
  end

  describe "the handover" do
    it "says that a long document is being drawn, and hands it over then" do
      stub_const("Turns::LONG", 3)
      stub_const("HandoverStation::WRITTEN", Norvel::Recent.new(2))
      stub_const("HandoverStation::DRAWN", Norvel::Recent.new(2))
      at = "/manuscripts/#{minutes.id}"
      get "#{at}/download", as: "pdf"
      expect([last_response.media_type, body]).to match ["text/html", %r{data-goto="#{at}/download\?as=pdf&amp;now=1"}]
      get "#{at}/download/progress", as: "pdf"
      expect(body).to include "its lines and pages are being worked out"
      get "#{at}/download", as: "pdf", now: "1"
      expect([last_response.media_type, body[0, 5]]).to eq ["application/pdf", "%PDF-"]
      get "#{at}/download/progress", as: "pdf"
      expect([last_response.status, body]).to match [286, /the file is there/]
      get "#{at}/download", as: "pdf"
      expect(last_response.media_type).to eq "application/pdf"
    end

    it "gives the styles alone, in three kinds" do
      at = "/manuscripts/#{minutes.id}"
      get "#{at}/handover"
      expect(body.scan(%r{/alone/(\w+)"}).flatten).to eq %w[dotx ott css]
      {"dotx" => "PK", "ott" => "PK", "css" => "/*"}.each do |ending, mark|
        get "#{at}/alone/#{ending}"
        expect([ending, last_response.status, body[0, 2]]).to eq [ending, 200, mark]
        expect(last_response.headers["Content-Disposition"]).to include(" styles.#{ending}")
      end
      get "#{at}/alone/exe"
      expect(last_response.status).to eq 404
    end

    it "offers every other format, and says what each would not carry before it is taken" do
      get "/manuscripts/#{minutes.id}/handover"
      expect(body.scan(/id="take-(\w+)" href/).flatten).to eq %w[pdf pdfa docx fodt markdown html text]
      get "/manuscripts/#{minutes.id}/handover/markdown", {}, {"HTTP_HX_REQUEST" => "true"}
      expect(body).to include("running heads and feet", "not carried")
      get "/manuscripts/#{minutes.id}/handover/docx"
      expect(body).to include("Handover as .docx", "everything")
    end

    it "gives each with the words that are in it" do
      {"docx" => "minutes, clean.docx", "fodt" => "minutes, clean.fodt", "markdown" => "minutes, clean.md",
       "html" => "minutes, clean.html", "text" => "minutes, clean.txt", "odt" => "minutes, clean.odt"}
        .each do |format, name|
        get "/manuscripts/#{minutes.id}/download", {as: format}
        expect([last_response.status, last_response.headers["Content-Disposition"]])
          .to match [200, /#{Regexp.escape(name)}/]
        expect(last_response.media_type).to eq Norvel::Formats[format].media_type(name)
      end
    end

    it "is of the document as it is now" do
      before = get("/manuscripts/#{minutes.id}/download", {as: "text"}).body
      Manuscript.find(minutes.id).perform(Norvel::Edits::Retype.new(1, "Another title"), version: 0)
      expect(get("/manuscripts/#{minutes.id}/download", {as: "text"}).body)
        .to eq before.sub("Harbour Authority of Ravelmouth", "Another title")
    end

    it "refuses a format that it does not know" do
      ["handover/pdfx", "download?as=none", "handover/..%2f"].each do |path|
        get "/manuscripts/#{minutes.id}/#{path}"
        expect([422, 404]).to include last_response.status
      end
      get "/manuscripts/#{minutes.id}/text"
      expect(last_response.status).to eq 404
    end
  end

  it "pastes Markdown's and the web's structure by the readers that files have" do
    post "/manuscripts/#{minutes.id}/paste",
      {authenticity_token: token, version: 0, after: "1",
       html: "<h2>Pasted</h2><ul><li>one</li></ul><table><tr><td>cell</td></tr></table>", text: ""}
    expect(last_response.status).to eq 200
    expect(body).to include("Pasted", "one", "cell")
  end
end
