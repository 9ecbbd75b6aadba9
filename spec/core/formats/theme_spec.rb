# frozen_string_literal: true

# ISO/IEC 29500-1 20.1.4.1 (fonts), 20.1.6.2 (colours), 17.3.2.6 (how text names them).
RSpec.describe Norvel::Formats::Docx::Theme do
  let(:theme) do
    xml = <<~XML
      <a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:themeElements>
        <a:clrScheme name="x">
          <a:dk1><a:sysClr val="windowText" lastClr="101010"/></a:dk1>
          <a:lt1><a:srgbClr val="FFFFFF"/></a:lt1>
          <a:accent1><a:srgbClr val="4F81BD"/></a:accent1>
        </a:clrScheme>
        <a:fontScheme name="x">
          <a:majorFont><a:latin typeface="Cambria"/><a:ea typeface=""/></a:majorFont>
          <a:minorFont><a:latin typeface="Calibri"/></a:minorFont>
        </a:fontScheme>
      </a:themeElements></a:theme>
    XML
    described_class.new(Nokogiri::XML(xml).root, mapping: {"text1" => "light1"})
  end

  it "gives fonts by their names, and none for an empty one" do
    expect(%w[minorHAnsi majorAscii majorEastAsia nonsense].map { |name| theme.font(name) })
      .to eq ["Calibri", "Cambria", nil, nil]
  end

  it "uses the cached value of a colour where it is there" do
    expect(theme.colour("123456", "accent1")).to eq "#123456"
  end

  it "works colours out where it is not, through the mapping of the settings" do
    expect([theme.colour("auto", "dark1"), theme.colour(nil, "accent1"), theme.colour("auto", "text1"),
      theme.colour("auto", nil)]).to eq ["#101010", "#4f81bd", "#ffffff", "auto"]
  end
end
