# frozen_string_literal: true

require "cgi"
require "open3"

# Page ends against Chromium's print, and against arithmetic where the standards alone say where pages end.
RSpec.describe "pages held against the outside" do
  include ChromiumLines

  before(:all) { Browser.boot }

  def measure = 400

  def room = 600

  def lead = 20

  # Paragraphs with a heading now and then: [[text, heading?], …]
  def story(seed, count)
    prose = Demo::Prose.new(seed)
    Array.new(count) do |n|
      (n % 9 == 4) ? ["#{n} #{prose.paragraph(1..1)[0, 30]}", true] : ["#{n} #{prose.paragraph(1..5)}", false]
    end
  end

  def made(story, after:)
    body = story.map do |text, heading|
      properties = %(#{"<w:keepNext/>" if heading}<w:spacing w:before="0" w:after="#{after * 20}" ) +
        %(w:line="#{lead * 20}" w:lineRule="exact"/>)
      p(r(text, '<w:rFonts w:ascii="Times New Roman" w:hAnsi="Times New Roman"/><w:sz w:val="24"/>'), properties)
    end.join
    docx(%(#{body}<w:sectPr><w:pgSz w:w="#{measure * 20}" w:h="#{room * 20}"/><w:pgMar w:top="0" w:bottom="0" ) +
      %(w:left="0" w:right="0" w:header="0" w:footer="0" w:gutter="0"/></w:sectPr>))
  end

  # How many lines stand on each page of Chromium's print of it.
  def printed(story, after:)
    rows = story.map { |text, heading| "<p#{' class="h"' if heading}>#{CGI.escapeHTML(text)}</p>" }.join
    folder = Dir.mktmpdir
    File.write("#{folder}/p.html", <<~HTML)
      <meta charset="utf-8"><style>@font-face{font-family:F;src:url("file://#{ChromiumLines::FONTS}/LiberationSerif-Regular.ttf")}
      @page{size:#{measure}px #{room}px;margin:0}html,body{margin:0;orphans:2;widows:2}
      p{font:12px/#{lead}px F;#{ChromiumLines::PLAIN};margin:0 0 #{after}px}.h{break-after:avoid}</style><body>#{rows}
    HTML
    session = Capybara.current_session
    session.visit "file://#{folder}/p.html"
    session.evaluate_async_script("document.fonts.ready.then(arguments[0])")
    pdf = session.driver.browser.execute_cdp("Page.printToPDF", preferCSSPageSize: true, printBackground: false)["data"]
    File.binwrite("#{folder}/p.pdf", pdf.unpack1("m"))
    out, = Open3.capture2("pdftotext", "-layout", "#{folder}/p.pdf", "-")
    out.split("\f").map { |page| page.lines.count { |line| !line.strip.empty? } }
  end

  # [[block, line], …] of every line of a flow, in order.
  def places(flow)
    flow.blocks.each_with_index.flat_map { |block, number| (0...block.count).map { |line| [number, line] } }
  end

  # Does a page that begins here leave a line of a paragraph alone, before or after?
  def lone?(flow, place)
    block, line = place
    line.positive? && (line == 1 || line == flow.blocks[block].count - 1) && flow.blocks[block].count > 1
  end

  # Source: Chromium's print to PDF with orphans and widows 2; text by poppler's pdftotext. Its page ends are those of
  # the same start, since one that differs would move all that follow. Places where it lets a line stand alone are left
  # out: 29500-1 17.3.1.44 does not.
  [0, 10].each do |after|
    it "ends the next page where Chromium's print does (#{after} points between paragraphs)" do
      story = story(23 + after, 420)
      document = made(story, after:)
      flow = Norvel::Layout.of(document).stories.body
      starts = printed(story, after:).inject([0]) { |sums, lines| sums << (sums.last + lines) }
      lines = places(flow)
      expect(starts.last).to eq lines.size
      pairs = starts.each_cons(2).map { |start, ending| [lines[start], lines[ending]] }.reject do |_, ending|
        ending && lone?(flow, ending)
      end
      same = pairs.count do |(block, line), ending|
        column = Norvel::Layout::Column.new(flow, Norvel::Layout::Column::Place.new(block, line), room.to_f).fill
        (column.next ? [column.next.block, column.next.part] : nil) == ending
      end
      puts "\n  page ends as in " \
        "Chromium's print, #{after} pt apart: #{same} of #{pairs.size} (#{starts.size - 1} pages)"
      expect(same.fdiv(pairs.size)).to be >= 0.99
    end
  end

  # Source: arithmetic on 29500-1 17.3.1.33 (exact lines) and published-values 3.3: 648 pt of letter paper hold 27 lines
  # of 24 pt, 697.89 pt of A4 hold 29.
  {[12_240, 15_840] => 27, [11_906, 16_838] => 29}.each do |(width, height), lines|
    it "stands #{lines} single lines of exactly 24 points on a page of #{width} × #{height} twips" do
      body = (1..100).map { |n|
        p(r("line #{n}"),
          '<w:spacing w:before="0" w:after="0" w:line="480" w:lineRule="exact"/>')
      }.join
      document = docx(%(#{body}<w:sectPr><w:pgSz w:w="#{width}" w:h="#{height}"/><w:pgMar w:top="1440" ) +
        %(w:bottom="1440" w:left="1440" w:right="1440" w:header="720" w:footer="720" w:gutter="0"/></w:sectPr>))
      counts = Norvel::Layout.of(document).sheets.map { |sheet| sheet.lines.size }
      expect(counts).to eq [lines] * (100 / lines) + [100 % lines]
    end
  end

  # Source: the line ratios of the fonts (hhea, published-values 3.3): so many lines stand on letter paper in 1 in
  # margins.
  {["Times New Roman", 24, 240] => 46, ["Times New Roman", 24, 360] => 31, ["Times New Roman", 24, 480] => 23,
   ["Calibri", 22, 240] => 48, ["Calibri", 22, 360] => 32,
   ["Calibri", 22, 480] => 24}.each do |(font, size, line), lines|
    it "stands #{lines} lines of #{font} #{size / 2} pt at #{line / 240.0} on a page" do
      properties = %(<w:spacing w:before="0" w:after="0" w:line="#{line}" w:lineRule="auto"/>)
      body = (1..60).map { |n|
        p(r("line #{n}",
          %(<w:rFonts w:ascii="#{font}" w:hAnsi="#{font}"/><w:sz w:val="#{size}"/>)), properties)
      }.join
      document = docx(%(#{body}<w:sectPr><w:pgSz w:w="12240" w:h="15840"/><w:pgMar w:top="1440" w:bottom="1440" ) +
        %(w:left="1440" w:right="1440" w:header="720" w:footer="720" w:gutter="0"/></w:sectPr>))
      expect(Norvel::Layout.of(document).sheets.first.lines.size).to eq lines
    end
  end

  # Source: CSS 2.1 13.3.2 with orphans and widows 2; published-values 5.2, the table of lines left on the page.
  {2 => [0, 2, 2, 2, 2, 2], 3 => [0, 0, 3, 3, 3, 3], 4 => [0, 2, 2, 4, 4, 4], 5 => [0, 2, 3, 3, 5, 5],
   6 => [0, 2, 3, 4, 4, 6]}.each do |lines, left|
    it "leaves of a paragraph of #{lines} lines #{left.join(", ")} in room for 1 to 6" do
      words = Array.new(lines) { "abcdefghijklm" }.join(" ")
      spacing = '<w:spacing w:before="0" w:after="0" w:line="400" w:lineRule="exact"/>'
      document = docx(p(r("one line"), spacing) + p(r(words, '<w:sz w:val="24"/>'),
        "#{spacing}<w:ind w:left=\"7000\"/>"))
      flow = Norvel::Layout.of(document).stories.body
      expect(flow.blocks[1].count).to eq lines
      found = (1..6).map do |room|
        Norvel::Layout::Column.new(flow, Norvel::Layout::Column::Place.new(0, 0), (room + 1) * 20.0).fill.pieces.drop(1)
          .sum { |piece| piece.to - piece.from }
      end
      expect(found).to eq left
    end
  end
end
