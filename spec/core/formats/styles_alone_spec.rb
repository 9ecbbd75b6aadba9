# frozen_string_literal: true

require "open3"

# Styles without their text: templates that python-docx and odfpy read, a stylesheet that Chromium applies.
RSpec.describe Norvel::Formats::StylesAlone do
  let(:document) do
    text = r("Low water at ") + r("Old Quay", '<w:rStyle w:val="PN"/>')
    body = p(r("The tides"), '<w:pStyle w:val="Heading1"/>') + p(text) + section(left: 2000)
    docx(body, defaults: defaults("Calibri", 22),
      styles: style("Heading1", "heading 1", ppr: '<w:spacing w:before="240"/><w:outlineLvl w:val="0"/>',
        rpr: '<w:b/><w:color w:val="365F91"/><w:sz w:val="32"/>') +
        style("PN", "Place Name", type: "character", rpr: "<w:i/>"))
  end

  def outside(ending, script)
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/s#{ending}", described_class.bytes(document, ending))
      out, status = Open3.capture2("/usr/bin/python3", "-c", script, "#{folder}/s#{ending}")
      expect(status).to be_success
      JSON.parse(out)
    end
  end

  it "are a template of Office Open XML that holds none of the text" do
    bytes = described_class.bytes(document, ".dotx")
    expect(part(bytes, "[Content_Types].xml")).to include("template.main+xml")
    again = Norvel::Formats.read(bytes, name: "s.dotx")
    expect(again.paragraphs.map(&:text).join).not_to include("Low water")
    look = again.cascade.of_style(again.styles.called("Heading 1"), :run)
    expect([look[:size], look[:bold], again.styles.named("Place Name", "character").nil?]).to eq [16.0, true, false]
    expect(again.sections.first.margin_left).to eq document.sections.first.margin_left
  end

  it "are a template of OpenDocument that odfpy reads" do
    told = outside(".ott", <<~PYTHON)
      import json, sys
      from odf.opendocument import load
      from odf.style import Style
      d = load(sys.argv[1])
      print(json.dumps({"kind": d.getMediaType(), "styles": [s.getAttribute("displayname") or s.getAttribute("name") for s in d.styles.getElementsByType(Style)]}))
    PYTHON
    expect(told["kind"]).to eq "application/vnd.oasis.opendocument.text-template"
    expect(told["styles"]).to include("Heading 1", "Place Name")
  end

  it "are a stylesheet with a class for each style in use, and the page" do
    css = described_class.bytes(document, ".css")
    expect(css).to match(/^@page \{ size: 595\.3pt 841\.9pt; margin: [\d.]+pt [\d.]+pt [\d.]+pt 100\.0pt; \}$/)
    expect(css).to match(/^\.heading-1 \{ .*padding-top: 12\.0pt;.*font-weight: 700;.*color: #365f91;/)
    expect(css).to match(/^span\.place-name \{ .*font-style: italic;/)
    expect(css).not_to include("Low water")
  end

  it "have a class for names without letters too" do
    odd = docx(p(r("x"), '<w:pStyle w:val="S9"/>'), styles: style("S9", "—"))
    expect(described_class.bytes(odd, ".css")).to match(/^\.s9 \{/)
  end

  it "are of no other kind" do
    expect { described_class.bytes(document, ".exe") }.to raise_error(Norvel::Refused, /\.exe/)
  end
end
