# frozen_string_literal: true

WebApp.boot

RSpec.describe "the sheets" do
  include Rack::Test::Methods

  def app = Web

  before { WebApp.clear }

  def bring(bytes, guide: "ravelmouth-house") = Manuscript.bring_in(bytes, filename: "m.docx", guide:)

  def body = last_response.body

  def post_form(address, **fields)
    get "/"
    post address, {authenticity_token: body[/name="authenticity_token" value="([^"]+)"/, 1], **fields}
  end

  let(:notice) { bring(Demo::Notice.new.bytes) }
  let(:at) { "/manuscripts/#{notice.id}/sheets" }

  it "show every page with its label, and what is under them" do
    get at
    expect(last_response).to be_ok
    expect(body.scan(/id="sheet-(\d+)"/).flatten).to eq %w[1 2]
    expect(body).to include "The text · 1–2", "Why 2 pages?", "30 blank paragraphs after them"
  end

  it "marks lines in which something was inserted while changes were tracked, where a person asks for it" do
    inserted = '<w:ins w:id="1" w:author="A clerk"><w:r><w:t>It fell again.</w:t></w:r></w:ins>'
    made = bring(package(p("#{r("The tide rose. ")}#{inserted}") + p(r("Nothing new."))))
    get "/manuscripts/#{made.id}/sheets/1"
    expect(body).to include("?inserted=1")
    expect(body).not_to include("changebars")
    get "/manuscripts/#{made.id}/sheets/1", inserted: 1
    expect(body[/class="changebars" d="([^"]+)"/, 1]).to match(/\AM[\d.]+ [\d.]+v[\d.]+\z/)
    get "/manuscripts/#{bring(package(p(r("Plain.")))).id}/sheets/1"
    expect(body).not_to include("?inserted=1")
  end

  describe "images" do
    it "of kinds that a browser does not draw are made into ones that it does; what is none is a frame" do
      mill = Vips::Image.black(60, 40).cast("uchar")
      svg = %(<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><script>alert(1)</script></svg>)
      [mill.write_to_buffer(".tif"), svg].each do |bytes|
        made = bring(package(p(image(1)), image: bytes))
        get "/manuscripts/#{made.id}/sheets/1"
        get CGI.unescapeHTML(body[/<image href="([^"]+)"/, 1])
        expect([last_response.content_type, body.b[0, 4]]).to eq ["image/png", "\x89PNG".b]
      end
      made = bring(package(p(image(1)), image: "II*\0 and no more"))
      get "/manuscripts/#{made.id}/sheets/1"
      expect(body).not_to include("<image")
    end

    def drawn(bytes, *changes)
      shown = changes.inject(image(1)) { |xml, (one, other)| xml.sub(one, other) }
      bring(package(p(shown), image: bytes)).then { |made| get("/manuscripts/#{made.id}/sheets/1") && made }
    end

    png = Demo::Picture.png

    it "are drawn as the file holds them, cut and turned as it says" do
      made = drawn(png, ["<a:stretch>", '<a:srcRect l="25000"/><a:stretch>'], ["<a:xfrm>", '<a:xfrm rot="5400000">'])
      address = body[/<image href="([^"]+)"/, 1]
      expect(body).to include('clip-path="inset(0.0% 0.0% 0.0% 25.0%)"', '<g transform="rotate(90.0 ')
      get CGI.unescapeHTML(address)
      expect([last_response.content_type, body.b]).to eq ["image/png", png.b]
      get "/manuscripts/#{made.id}/image", path: "word/document.xml"
      expect(last_response.status).to eq 404
    end

    it "that are forms are drawn with their fill and their line" do
      form = '<w:r><w:pict xmlns:v="urn:schemas-microsoft-com:vml"><v:oval style="width:60pt;height:40pt" ' \
        'alt="A form" fillcolor="#ddeeff" strokeweight="2pt"/></w:pict></w:r>'
      get "/manuscripts/#{bring(package(p(form))).id}/sheets/1"
      expect(body).to match(%r{<ellipse [^>]*rx="30"[^>]*ry="20"[^>]*fill="#ddeeff" stroke="#000000" stroke-width="2"})
    end

    it "that a browser can't draw are frames that say so" do
      drawn("\xD7\xCD\xC6\x9A no placeable metafile".b)
      expect(body).to include("a drawing that is not shown here")
      expect(body).not_to include("<image")
    end
  end

  it "go to a page by its label, by its number and by words on it; else say so" do
    get "#{at}/go", to: "2"
    expect(last_response.location).to end_with "/sheets/2"
    get "#{at}/go", to: "sheet 1"
    expect(last_response.location).to end_with "/sheets/1"
    get "#{at}/go", to: "the western stage"
    expect(last_response.location).to match(%r{/sheets/1\?at=\d+\z})
    get "#{at}/go", to: "nowhere at all"
    expect([last_response.status, body]).to match [422, /No page is labelled “nowhere at all”/]
    get "#{at}/99"
    expect([last_response.status, body]).to match [422, /There is no sheet 99: the document has 2/]
  end

  it "show one sheet with every line where it falls" do
    get "#{at}/1"
    lines = Desk.pages(notice).sheets[0].lines.reject { |line| line.text.strip.empty? }
    expect(body.scan(/<text x="[\d.]+" y="[\d.]+" font-family="[\w ]+"/).size).to be >= lines.size
    expect(body).to include "Closing of the upper sluice", "characters a line"
  end

  it "save a page, shown before it is done, and take it back" do
    get "#{at}/saving"
    expect(body).to include "2 pages before", "1 page after", "No word changes"
    post_form "#{at}/saving", version: 0
    expect(last_response.status).to eq 303
    expect(Desk.pages(Manuscript.find(notice.id)).sheets.size).to eq 1
    get "#{at}/saving"
    expect([last_response.status, body]).to match [422, /no page that could be saved/]
  end

  it "mend a finding where it is seen" do
    thesis = bring(Demo::Thesis.new.bytes, guide: "ravelmouth-thesis")
    get "/manuscripts/#{thesis.id}/sheets/3"
    key = body[/name="finding" value="(\h+)"/, 1]
    post_form "/manuscripts/#{thesis.id}/sheets/mend", finding: key, page: 3, version: 0
    expect(last_response.location).to end_with "/sheets?page=3"
    now = Manuscript.find(thesis.id)
    expect(Desk.pages(now).sheets[2].ended_by).to eq :keep_with_next
    expect(now.check.findings.map(&:rule).count("pagination.stranded_heading")).to eq 2
    post_form "/manuscripts/#{thesis.id}/sheets/mend", finding: key, page: 3, version: 1
    expect(body).to include "That finding is not there any more"
  end

  it "are asked for block by block where there are many" do
    long = bring(package(p(r("a line of text")) * 6000, styles: ""))
    get "/manuscripts/#{long.id}/sheets"
    sent = body.scan(/id="sheet-\d+"/).size
    expect(sent).to eq 96 - 1
    expect(Desk.pages(long).sheets.size).to be > 96
    get "/manuscripts/#{long.id}/sheets/block/2"
    expect(body).to include 'id="sheet-96"'
    get "/manuscripts/#{long.id}/sheets/block/99"
    expect(last_response.status).to eq 404
  end

  describe "while pages are being worked out" do
    around do |example|
      Paging.inline = false
      example.run
    ensure
      Paging.inline = true
    end

    it "nobody waits: stations say so, and fill in" do
      allow(Paging).to receive(:work_out).and_return(nil)
      get at
      expect([last_response.status, body]).to match [200, /Pages are being worked out/]
      %w[galley styles survey findings handover].each { |station|
        expect(get("/manuscripts/#{notice.id}/#{station}"))
          .to be_ok
      }
      %w[1 go?to=1].each { |step| expect(get("#{at}/#{step}").status).to eq 303 }
      expect(notice.check.findings.map(&:rule)).not_to include(/pagination/)
    end

    it "a worker does it beside the requests" do
      get at
      deadline = Time.now + 10
      sleep 0.02 until Desk.pages(notice) || Time.now > deadline
      get "#{at}/wall"
      expect([body.include?('id="sheet-2"'), last_response.headers["HX-Refresh"]]).to eq [true, "true"]
      expect(notice.check.findings.map(&:rule)).to include "pagination.blank_page"
    end
  end

  it "say why where pages can't be worked out, and leave everything else as it is" do
    WebApp::Remembered.known.clear
    stub_const("Norvel::Layout::Pages::MOST", 1)
    get at
    expect(body).to include "more than 1 pages", "All other stations work as before"
    %w[galley styles survey findings handover].each { |station|
      expect(get("/manuscripts/#{notice.id}/#{station}"))
        .to be_ok
    }
  end

  it "survive a fault of Norvel's own" do
    WebApp::Remembered.known.clear
    allow(Norvel::Layout::Pages).to receive(:new).and_raise(NoMethodError)
    get at
    expect(body).to include "a mistake of its own while pages were worked out"
    expect(get("/manuscripts/#{notice.id}/galley")).to be_ok
  end
end
