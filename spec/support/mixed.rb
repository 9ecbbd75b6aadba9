# frozen_string_literal: true

# Documents mixed by chance from what files by many writers hold: styles based on each other and on none, with toggles
# and numbers, direct formatting of every kind, lists, tables with styles, code, verse, letters, words set apart in all
# ways.
class Mixed
  include Demo::Markup

  WORDS = %w[the harbour office keeps a book of tides and every keeper writes down what was seen at low water before the
    gate is
    opened for boats that come in from sea with timber salt and stone under the third lease of the mill].freeze
  LETTERS = ["<w:b/>", "<w:i/>", '<w:u w:val="single"/>', "<w:strike/>", '<w:highlight w:val="yellow"/>',
    "<w:smallCaps/>", "<w:caps/>",
    '<w:vertAlign w:val="superscript"/>', '<w:color w:val="C00000"/>', '<w:sz w:val="19"/>',
    '<w:rFonts w:ascii="Arial" w:hAnsi="Arial"/>',
    '<w:rStyle w:val="Strong"/>', '<w:spacing w:val="12"/>', '<w:lang w:val="de-DE"/>', '<w:kern w:val="28"/>',
    '<w:b w:val="0"/>'].freeze
  LINES = ['<w:jc w:val="center"/>', '<w:jc w:val="right"/>', '<w:jc w:val="both"/>', '<w:ind w:left="720"/>',
    '<w:ind w:firstLine="360"/>',
    '<w:ind w:left="720" w:hanging="720"/>', '<w:spacing w:before="240" w:after="60"/>',
    '<w:spacing w:line="360" w:lineRule="auto"/>',
    "<w:keepNext/>", '<w:shd w:val="clear" w:color="auto" w:fill="EEEEEE"/>', '<w:outlineLvl w:val="1"/>',
    "<w:pageBreakBefore/>",
    '<w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr>',
    '<w:numPr><w:ilvl w:val="1"/><w:numId w:val="2"/></w:numPr>',
    '<w:numPr><w:ilvl w:val="0"/><w:numId w:val="0"/></w:numPr>',
    '<w:pBdr><w:bottom w:val="single" w:sz="4" w:space="1" w:color="auto"/></w:pBdr>',
    '<w:tabs><w:tab w:val="left" w:pos="1440"/></w:tabs>'].freeze
  ORDER = %w[pStyle keepNext pageBreakBefore numPr pBdr shd tabs spacing ind jc outlineLvl].freeze

  def initialize(seed) = @dice = Random.new(seed)

  def document
    body = Array.new(20 + @dice.rand(30)) { block }.join
    archive = Norvel::Formats::Container.new(Demo::Package.new(body:, styles:).bytes)
    rels = archive.read("word/_rels/document.xml.rels").sub("</Relationships>",
      %(<Relationship Id="rId9" Type="#{Demo::Package::R}/numbering" Target="numbering.xml"/></Relationships>))
    lists = %(<w:numbering xmlns:w="#{Demo::Package::W}">#{numbering}</w:numbering>)
    bytes = Norvel::Formats::Archive.write(archive,
      {"word/_rels/document.xml.rels" => rels, "word/numbering.xml" => lists})
    Norvel::Formats.read(bytes, name: "mixed.docx")
  end

  private

  def pick(list) = list[@dice.rand(list.size)]

  def chance?(share) = @dice.rand < share

  def words(count) = Array.new(count) { pick(WORDS) }.join(" ").capitalize

  def sentence = "#{words(6 + @dice.rand(14))}#{pick([".", ".", ".", "?", ":"])}"

  def ppr(style = pick([nil, nil, nil, "BodyText", "BodyText", "Note", "Heading1", "Heading2", "Quotation",
    "ListPara"]))
    set = chance?(0.45) ? LINES.sample(1 + @dice.rand(3), random: @dice).uniq { |one| one[/\w+:\w+/] } : []
    set = set.sort_by { |one| ORDER.index(one[/<w:(\w+)/, 1]) || 20 }
    "#{"<w:pStyle w:val=\"#{style}\"/>" if style}#{set.join}"
  end

  def rpr(share = 0.3) = if chance?(share)
                           LETTERS.sample(1 + @dice.rand(2), random: @dice)
                             .sort_by { |one| one.include?("rStyle") ? 0 : 1 }.uniq { |one| one[/\w+:\w+/] }.join
                         else
                           ""
                         end

  def runs = Array.new(1 + @dice.rand(4)) { r("#{sentence} ", rpr) }.join

  def block
    case @dice.rand(15)
    when 0, 1 then p("", chance?(0.3) ? ppr(nil) : "") * (1 + @dice.rand(3))
    when 2 then p(r(words(2 + @dice.rand(5)), pick(["<w:b/>", '<w:b/><w:sz w:val="30"/>', '<w:sz w:val="28"/>', ""])),
      ppr(pick([nil, "Heading1", "Heading2", "Heading3"])))
    when 3 then p(r("\t#{sentence} #{sentence}"), ppr)
    when 4 then p(r("#{words(5)}  #{words(4)},\n#{words(6).downcase} #{sentence}"), ppr(nil))
    when 5 then Array.new(3) { |n| p(r("#{n + 1}. #{sentence}")) }.join
    when 6 then table([[words(1), words(1)], [words(2), "12"]], cell: pick(["", "<w:b/>", '<w:sz w:val="18"/>']))
    when 7 then Array.new(3) {
      p(r("  set(#{pick(WORDS)}, 1);",
        '<w:rFonts w:ascii="Courier New" w:hAnsi="Courier New"/>'))
    }.join
    when 8 then Array.new(4) { p(r("#{words(4)},")) }.join
    when 9 then p(r("Table #{@dice.rand(9)}. #{words(4)}", "<w:i/>"), chance?(0.5) ? '<w:jc w:val="center"/>' : "")
    else p(runs, ppr)
    end
  end

  def styles
    defaults("Calibri", 22) + style("Normal", "Normal", default: true, ppr: '<w:spacing w:after="120"/>') +
      style("BodyText", "Body Text", based_on: "Normal",
        ppr: pick(["", '<w:ind w:firstLine="360"/>', '<w:jc w:val="both"/>'])) +
      style("Note", "Note", based_on: "BodyText", rpr: "<w:i/>") + style("Quotation", pick(["Block Quote", "Zitat"]),
        based_on: "Normal", ppr: '<w:ind w:left="500"/>') +
      style("ListPara", "List Paragraph", based_on: "Normal", ppr: '<w:numPr><w:numId w:val="1"/></w:numPr>') +
      style("Heading1", "heading 1", based_on: "Normal",
        ppr: "<w:keepNext/>#{'<w:numPr><w:numId w:val="2"/></w:numPr>' if chance?(0.5)}<w:outlineLvl w:val=\"0\"/>",
        rpr: '<w:b/><w:color w:val="2F5496"/><w:sz w:val="32"/>') +
      style("Heading2", "heading 2", based_on: "Heading1", ppr: '<w:outlineLvl w:val="1"/>',
        rpr: '<w:sz w:val="26"/>') +
      style("Strong", "Strong", type: "character", rpr: "<w:b/>")
  end

  def numbering
    levels = ->(format, text) {
      (0..2)
        .map { |n|
          %(<w:lvl w:ilvl="#{n}"><w:start w:val="1"/><w:numFmt w:val="#{format}"/><w:lvlText w:val="#{text[n]}"/>) +
            %(<w:pPr><w:ind w:left="#{360 * (n + 1)}" w:hanging="360"/></w:pPr></w:lvl>)
        }.join
    }
    %(<w:abstractNum w:abstractNumId="0">#{levels["decimal",
      %w[%1) %2) %3)]]}</w:abstractNum><w:abstractNum w:abstractNumId="1">#{levels["decimal",
        %w[%1 %1.%2 %1.%2.%3]]}</w:abstractNum>) +
      '<w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num><w:num w:numId="2"><w:abstractNumId w:val="1"/></w:num>'
  end
end
