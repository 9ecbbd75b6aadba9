# frozen_string_literal: true

require "zip"

# A generated .docx for the benchmarks: about 2,400 paragraphs, 8,000 runs, 100,000 words, styles, direct formatting,
# near-equal indents. The same bytes at every run.
module Sample
  WORDS = %w[harbour tide mill sluice timber pit wheel estuary plank warden salt pier ledger mason channel ferry winter
    repair account keeper
    stone lock gate water season charter landing quay rope barge clerk tower].freeze
  W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main"
  LOOKS = ["", "<w:rPr><w:i/></w:rPr>",
    '<w:rPr><w:rFonts w:ascii="Times New Roman" w:hAnsi="Times New Roman"/><w:sz w:val="24"/><w:szCs ' \
    'w:val="24"/></w:rPr>',
    '<w:rPr><w:b/><w:sz w:val="23"/></w:rPr>', '<w:rPr><w:rStyle w:val="Emphasis"/></w:rPr>',
    '<w:rPr><w:color w:val="1F3864"/><w:u w:val="single"/></w:rPr>'].freeze
  PARAGRAPHS = ['<w:pPr><w:pStyle w:val="BodyText"/></w:pPr>',
    '<w:pPr><w:ind w:firstLine="720"/><w:jc w:val="both"/></w:pPr>',
    '<w:pPr><w:spacing w:before="120" w:after="120" w:line="360" w:lineRule="auto"/><w:ind w:left="1077"/></w:pPr>',
    '<w:pPr><w:spacing w:line="480" w:lineRule="auto"/><w:ind w:left="1094"/><w:rPr><w:b/></w:rPr></w:pPr>',
    '<w:pPr><w:pStyle w:val="Heading2"/></w:pPr>'].freeze
  STYLES = <<~XML
    <w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:ascii="Calibri" w:hAnsi="Calibri"/><w:sz w:val="22"/><w:lang w:val="en-GB"/></w:rPr></w:rPrDefault><w:pPrDefault><w:pPr><w:spacing w:after="160" w:line="259" w:lineRule="auto"/></w:pPr></w:pPrDefault></w:docDefaults>
    <w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/></w:style>
    <w:style w:type="character" w:default="1" w:styleId="DefaultParagraphFont"><w:name w:val="Default Paragraph Font"/></w:style>
    <w:style w:type="paragraph" w:styleId="BodyText"><w:name w:val="Body Text"/><w:basedOn w:val="Normal"/><w:pPr><w:spacing w:after="0" w:line="480" w:lineRule="auto"/><w:ind w:firstLine="720"/></w:pPr></w:style>
    <w:style w:type="paragraph" w:styleId="Heading1"><w:name w:val="heading 1"/><w:basedOn w:val="Normal"/><w:next w:val="BodyText"/><w:pPr><w:keepNext/><w:spacing w:before="480" w:after="120"/><w:outlineLvl w:val="0"/></w:pPr><w:rPr><w:b/><w:sz w:val="32"/></w:rPr></w:style>
    <w:style w:type="paragraph" w:styleId="Heading2"><w:name w:val="heading 2"/><w:basedOn w:val="Heading1"/><w:next w:val="BodyText"/><w:pPr><w:spacing w:before="240"/><w:outlineLvl w:val="1"/></w:pPr><w:rPr><w:sz w:val="26"/></w:rPr></w:style>
    <w:style w:type="character" w:styleId="Emphasis"><w:name w:val="Emphasis"/><w:rPr><w:i/></w:rPr></w:style>
  XML

  module_function

  def body(paragraphs: 2400, seed: 7)
    dice = Random.new(seed)
    (1..paragraphs).map do |n|
      if (n % 100) == 1
        next %(<w:p><w:pPr><w:pStyle w:val="Heading1"/></w:pPr><w:r><w:t>Chapter #{(n / 100) +
          1}</w:t></w:r></w:p>)
      end
      runs = (1..(2 + dice.rand(4))).map do
        text = Array.new(8 + dice.rand(8)) { WORDS[dice.rand(WORDS.size)] }.join(" ")
        %(<w:r>#{LOOKS[dice.rand(10)]}<w:t xml:space="preserve">#{text} </w:t></w:r>)
      end
      "<w:p>#{PARAGRAPHS[dice.rand(PARAGRAPHS.size + 4)] || PARAGRAPHS[0]}#{runs.join}</w:p>"
    end.join
  end

  def parts(**sizes)
    head = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n)
    rels = "http://schemas.openxmlformats.org/officeDocument/2006/relationships"
    type = "application/vnd.openxmlformats-officedocument.wordprocessingml."
    package = "http://schemas.openxmlformats.org/package/2006"
    override = ->(part, kind) { %(<Override PartName="/word/#{part}.xml" ContentType="#{type}#{kind}+xml"/>) }
    related = lambda do |kind, target|
      %(#{head}<Relationships xmlns="#{package}/relationships">) +
        %(<Relationship Id="rId1" Type="#{rels}/#{kind}" Target="#{target}"/></Relationships>)
    end
    {
      "[Content_Types].xml" => %(#{head}<Types xmlns="#{package}/content-types"><Default Extension="rels" ) +
        %(ContentType="application/vnd.openxmlformats-package.relationships+xml"/>) +
        override["document", "document.main"] + override["styles", "styles"] + "</Types>",
      "_rels/.rels" => related["officeDocument", "word/document.xml"],
      "word/_rels/document.xml.rels" => related["styles", "styles.xml"],
      "word/styles.xml" => %(#{head}<w:styles xmlns:w="#{W}">#{STYLES}</w:styles>),
      "word/document.xml" => %(#{head}<w:document xmlns:w="#{W}"><w:body>#{body(**sizes)}<w:sectPr>) +
        '<w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1440" w:right="1440" w:bottom="1440" w:left="2160" ' \
        'w:header="708" w:footer="708" w:gutter="0"/></w:sectPr></w:body></w:document>'
    }
  end

  def write(path, **sizes)
    Zip.write_zip64_support = false
    bytes = Zip::OutputStream.write_buffer do |zip|
      parts(**sizes).each do |name, text|
        zip.put_next_entry(Zip::Entry.new(nil, name, time: Zip::DOSTime.at(315_532_800))) && zip.write(text)
      end
    end
    File.binwrite(path, bytes.string)
    path
  end
end
