# frozen_string_literal: true

require "cgi"

# What hangs at an anchor, and the text around it. Line ends beside a box: Chromium's, which sets text beside floats
# (CSS 2.1 9.5); places on pages: arithmetic from ISO/IEC 29500-1 20.4.2 and ISO/IEC 26300-1 20.295, 20.387.
RSpec.describe "what hangs beside text" do
  include ChromiumLines

  before(:all) { Browser.boot }

  measure = 400
  prose = Demo::Prose.new(11).paragraph(120..120)
  texts = [prose[0, 330], prose[330, 200], prose[100, 400]].map(&:strip)

  def place(way, from, where)
    inside = where.is_a?(String) ? "<wp:align>#{where}</wp:align>" : "<wp:posOffset>#{where * 12_700}</wp:posOffset>"
    %(<wp:position#{way} relativeFrom="#{from}">#{inside}</wp:position#{way}>)
  end

  # An image of 100 by 95 points, 9 points from the text at its sides.
  def hung(wrap, across, down)
    %(<w:r><w:drawing><wp:anchor distL="114300" distR="114300" simplePos="0"><wp:simplePos x="0" y="0"/>) +
      place("H", *across) + place("V", *down) + %(<wp:extent cx="1270000" cy="1206500"/><wp:#{wrap}/>) +
      %(<wp:docPr id="1" name="Mill"/></wp:anchor></w:drawing></w:r>)
  end

  define_method(:set_around) do |image|
    lines = '<w:spacing w:after="400" w:line="400" w:lineRule="exact"/><w:jc w:val="left"/>'
    letters = '<w:rFonts w:ascii="Times New Roman" w:hAnsi="Times New Roman"/><w:sz w:val="24"/>'
    paragraphs = texts.each_with_index.map { |text, at| p("#{image if at.zero?}#{r(text, letters)}", lines) }
    docx(paragraphs.join + %(<w:sectPr><w:pgSz w:w="#{(measure * 20) + 2880}" w:h="16838"/><w:pgMar w:top="1440" ) +
      %(w:right="1440" w:bottom="1440" w:left="1440" w:header="0" w:footer="0" w:gutter="0"/></w:sectPr>))
  end

  def ends(document)
    Norvel::Layout.of(document).sheets.first.lines.group_by(&:block).map do |block, lines|
      lines.drop(1).map { |line| block.set_items.starts[block.lines[line.line].from] }
    end
  end

  def hanging(document)
    sheet = Norvel::Layout.of(document).sheets.first
    found = []
    sheet.bands.each { |x, y, column| Norvel::Layout::Placing.hanging(column, x, y) { |_, *at| found << at.first(2) } }
    found.map { |at| at.map { |one| one.round(2) } }
  end

  {"right" => ["right", "margin-left:9px"], "left" => [0, "margin-right:9px"]}.each do |side, (place, margin)|
    it "ends lines as Chromium does beside a box at the #{side}, in the paragraphs after it too" do
      document = set_around(hung("wrapSquare", ["column", place], ["paragraph", 0]))
      box = "float:#{side};width:100px;height:95px;#{margin}"
      theirs = chromium_ends(texts, face: "LiberationSerif-Regular.ttf", size: 12, measure:, beside: box)
      expect(ends(document)).to eq theirs
      expect(Norvel::Layout.of(document).estimates).to eq []
    end
  end

  it "takes no room where text is as if it were not there, and all of it where text goes on below" do
    plain = ends(set_around(""))
    over = set_around(hung("wrapNone", %w[page center], ["page", 50]))
    expect([ends(over), hanging(over)]).to eq [plain, [[((measure + 144) - 100) / 2.0, 50.0]]]
    apart = set_around(hung("wrapTopAndBottom", %w[column center], ["paragraph", 0]))
    expect([ends(apart), hanging(apart)]).to eq [plain, [[72.0 + ((measure - 100) / 2), 72.0]]]
    tops = [over, apart].map { |one| Norvel::Layout.of(one).sheets.first.lines.first.baseline }
    expect(tops[1] - tops[0]).to be_within(0.01).of(95)
  end

  it "is read from the styles of an .odt as well" do
    style = %(<style:style style:name="G" style:family="graphic"><style:graphic-properties style:wrap="parallel" ) +
      %(fo:margin-left="9pt" style:horizontal-pos="right" style:vertical-pos="from-top"/></style:style>)
    frame = ->(wrap) {
      %(<draw:frame draw:style-name="#{wrap}" text:anchor-type="char" svg:width="100pt" svg:height="95pt" ) +
        %(svg:y="0pt"><draw:image xlink:href="Pictures/a.png"/></draw:frame>)
    }
    through = style.sub('"G"', '"N"').sub("parallel", "run-through")
    widths = %w[G N].map do |name|
      made = OpenDocument.new("<text:p>#{frame[name]}#{texts[0]}</text:p>", automatic: style + through).document
      expect(Norvel::Layout.of(made).estimates).to eq []
      Norvel::Layout.of(made).sheets.first.lines.first(2).map { |line| line.block.lines[line.line].room.round }
    end
    room = ((21 - 5) / 2.54 * 72).round
    expect(widths).to eq [[room - 109] * 2, [room] * 2]
  end

  # A box is laid out before it is placed: the pages are those of its own section.
  it "centres a box on the sheet of its own section" do
    sheet = ->(width) {
      %(<w:sectPr><w:pgSz w:w="#{width * 20}" w:h="16838"/><w:pgMar w:top="1440" w:right="1440" w:bottom="1440" ) +
        %(w:left="1440" w:header="0" w:footer="0" w:gutter="0"/></w:sectPr>)
    }
    box = hung("wrapNone", %w[page center], ["page", 50]).sub("</wp:anchor>", "<a:graphic><a:graphicData><wps:wsp " \
      'xmlns:wps="http://schemas.microsoft.com/office/word/2010/wordprocessingShape"><wps:txbx><w:txbxContent>' \
      "#{p(r("In a box."))}</w:txbxContent></wps:txbx></wps:wsp></a:graphicData></a:graphic></wp:anchor>")
    document = docx(p(r("one"), sheet[400]) + p(box + r("two")) + sheet[800])
    found = []
    second = Norvel::Layout.of(document).sheets.last
    second.bands.each { |x, y, column| Norvel::Layout::Placing.hanging(column, x, y) { |_, left, *| found << left } }
    expect(found).to eq [350.0]
  end

  it "keeps its place in a saved document, and far off it on no page" do
    document = set_around(hung("wrapSquare", ["page", 10**9], ["paragraph", 0]))
    image = document.paragraphs[0].runs.flat_map(&:objects).first
    again = Norvel::Snapshot.load(Norvel::Snapshot.dump(document, document), document)
    expect(again.paragraphs[0].runs.flat_map(&:objects)).to include(image)
    expect(image.anchorage.across).to eq ["page", 14_400.0]
    expect(hanging(document).flatten).to all be_finite
  end
end
