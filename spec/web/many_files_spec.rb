# frozen_string_literal: true

WebApp.boot
require "zip"

# Several files brought in at once, and one report for all on the shelf.
RSpec.describe "many files" do
  include Rack::Test::Methods

  def app = Web

  before { WebApp.clear }

  let(:document) do
    package(p(r("The keeper wrote the tide in the book, and he signed it for the year.")) * 3 + section)
  end

  def page = last_response.body

  def file(name, bytes) = Rack::Test::UploadedFile.new(StringIO.new(bytes), "", original_filename: name)

  def bring(*files, **fields)
    get "/"
    token = page[/name="authenticity_token" value="([^"]+)"/, 1]
    post "/manuscripts", {authenticity_token: token, files:, **fields}
  end

  def zip(entries)
    Zip::OutputStream.write_buffer { |out| entries.each { |name, bytes| out.put_next_entry(name) && out.write(bytes) } }
      .string
  end

  it "takes several, held against one guide, and names what can't be read" do
    bring(file("a.docx", document), file("b.docx", document), file("c.docx", "no"), against: "guide:ravelmouth-house")
    expect(last_response.status).to eq 303
    follow_redirect!
    expect(page).to include("Brought in 3 files")
    expect(Manuscript.order(:filename).pluck(:filename, :guide))
      .to eq [%w[a.docx ravelmouth-house], %w[b.docx ravelmouth-house]]
    expect(page).to match(/c\.docx was not taken in/)
  end

  it "takes one as before, and goes to it" do
    bring(file("a.docx", document))
    expect(last_response["location"]).to end_with "/manuscripts/#{Manuscript.last.id}/galley"
  end

  it "takes those of a .zip, whatever else is in it" do
    bring(file("all.zip", zip("x/one.docx" => document, "two.docx" => document, "x/notes.xyz" => "?",
      "__MACOSX/._one.docx" => "?", ".hidden.docx" => "?", "y/three.md" => "# Words")))
    expect(Manuscript.pluck(:filename)).to match_array %w[one.docx two.docx]
    expect(LooseText.pluck(:filename)).to eq ["three.md"]
  end

  it "refuses a .zip without documents, a damaged one, and one of far too many" do
    {"none" => zip("a.xyz" => "?"), "damaged" => zip("a.docx" => document)[0, 200], "no zip" => "PK",
     "many" => zip((0..Bundle::MOST).to_h { |number| ["#{number}.docx", "x"] })}.each do |name, bytes|
      bring(file("all.zip", bytes))
      expect([name, last_response.status, page]).to match [name, 422, /all\.zip|was not taken in/]
    end
    expect(Manuscript.count).to eq 0
  end

  it "shows most open first, and one report for all, each against its own guide" do
    bring(file("a.docx", document), file("b.docx", document))
    Manuscript.find_by(filename: "a.docx").then do |one|
      one.judge_by("ravelmouth-thesis", template: nil, version: one.lock_version)
      one.count!
    end
    get "/?by=open"
    expect(page.scan(%r{class="doc-title" href="/manuscripts/(\d+)}).flatten.map(&:to_i).first)
      .to eq Manuscript.find_by(filename: "a.docx").id
    get "/report"
    expect(page).to include("2 documents, each held against its own guide", "held against Ravelmouth Graduate Office",
      "held against itself")
    get "/report.csv"
    rows = CSV.parse(page, headers: true)
    expect(rows.map { |row| row["file"] }.uniq).to eq %w[a.docx b.docx]
  end
end
