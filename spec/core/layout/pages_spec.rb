# frozen_string_literal: true

# Lines on pages.
RSpec.describe Norvel::Layout::Pages do
  def exact = '<w:spacing w:before="0" w:after="0" w:line="400" w:lineRule="exact"/>'

  # A sheet that holds +lines+ lines of 20 points.
  def section(lines: 10, more: "", width: 400, type: nil, header: 0, footer: 0)
    start = %(<w:type w:val="#{type}"/>) if type
    %(<w:sectPr>#{more[/<w:(?:header|footer)Reference.*?\/>/m]}#{start}<w:pgSz w:w="#{width * 20}" ) +
      %(w:h="#{lines * 400}"/><w:pgMar w:top="0" w:bottom="0" w:left="0" w:right="0" w:header="#{header}" ) +
      %(w:footer="#{footer}" w:gutter="0"/>#{more.gsub(/<w:(?:header|footer)Reference.*?\/>/m, "")}</w:sectPr>)
  end

  # A paragraph of so many lines.
  def lines(count, properties = "", text: "word")
    p("<w:r>#{Array.new(count) { "<w:t>#{text}</w:t>" }.join("<w:br/>")}</w:r>", exact + properties)
  end

  def ending(section) = p("", "#{exact}#{section}")

  def laid(body, last = section, **parts) = Norvel::Layout.of(docx(body + last, **parts))

  def told(pages) = pages.sheets.map { |sheet| [sheet.label, sheet.ended_by, sheet.lines.size] }

  it "ends a full page, and the last" do
    expect(told(laid(lines(1) * 25))).to eq [["1", :full, 10], ["2", :full, 10], ["3", :end, 5]]
  end

  it "says which paragraph asked for a page's end" do
    pages = laid(lines(3) + lines(2, "<w:pageBreakBefore/>") +
      p('<w:r><w:t>a</w:t><w:br w:type="page"/><w:t>b</w:t></w:r>', exact))
    expect(told(pages)).to eq [["1", :page_break_before, 3], ["2", :page_break, 3], ["3", :end, 1]]
    expect(pages.sheets.map { |sheet| sheet.asker&.paragraph&.id }).to eq [2, 3, nil]
  end

  it "keeps a paragraph's mark on the page that a break at its end closes" do
    pages = laid(lines(1) + p('<w:r><w:br w:type="page"/></w:r>', exact) + lines(1))
    expect(told(pages)).to eq [["1", :page_break, 2], ["2", :end, 1]]
  end

  describe "what keeps together" do
    it "goes to the next page whole" do
      expect(told(laid(lines(8) + lines(4, "<w:keepLines/>")))).to eq [["1", :keep_together, 8], ["2", :end, 4]]
    end

    it "takes headings along, chains of them too" do
      heading = "<w:keepNext/>"
      pages = laid(lines(7) + lines(1, heading) + lines(1, heading) + lines(3))
      expect(told(pages)).to eq [["1", :keep_with_next, 7], ["2", :end, 5]]
      expect(pages.sheets[0].asker.paragraph.id).to eq 2
    end

    it "leaves the first lines of a long paragraph that keeps with the next" do
      expect(told(laid(lines(2) + lines(7, "<w:keepNext/>") + lines(3))))
        .to eq [["1", :keep_with_next, 7], ["2", :end, 5]]
    end

    it "gives way where a chain is longer than a page" do
      pages = laid(lines(1, "<w:keepNext/>") * 25)
      expect(pages.sheets.map { |sheet| sheet.lines.size }).to eq [10, 10, 5]
      expect(told(laid(lines(14, "<w:keepLines/>")))).to eq [["1", :full, 10], ["2", :end, 4]]
    end

    it "leaves no line alone unless the paragraph allows it" do
      expect(told(laid(lines(9) + lines(4)))).to eq [["1", :widow_control, 9], ["2", :end, 4]]
      expect(told(laid(lines(7) + lines(4)))).to eq [["1", :widow_control, 9], ["2", :end, 2]]
      expect(told(laid(lines(7) + lines(4, '<w:widowControl w:val="0"/>')))).to eq [["1", :full, 10], ["2", :end, 1]]
    end
  end

  it "drops space before where a page begins by itself, and keeps it after a break" do
    spaced = exact.sub('before="0"', 'before="400"')
    top = ->(body) { laid(body).sheets.last.lines.first.top }
    expect(top[lines(10) + p(r("next"), spaced)]).to eq 0.0
    expect(top[p('<w:r><w:br w:type="page"/></w:r>', exact) + p(r("next"), spaced)]).to eq 20.0
    expect(top[lines(1) + p(r("next"), "<w:pageBreakBefore/>#{spaced}")]).to eq 20.0
  end

  # Source: 29500-1 17.6.22 ST_SectionMark, 17.6.12; published-values 4.3.
  describe "sections" do
    it "count anew, in their own figures" do
      front = section(more: '<w:pgNumType w:fmt="lowerRoman"/>')
      pages = laid(lines(19) + ending(front) + lines(22), section(more: '<w:pgNumType w:fmt="decimal" w:start="1"/>'))
      expect(pages.sheets.map(&:label)).to eq %w[i ii 1 2 3]
      expect(pages.sheets.map(&:ended_by)).to eq %i[full section_break full full end]
    end

    it "leave a page blank to begin on their side; it is counted" do
      pages = laid(lines(10) * 2 + lines(4) + ending(section) + lines(1), section(type: "oddPage"))
      expect(pages.sheets.map { |sheet| [sheet.label, sheet.blank, sheet.side] })
        .to eq [["1", false, "right"], ["2", false, "left"], ["3", false, "right"], ["4", true, "left"],
          ["5", false, "right"]]
      even = laid(lines(9) + ending(section) + lines(1), section(type: "evenPage"))
      expect(even.sheets.map { |sheet| [sheet.label, sheet.blank] }).to eq [["1", false], ["2", false]]
    end

    it "go on with the same sheet where they are continuous, with another size on the next" do
      expect(told(laid(lines(3) + ending(section) + lines(4), section(type: "continuous")))).to eq [["1", :end, 8]]
      expect(laid(lines(3) + ending(section) + lines(4), section(type: "continuous", width: 600)).sheets.size).to eq 2
    end

    it "fill columns one after the other, even where the next section begins under them" do
      two = '<w:cols w:num="2" w:space="400"/>'
      pages = laid(lines(1) * 25, section(more: two))
      expect(pages.sheets.map { |sheet| sheet.bands.map { |x, _, column| [x, column.pieces.size] } })
        .to eq [[[0.0, 10], [210.0, 10]], [[0.0, 5]]]
      evened = laid(lines(1) * 7 + ending(section(more: two)) + lines(1), section(type: "continuous"))
      expect(evened.sheets.map { |sheet| sheet.bands.map { |x, y, column| [x, y, column.pieces.size] } })
        .to eq [[[0.0, 0.0, 4], [210.0, 0.0, 4], [0.0, 80.0, 1]]]
    end

    it "swap inside and outside margins on left pages where they are mirrored" do
      document = docx(lines(15) + section.sub('w:left="0"', 'w:left="1000"'))
      pages = Norvel::Layout.of(document.with(settings: document.settings.with(mirrored: true)))
      expect(pages.sheets.map { |sheet| sheet.frame.left }).to eq [50.0, 0.0]
    end
  end

  describe "tables" do
    def row(count, properties = "",
      text: "cell") = %(<w:tr>#{"<w:trPr>#{properties}</w:trPr>" unless properties
      .empty?}<w:tc><w:tcPr><w:tcW w:w="4000" w:type="dxa"/></w:tcPr>#{lines(count,
        text:)}</w:tc><w:tc><w:tcPr><w:tcW w:w="4000" w:type="dxa"/></w:tcPr>#{lines(1)}</w:tc></w:tr>)

    def table(*rows) = %(<w:tbl><w:tblPr><w:tblW w:w="8000" w:type="dxa"/></w:tblPr><w:tblGrid><w:gridCol ) +
      %(w:w="4000"/><w:gridCol w:w="4000"/></w:tblGrid>#{rows.join}</w:tbl>)

    def texts(pages) = pages.sheets.map { |sheet| sheet.lines.map(&:text) - ["word"] }

    it "end between rows, and repeat their head" do
      pages = laid(table(row(1, "<w:tblHeader/>", text: "head"), *Array.new(12) { row(1) }) + lines(1))
      expect(texts(pages)).to eq [["head"] + (["cell"] * 9), ["head"] + (["cell"] * 3)]
    end

    it "divide a row that may be, and no other" do
      free = laid(lines(7) + table(row(6)) + lines(1))
      expect(texts(free).map(&:size)).to eq [3, 3]
      whole = laid(lines(7) + table(row(6, "<w:cantSplit/>")) + lines(1))
      expect(texts(whole).map(&:size)).to eq [0, 6]
    end

    it "end in bounded time where a cell is taller than a page" do
      pages = laid(table(row(35, "<w:cantSplit/>")) + lines(1))
      expect(texts(pages).map(&:size)).to eq [10, 10, 10, 5]
      expect(laid(table(row(3, '<w:trHeight w:val="90000" w:hRule="exact"/>')) + lines(1)).sheets.size).to be <= 3
    end

    it "stand in the columns of their grid" do
      cells = laid(table(row(1)) + lines(1)).sheets[0].lines.first(2)
      expect(cells.map { |line| line.left.round(1) }).to eq [5.4, 205.4]
    end

    it "are set without their grid where they are nested too deep" do
      nested = (1..40).inject(lines(1)) { |inner, _| table(%(<w:tr><w:tc>#{inner}#{lines(1)}</w:tc></w:tr>)) }
      expect(laid(nested + lines(1)).sheets.sum { |sheet| sheet.lines.size }).to be >= 41
    end
  end

  describe "notes" do
    def note(id) = %(<w:r><w:footnoteReference w:id="#{id}"/></w:r>)

    def notes(*texts) = texts.each.with_index(1)
      .map { |text, id|
      %(<w:footnote w:id="#{id}">#{p(%(<w:r><w:footnoteRef/></w:r>#{r(" #{text}")}),
        exact)}</w:footnote>)
    }.join

    it "stand at the foot of the page where they are called, numbered in order" do
      pages = laid(p(r("one") + note(1), exact) + lines(12) + p(r("two") + note(2), exact),
        footnotes: notes("first", "second"))
      expect(pages.sheets.map { |sheet| sheet.note_lines.map(&:text) }).to eq [["1 first"], ["2 second"]]
      expect(pages.sheets[0].lines.first.text).to eq "one1"
      expect(pages.sheets[0].lines.size).to be < 10
    end

    # ISO/IEC 29500-1 17.11.19 eachPage; ISO/IEC 26300-1 19.867 text:start-numbering-at.
    it "are numbered anew on each page where that is asked for, also when they come to stand on another" do
      each = section.sub("</w:sectPr>", '<w:footnotePr><w:numRestart w:val="eachPage"/></w:footnotePr></w:sectPr>')
      body = p(r("one") + note(1), exact) + p(r("two") + note(2), exact) + lines(12) + p(r("three") + note(3), exact)
      told = ->(pages) { pages.sheets.map { |sheet| sheet.note_lines.map(&:text) } }
      document = docx(body + each, footnotes: notes("first", "second", "third"))
      pages = Norvel::Layout.of(document)
      expect([told[pages], pages.estimates]).to eq [[["1 first", "2 second"], ["1 third"]], []]
      few = document.without([document.paragraphs[2].id])
      expect(told[Norvel::Layout.of(few, known: pages)]).to eq [["1 first", "2 second", "3 third"]]
    end

    it "push their line to the next page where there is no room for both" do
      pages = laid((lines(1) * 9) + p(r("called") + note(1), exact) + lines(1), footnotes: notes("below"))
      expect(pages.sheets.map { |sheet| [sheet.lines.last.text, sheet.note_lines.size] })
        .to eq [["word", 0], ["word", 1]]
    end

    it "are divided where they must be, and go on at the next foot" do
      long = %(<w:footnote w:id="1">#{lines(14, text: "note")}</w:footnote>)
      pages = laid(p(r("called") + note(1), exact) + lines(3), footnotes: long)
      expect(pages.sheets.flat_map { |sheet| sheet.note_lines.map(&:text) }.size).to eq 14
      expect(pages.sheets.size).to eq 2
    end
  end

  it "numbers a note that has no sign of its own, and raises its mark, in an .odt" do
    pages = Norvel::Layout.of(Norvel::Formats.read(Demo::Minutes.new.bytes, name: "m.odt"))
    expect(pages.sheets[0].note_lines.map(&:text)).to eq ["1 As the survey of 2019 foretold."]
    mark = pages.sheets[0].lines.flat_map(&:spans).find { |span| span.text == "1" && span.letters.rise.positive? }
    expect(mark).not_to be_nil
  end

  describe "heads and feet" do
    let(:page_field) do
      p(%(<w:r><w:t xml:space="preserve">page </w:t></w:r><w:fldSimple w:instr=" PAGE "><w:r><w:t>9</w:t></w:r>) +
        %(</w:fldSimple>), exact)
    end

    def heads(pages) = pages.sheets.map do |sheet|
      pages.heads(sheet).flat_map do |_, x, y, column|
        [].tap { |found| Norvel::Layout::Placing.column(column, x, y) { |line| found << line.text } }
      end
    end

    it "say the label of their own page" do
      pages = laid(lines(25), section(more: '<w:footerReference w:type="default" r:id="rId3"/><w:pgNumType ' \
        'w:fmt="upperRoman" w:start="4"/>'), footer: page_field)
      2.times { expect(heads(pages)).to eq [["page IV"], ["page V"], ["page VI"]] }
    end

    it "push the text where they are higher than the margin" do
      tall = page_field * 3
      pages = laid(lines(25), section(more: '<w:footerReference w:type="default" r:id="rId3"/>'), footer: tall)
      expect(pages.sheets[0].lines.size).to eq 7
    end
  end

  it "fills in page fields in the text, round after round until they rest" do
    field = '<w:fldSimple w:instr=" NUMPAGES "><w:r><w:t>1</w:t></w:r></w:fldSimple>'
    pages = laid(p(r("of ") + field, exact) + lines(25))
    expect(pages.sheets[0].lines.first.text).to eq "of 3"
    expect(pages).to be_settled
    expect(pages.rounds).to eq 2
  end

  it "lists headings with the labels of their pages" do
    styles = %(<w:style w:type="paragraph" w:styleId="H1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl w:val="0"/>) +
      %(</w:pPr></w:style>)
    heading = ->(text) { p(r(text), %(<w:pStyle w:val="H1"/>#{exact})) }
    pages = laid(heading["One"] + lines(12) + heading["Two"], styles:)
    expect(pages.contents.map { |entry| [entry.level, entry.text, entry.label, entry.index] })
      .to eq [[1, "One", "1", 1], [1, "Two", "2", 3]]
  end

  describe "a document that defeats it" do
    it "ends with a sentence where it would take more pages than anybody prints" do
      stub_const("Norvel::Layout::Pages::MOST", 20)
      expect { laid(lines(1) * 300) }.to raise_error(Norvel::Layout::Defeated, /more than 20 pages/)
    end

    it "ends with text of no width, no height, and of absurd sizes" do
      ['w:left="9000" w:right="9000"', 'w:left="0" w:right="0" w:top="30000"', 'w:left="-900000" w:right="900000"']
        .each do |margins|
        broken = section.sub('w:top="0" w:bottom="0" w:left="0" w:right="0"',
          "w:bottom=\"0\" #{margins}#{' w:top="0"' unless margins.include?("w:top")}")
        expect(laid(p(r("a few words of text")) * 3, broken).sheets.size).to be_between(1, 200)
      end
      expect(laid(p(r("huge", '<w:sz w:val="3200"/>')) * 3).sheets.size).to be_between(1, 20)
      expect(laid("").sheets.size).to eq 1
    end
  end
end
