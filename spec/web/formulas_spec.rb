# frozen_string_literal: true

# Formulas, text that runs both ways, and shapes, on the pages that show them.
RSpec.describe "what stands between words", :web do
  before(:all) { WebApp.boot }
  before do
    WebApp.clear
    extend Rack::Test::Methods
  end

  def app = Web

  def bring(bytes, filename) = Manuscript.bring_in(bytes, filename:)

  def shown(made, station)
    get "/manuscripts/#{made.id}/#{station}"
    expect(last_response.status).to eq 200
    last_response.body
  end

  let(:content) { p(r("The height ") + omath(mr("x=1")) + r(" holds.")) + p(omath_para(quadratic)) }

  it "is shown in the galley as browsers set it, parted where a line may end" do
    body = shown(bring(package(content), "a.docx"), "galley")
    spans = body.scan(%r{<span class="formula">(.*?)</span>})
    expect(spans.size).to eq 3
    expect(spans.flatten.last).to include('display="block"', "<mfrac>", "<msqrt>")
    expect(spans.first.first).to include('<mo form="infix">=</mo>')
  end

  it "is shown in the galley and on the sheet of an .odt as of a .docx" do
    document = Norvel::Formats.read(package(content), name: "a.docx")
    made = bring(Norvel::Formats.write(document, as: "odt").bytes, "a.odt")
    expect(shown(made, "galley").scan('class="formula"').size).to be >= 2
    sheet = shown(made, "sheets/1")
    expect(sheet.scan('<g class="formula"').size).to be >= 2
    expect(sheet).to include('font-family="TeX Gyre Termes Math"', "<path transform=\"translate(")
  end

  it "is drawn on the sheet from where it begins, to the left where it runs so" do
    body = shown(bring(package(p(r("The word שלום stands"))), "a.docx"), "sheets/1")
    expect(body).to match(/<text x="[\d.]+"[^>]*direction="rtl" unicode-bidi="bidi-override"[^>]*>שלום/)
  end

  it "is a sign in the examples of a plan, so that the spaces around it are no two" do
    made = bring(package(p(r("where  the height ") + omath(mr("x")) + r(" holds for all of the year."))), "a.docx")
    after = shown(made, "plan")[/Double spaces.*?<td[^>]*class="after"|Double spaces.*/m]
    expect(after).to include("where<span class=\"spacesign\">··</span>the height ▢ holds", "where the height ▢ holds")
  end

  it "is met by every station" do
    made = bring(package(content + p(r("שלום"), "<w:bidi/>")), "a.docx")
    %w[survey styles galley findings sheets sheets/1 handover images plan].each { |one| shown(made, one) }
  end
end
