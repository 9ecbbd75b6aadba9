# frozen_string_literal: true

# ISO/IEC 29500-1 17.6: sections, their page set-up and their numbers.
RSpec.describe Norvel::Formats::Docx::Sections do
  def first_section(inside, settings: nil)
    bytes = package(p(r("x")) + "<w:sectPr>#{inside}</w:sectPr>")
    if settings
      rels = part(bytes, "word/_rels/document.xml.rels").sub("</Relationships>",
        %(<Relationship Id="rId9" Type="#{Demo::Package::R}/settings" Target="settings.xml"/></Relationships>))
      xml = %(<w:settings xmlns:w="#{Demo::Package::W}">#{settings}</w:settings>)
      bytes = repackage(bytes, "word/_rels/document.xml.rels" => rels, "word/settings.xml" => xml)
    end
    Norvel::Formats.read(bytes, name: "x").sections[0]
  end

  # Paper: ISO 216:2007 and ANSI/ASME Y14.1, in twips as files round them.
  {
    "A3" => [16_838, 23_811],
    "A4" => [11_906, 16_838],
    "A5" => [8391, 11_906],
    "Letter" => [12_240, 15_840],
    "Legal" => [12_240, 20_160]
  }.each do |name, (width, height)|
    it "knows #{name}, upright and across" do
      guide = Norvel::Guide.new("norvel_guide: 1\nname: T\npage: {size: #{name}}")
      [[width, height], [height, width]].each do |w, h|
        document = docx(p(r("x")) + %(<w:sectPr><w:pgSz w:w="#{w}" w:h="#{h}"/></w:sectPr>))
        expect(Norvel::Guide::Check.new(guide, document).findings).to be_empty
      end
    end
  end

  it "starts on a new page unless it says otherwise (17.6.22)" do
    starts = {"" => "next_page", '<w:type w:val="continuous"/>' => "continuous",
              '<w:type w:val="oddPage"/>' => "odd_page", '<w:type w:val="evenPage"/>' => "even_page",
              '<w:type w:val="nextPage"/>' => "next_page"}
    expect(starts.keys.map { |inside| first_section(inside).starts }).to eq starts.values
  end

  # 17.6.11: the gutter lies at the side, on the right with rtlGutter, at the top with gutterAtTop.
  it "adds the gutter to the margin it lies at" do
    margins = '<w:pgMar w:top="1440" w:right="1440" w:bottom="1440" w:left="1440" w:header="708" w:footer="708" ' \
      'w:gutter="720"/>'
    side = first_section(margins)
    right = first_section("#{margins}<w:rtlGutter/>")
    top = first_section(margins, settings: "<w:gutterAtTop/>")
    expect([side.margin_left, side.margin_right, side.margin_top]).to eq [108.0, 72.0, 72.0]
    expect([right.margin_left, right.margin_right]).to eq [72.0, 108.0]
    expect([top.margin_left, top.margin_top]).to eq [72.0, 108.0]
  end

  it "takes a negative top margin for an exact one" do
    expect(first_section('<w:pgMar w:top="-1440" w:bottom="-720"/>').to_h.slice(:margin_top, :margin_bottom).values)
      .to eq [72.0, 36.0]
  end

  it "reads number formats and starts" do
    found = %w[decimal lowerRoman upperRoman lowerLetter upperLetter]
      .map { |format| first_section(%(<w:pgNumType w:fmt="#{format}" w:start="3"/>)) }
    expect(found.map(&:number_format)).to eq %w[decimal lower_roman upper_roman lower_letter upper_letter]
    expect(found.map(&:number_start).uniq).to eq [3]
  end

  it "reads columns, the first page, lengths with units, and mirrored margins" do
    expect(first_section('<w:cols w:num="2"/><w:titlePg/>').to_h.slice(:columns, :title_page).values).to eq [2, true]
    expect(first_section('<w:pgSz w:w="210mm" w:h="29.7cm"/>').width).to be_within(0.01).of(595.28)
    expect(first_section("", settings: "<w:mirrorMargins/>").mirrored).to be true
  end

  it "changes only what is asked, and keeps the gutter what it was" do
    inside = '<w:pgMar w:top="1440" w:right="1440" w:bottom="1440" w:left="1440" w:header="708" w:footer="708" ' \
      'w:gutter="720"/>'
    document = Norvel::Formats.read(package(p(r("x")) + "<w:sectPr>#{inside}</w:sectPr>"), name: "x")
    changed = Norvel::Edits::SetPage.new([1], {margin_left: 126.0}).apply(document).after
    expect(part(written(changed), "word/document.xml")).to include('w:left="1800"', 'w:gutter="720"', 'w:right="1440"')
    expect(reread(changed).sections[0].margin_left).to eq 126.0
  end
end
