# frozen_string_literal: true

require "cgi"
require_relative "../support/hanging_by_chance"

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

  # An image, of 100 by 95 points unless told, 9 points from the text at its sides.
  def hung(wrap, across, down, width: 100, height: 95)
    %(<w:r><w:drawing><wp:anchor distL="114300" distR="114300" simplePos="0"><wp:simplePos x="0" y="0"/>) +
      place("H", *across) + place("V", *down) +
      %(<wp:extent cx="#{width * 12_700}" cy="#{height * 12_700}"/><wp:#{wrap}/>) +
      %(<wp:docPr id="1" name="Mill"/></wp:anchor></w:drawing></w:r>)
  end

  define_method(:set_around) do |image, at: 0|
    lines = '<w:spacing w:after="400" w:line="400" w:lineRule="exact"/><w:jc w:val="left"/>'
    letters = '<w:rFonts w:ascii="Times New Roman" w:hAnsi="Times New Roman"/><w:sz w:val="24"/>'
    paragraphs = texts.each_with_index.map { |text, place| p("#{image if place == at}#{r(text, letters)}", lines) }
    docx(paragraphs.join + %(<w:sectPr><w:pgSz w:w="#{(measure * 20) + 2880}" w:h="16838"/><w:pgMar w:top="1440" ) +
      %(w:right="1440" w:bottom="1440" w:left="1440" w:header="0" w:footer="0" w:gutter="0"/></w:sectPr>))
  end

  def ends(document)
    Norvel::Layout.of(document).sheets.first.lines.group_by(&:block).map do |block, lines|
      lines.drop(1).map { |line| block.set_items.starts[block.lines[line.line].from] }
    end
  end

  def baselines(document)
    Norvel::Layout.of(document).sheets.first.lines.first(8).map { |line| (line.baseline - 72).round(1) }
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

  # The same float, which lines stand beside from 60 points on: CSS Shapes 1, shape-outside.
  {"at the head of the text" => [%w[margin top], "float:right;width:100px;height:95px;margin-left:9px"],
   "in the midst of a paragraph" => [["margin", 60],
     "float:right;width:100px;height:155px;margin-left:9px;shape-outside:inset(60px 0 0 0) margin-box"],
   "at a place of the page" => [["page", 132],
     "float:right;width:100px;height:155px;margin-left:9px;shape-outside:inset(60px 0 0 0) margin-box"]}
    .each do |where, (down, box)|
      it "ends lines as Chromium does beside a box #{where}, wherever its own paragraph stands" do
        theirs = chromium_ends(texts, face: "LiberationSerif-Regular.ttf", size: 12, measure:, beside: box)
        (0..2).each do |at|
          document = set_around(hung("wrapSquare", %w[margin right], down), at:)
          expect([at, ends(document)]).to eq [at, theirs]
          expect(Norvel::Layout.of(document).estimates).to eq []
          expect(Norvel::Layout.of(document)).to be_settled
        end
      end
    end

  it "parts lines above it from those below it, at the head and in the midst, wherever its own paragraph stands" do
    lead = 20.0
    {%w[margin top] => 0, ["margin", 50] => 2}.each do |down, above|
      (0..2).each do |at|
        document = set_around(hung("wrapTopAndBottom", %w[margin center], down), at:)
        tops = baselines(document)
        plain = baselines(set_around(""))
        gap = (down.last == "top") ? 95 : 95 + 50 - (above * lead) # a line ends above the image, the next begins below
        expect([at, tops]).to eq [at, plain.each_with_index.map { |one, line| (line < above) ? one : one + gap }]
      end
    end
  end

  it "leaves room for it at the foot of its sheet, where the text ends above it" do
    image = hung("wrapTopAndBottom", %w[margin left], %w[margin bottom])
    pages = Norvel::Layout.of(docx(Array.new(30) { |at| p("#{image if at == 3}#{r(prose[0, 700])}") }.join))
    frames = pages.sheets.map { |sheet| [sheet.foot, sheet.reached] }
    expect(frames[0][0]).to be_within(0.01).of(frames[1][0] - 95)
    expect(frames.map { |bottom, reached| reached <= bottom + 0.01 }).to all be true
    expect([pages.estimates.grep(/hang/), pages.settled?]).to eq [[], true]
  end

  # What leaves no room for its own paragraph where it stands would send it to the next sheet, and back again.
  it "takes a paragraph to the next sheet where it leaves no room for it, and comes to rest" do
    tall = hung("wrapTopAndBottom", %w[margin left], %w[margin center], width: 300, height: 560)
    pages = Norvel::Layout.of(docx(Array.new(12) { |at| p("#{tall if at == 6}#{r(prose[0, 700])}") }.join))
    expect(pages).to be_settled
    own = pages.sheet_of(7)
    expect(own.paragraphs.first.id).to eq 7
    expect(own.lines.map(&:top).min).to be >= own.frame.top
  end

  it "says where tables do not give way to it" do
    cell = "<w:tbl><w:tr><w:tc>#{p(r(prose[0, 700]))}</w:tc></w:tr></w:tbl>"
    image = hung("wrapSquare", %w[margin right], ["margin", 60])
    pages = Norvel::Layout.of(docx(p("#{image}#{r("Over it.")}") + cell + p(r("Under it."))))
    said = "One picture or box hangs at a place of the page: some lines or tables there do not give way, so where " \
      "they end is an estimate."
    expect(pages.estimates.grep(/hang/)).to eq [said]
  end

  # Objects by chance at places of pages, in one column and in two.
  it "crosses no line of the text, and no way leads to other pages (property)" do
    found = SomeOf.seeds(1..30).map do |seed|
      document = HangingByChance.new(seed).document
      pages = Norvel::Layout.of(document)
      changed = Norvel::Edits::Retype.new(4, "#{document.paragraph(4).raw_text} and a word more").apply(document).after
      same = [Norvel::Layout.of(changed, known: pages), Norvel::Layout.of(changed.with)].map do |one|
        one.sheets.map { |sheet| sheet.lines.map { |line| [line.text, line.left.round(2), line.baseline.round(2)] } }
      end
      [(HangingByChance.crossed(pages) if pages.estimates.empty?), same.uniq.size, pages.estimates.empty?]
    end
    crossed, ways, sure = found.transpose
    expect([crossed.compact.flatten, ways.uniq]).to eq [[], [1]]
    expect(sure.count(false)).to be <= 2
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
