# frozen_string_literal: true

WebApp.boot

# What is set on Sheets, asked for with what no page of ours would send.
RSpec.describe "setting sheets up" do
  include Rack::Test::Methods

  def app = Web

  before { WebApp.clear }

  def body = last_response.body

  def post_form(address, **fields)
    get "/"
    post address, {authenticity_token: body[/name="authenticity_token" value="([^"]+)"/, 1], **fields}
    [last_response.status, body[/complaint.*?<p>(.*?)</m, 1] || body]
  end

  def bring(bytes, name = "m.docx") = Manuscript.bring_in(bytes, filename: name, guide: "ravelmouth-thesis")

  let(:made) { bring(Demo::Notice.new.bytes) }
  let(:at) { "/manuscripts/#{made.id}/sheets" }

  it "of heads: unknown matters and ways show the first, what can't be is said" do
    get "#{at}/heads", matter: "ninety", which: "sideways"
    expect([last_response.status, body]).to match [200, /Head, left/]
    expect(post_form("#{at}/heads/ripple", version: 0, header_left: "{author}"))
      .to match [200, /nothing of its author yet/]
    expect(post_form("#{at}/heads", version: 0, header_left: "x" * 9000)).to match [400, /longer than this page takes/]
    expect(post_form("#{at}/heads", version: 7, header_left: "x").first).to eq 409
    expect(post_form("#{at}/heads", version: 0, which: "first", join: "first").first).to be_between(303, 422)
    expect(post_form("#{at}/heads", version: Manuscript.find(made.id).lock_version)).to match [422, /say that already/]
  end

  it "of heads: braces that name nothing are words" do
    expect(post_form("#{at}/heads", version: 0, matter: 0, header_middle: "{salt} & <b>").first).to eq 303
    get "#{at}/heads"
    expect(body).to include 'value="{salt} &amp; &lt;b&gt;"'
  end

  it "of pages: absurd lengths, unknown tables and papers are refused with a sentence, and nothing is lost" do
    before = Desk.document(made)
    [
      [{of_page: {"margin_left" => "190 mm"}}, /leave no room for text/],
      [{of_page: {"margin_left" => "wide"}}, /not a length/],
      [{of_page: {"columns" => "many"}}, /1 to 12 columns/],
      [{of_page: {"salt" => "1 mm"}, paper: "Foolscap", lies: "askew"}, /set up so already/],
      [{turn: "99999"}, /not in this document any more/], [{turn: "1"}, /not in a table/]
    ].each do |fields, said|
      expect(post_form("#{at}/1/setup", version: 0, **fields)).to match [422, said]
      expect(post_form("#{at}/1/setup/ripple", version: 0, **fields)).to match [200, said]
    end
    expect(post_form("#{at}/77/setup", version: 0)).to match [422, /no sheet 77/]
    expect(post_form("#{at}/1/setup", version: 0, of_page: "flat").first).to eq 400
    expect(Desk.document(Manuscript.find(made.id))).to equal before
  end

  it "of pages: a negative length is no margin, a paper is changed, all sheets with it" do
    expect(post_form("#{at}/1/setup", version: 0, of_page: {"margin_top" => "-5 mm"}).first).to eq 422
    expect(post_form("#{at}/1/setup", version: 0, paper: "Letter", lies: "lying", scope: "document").first).to eq 303
    expect(Manuscript.find(made.id).document.sections.map { |one| [one.width.round, one.height.round] }.uniq)
      .to eq [[792, 612]]
  end

  it "of parts and captions: what is not there to be put in is refused" do
    %w[captions parts].each do |station|
      get "#{at}/#{station}"
      expect(last_response.status).to eq 200
    end
    expect(post_form("#{at}/parts", version: 0, put_in: "colophon"))
      .to match [422, /can&#39;t put in a part of that kind/]
    expect(post_form("#{at}/parts/ripple", version: 0, put_in: "list_of_figures"))
      .to match [200, /nothing that the list of figures could stand before|no caption/]
    expect(post_form("#{at}/captions", version: 0, act: "count")).to match [422, /None of these is a caption/]
    expect(post_form("#{at}/captions", version: 0, act: "refresh").first).to eq 422
  end

  it "of matters: one begins with the sheet that was pointed at" do
    thesis = bring(Demo::Thesis.new.bytes, "t.docx")
    get "/manuscripts/#{thesis.id}/sheets/3"
    link = body[%r{/manuscripts/\d+/sheets/matters\?begin=\d+}]
    get link
    expect(body).to include "Begun there"
    expect(body.scan(/<option value="(\d+)" selected>/).flatten).to include link[/\d+\z/]
    get "/manuscripts/#{thesis.id}/sheets/matters", begin: "99999"
    expect(last_response.status).to eq 200
  end

  it "of what is tried: nothing that is not there" do
    get "#{at}/tried"
    expect([last_response.status, body]).to match [200, /Nothing was tried/]
    get "#{at}/tried", group: "none", chapters: ""
    expect(last_response.status).to eq 200
    expect(post_form("#{at}/tried", version: 0, group: "none")).to match [422, /not there any more/]
    expect(post_form("#{at}/matters/join", version: 0, join: "2 this")).to match [422, /no section 2/]
    expect(post_form("#{at}/matters/join/ripple", version: 0, join: "x")).to match [200, /no section 0/]
  end

  it "of files with next to nothing in them" do
    [package("<w:p/>"), package(""),
      package(table([%w[a b]])), package(p(r("One")) + "<w:p><w:pPr><w:sectPr/></w:pPr></w:p>")].each do |bytes|
      place = "/manuscripts/#{bring(bytes).id}/sheets"
      ["", "/matters", "/heads", "/parts", "/contents", "/captions", "/1"].each do |way|
        get "#{place}#{way}"
        expect(last_response.status).to be_between(200, 422), "#{way}: #{body[0, 300]}"
      end
    end
  end
end
