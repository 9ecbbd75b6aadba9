# frozen_string_literal: true

# Lines on pages.
RSpec.describe Norvel::Layout::Pages do
  include Values

  def exact = {space_before: 0.0, space_after: 0.0, line_spacing: {rule: "exact", value: 20.0}}

  # A sheet that holds +lines+ lines of 20 points.
  def sheet(lines: 10, **more)
    {width: 400.0, height: lines * 20.0, margin_top: 0.0, margin_bottom: 0.0, margin_left: 0.0, margin_right: 0.0,
     header: 0.0, footer: 0.0, **more}
  end

  # A paragraph of so many lines.
  def lines(count, text: "word", **direct) = p(r(([text] * count).join("\n")), **exact, **direct)

  def cut(**more) = ending(page: sheet(**more), **exact)

  def laid(body, last = sheet, **parts) = Norvel::Layout.of(made(body, page: last, **parts))

  def told(pages) = pages.sheets.map { |sheet| [sheet.label, sheet.ended_by, sheet.lines.size] }

  it "ends a full page, and the last" do
    expect(told(laid(lines(1) * 25))).to eq [["1", :full, 10], ["2", :full, 10], ["3", :end, 5]]
  end

  it "says which paragraph asked for a page's end" do
    pages = laid(lines(3) + lines(2, page_break_before: true) +
      p("a\fb", **exact))
    expect(told(pages)).to eq [["1", :page_break_before, 3], ["2", :page_break, 3], ["3", :end, 1]]
    expect(pages.sheets.map { |sheet| sheet.asker&.paragraph&.id }).to eq [2, 3, nil]
  end

  it "keeps a paragraph's mark on the page that a break at its end closes" do
    pages = laid(lines(1) + p("\f", **exact) + lines(1))
    expect(told(pages)).to eq [["1", :page_break, 2], ["2", :end, 1]]
  end

  describe "what keeps together" do
    it "goes to the next page whole" do
      expect(told(laid(lines(8) + lines(4, keep_together: true)))).to eq [["1", :keep_together, 8], ["2", :end, 4]]
    end

    it "takes headings along, chains of them too" do
      heading = lines(1, keep_with_next: true)
      pages = laid(lines(7) + heading + heading + lines(3))
      expect(told(pages)).to eq [["1", :keep_with_next, 7], ["2", :end, 5]]
      expect(pages.sheets[0].asker.paragraph.id).to eq 2
    end

    it "leaves the first lines of a long paragraph that keeps with the next" do
      expect(told(laid(lines(2) + lines(7, keep_with_next: true) + lines(3))))
        .to eq [["1", :keep_with_next, 7], ["2", :end, 5]]
    end

    it "gives way where a chain is longer than a page" do
      pages = laid(lines(1, keep_with_next: true) * 25)
      expect(pages.sheets.map { |sheet| sheet.lines.size }).to eq [10, 10, 5]
      expect(told(laid(lines(14, keep_together: true)))).to eq [["1", :full, 10], ["2", :end, 4]]
    end

    it "leaves no line alone unless the paragraph allows it" do
      expect(told(laid(lines(9) + lines(4)))).to eq [["1", :widow_control, 9], ["2", :end, 4]]
      expect(told(laid(lines(7) + lines(4)))).to eq [["1", :widow_control, 9], ["2", :end, 2]]
      expect(told(laid(lines(7) + lines(4, widow_control: false)))).to eq [["1", :full, 10], ["2", :end, 1]]
    end
  end

  it "drops space before where a page begins by itself, and keeps it after a break" do
    spaced = {**exact, space_before: 20.0}
    top = ->(body) { laid(body).sheets.last.lines.first.top }
    expect(top[lines(10) + p("next", **spaced)]).to eq 0.0
    expect(top[p("\f", **exact) + p("next", **spaced)]).to eq 20.0
    expect(top[lines(1) + p("next", page_break_before: true, **spaced)]).to eq 20.0
  end

  # Source: 29500-1 17.6.22 ST_SectionMark, 17.6.12; published-values 4.3.
  describe "sections" do
    it "count anew, in their own figures" do
      pages = laid(lines(19) + cut(number_format: "lower_roman") + lines(22), sheet(number_start: 1))
      expect(pages.sheets.map(&:label)).to eq %w[i ii 1 2 3]
      expect(pages.sheets.map(&:ended_by)).to eq %i[full section_break full full end]
    end

    it "leave a page blank to begin on their side; it is counted" do
      pages = laid(lines(10) * 2 + lines(4) + cut + lines(1), sheet(starts: "odd_page"))
      expect(pages.sheets.map { |sheet| [sheet.label, sheet.blank, sheet.side] })
        .to eq [["1", false, "right"], ["2", false, "left"], ["3", false, "right"], ["4", true, "left"],
          ["5", false, "right"]]
      even = laid(lines(9) + cut + lines(1), sheet(starts: "even_page"))
      expect(even.sheets.map { |sheet| [sheet.label, sheet.blank] }).to eq [["1", false], ["2", false]]
    end

    it "go on with the same sheet where they are continuous, with another size on the next" do
      expect(told(laid(lines(3) + cut + lines(4), sheet(starts: "continuous")))).to eq [["1", :end, 8]]
      expect(laid(lines(3) + cut + lines(4), sheet(starts: "continuous", width: 600.0)).sheets.size).to eq 2
    end

    it "fill columns one after the other, even where the next section begins under them" do
      two = {columns: 2, column_gap: 20.0}
      pages = laid(lines(1) * 25, sheet(**two))
      expect(pages.sheets.map { |sheet| sheet.bands.map { |x, _, column| [x, column.pieces.size] } })
        .to eq [[[0.0, 10], [210.0, 10]], [[0.0, 5]]]
      evened = laid(lines(1) * 7 + cut(**two) + lines(1), sheet(starts: "continuous"))
      expect(evened.sheets.map { |sheet| sheet.bands.map { |x, y, column| [x, y, column.pieces.size] } })
        .to eq [[[0.0, 0.0, 4], [210.0, 0.0, 4], [0.0, 80.0, 1]]]
    end

    it "swap inside and outside margins on left pages where they are mirrored" do
      pages = laid(lines(15), sheet(margin_left: 50.0), settings: Norvel::Document::Settings.new(mirrored: true))
      expect(pages.sheets.map { |sheet| sheet.frame.left }).to eq [50.0, 0.0]
    end
  end

  describe "tables" do
    def two(count, text: "cell", **more) = row([lines(count, text:), lines(1)], **more)

    def table(*rows) = super(rows, wide: 200.0)

    def texts(pages) = pages.sheets.map { |sheet| sheet.lines.map(&:text) - ["word"] }

    it "end between rows, and repeat their head" do
      pages = laid(table(two(1, header: true, text: "head"), *Array.new(12) { two(1) }) + lines(1))
      expect(texts(pages)).to eq [["head"] + (["cell"] * 9), ["head"] + (["cell"] * 3)]
    end

    it "divide a row that may be, and no other" do
      free = laid(lines(7) + table(two(6)) + lines(1))
      expect(texts(free).map(&:size)).to eq [3, 3]
      whole = laid(lines(7) + table(two(6, may_split: false)) + lines(1))
      expect(texts(whole).map(&:size)).to eq [0, 6]
    end

    it "end in bounded time where a cell is taller than a page" do
      pages = laid(table(two(35, may_split: false)) + lines(1))
      expect(texts(pages).map(&:size)).to eq [10, 10, 10, 5]
      expect(laid(table(two(3, height: 4500.0, height_rule: "exact")) + lines(1)).sheets.size).to be <= 3
    end

    it "stand in the columns of their grid" do
      cells = laid(table(two(1)) + lines(1)).sheets[0].lines.first(2)
      expect(cells.map { |line| line.left.round(1) }).to eq [5.4, 205.4]
    end

    it "are set without their grid where they are nested too deep" do
      plain = Demo::Markup.p(Demo::Markup.r("word"))
      nested = (1..40).inject(plain) { |inner, _| "<w:tbl><w:tr><w:tc>#{inner}#{plain}</w:tc></w:tr></w:tbl>" }
      expect(Norvel::Layout.of(docx(nested + plain)).sheets.sum { |sheet| sheet.lines.size }).to be >= 41
    end
  end

  describe "notes" do
    def notes(*texts)
      texts.each.with_index(1).flat_map do |text, id|
        footnote(id, "").map { |one| one.with(paragraphs: p(note(nil) + r(" #{text}"), **exact)) }
      end
    end

    it "stand at the foot of the page where they are called, numbered in order" do
      pages = laid(p(r("one") + note(1), **exact) + lines(12) + p(r("two") + note(2), **exact),
        footnotes: notes("first", "second"))
      expect(pages.sheets.map { |sheet| sheet.note_lines.map(&:text) }).to eq [["1 first"], ["2 second"]]
      expect(pages.sheets[0].lines.first.text).to eq "one1"
      expect(pages.sheets[0].lines.size).to be < 10
    end

    # ISO/IEC 29500-1 17.11.19 eachPage; ISO/IEC 26300-1 19.867 text:start-numbering-at.
    it "are numbered anew on each page where that is asked for, also when they come to stand on another" do
      each = sheet(notes: {footnote: {restart: "each_page"}})
      one, two, three = %w[one two three].each.with_index(1).map { |word, id| p(r(word) + note(id), **exact) }
      body = one + two + lines(12) + three
      told = ->(pages) { pages.sheets.map { |sheet| sheet.note_lines.map(&:text) } }
      document = made(body, page: each, footnotes: notes("first", "second", "third"))
      pages = Norvel::Layout.of(document)
      expect([told[pages], pages.estimates]).to eq [[["1 first", "2 second"], ["1 third"]], []]
      few = document.without([document.paragraphs[2].id])
      expect(told[Norvel::Layout.of(few, known: pages)]).to eq [["1 first", "2 second", "3 third"]]
    end

    it "push their line to the next page where there is no room for both" do
      pages = laid((lines(1) * 9) + p(r("called") + note(1), **exact) + lines(1), footnotes: notes("below"))
      expect(pages.sheets.map { |sheet| [sheet.lines.last.text, sheet.note_lines.size] })
        .to eq [["word", 0], ["word", 1]]
    end

    it "are divided where they must be, and go on at the next foot" do
      long = notes("").map { |one| one.with(paragraphs: lines(14, text: "note")) }
      pages = laid(p(r("called") + note(1), **exact) + lines(3), footnotes: long)
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
    let(:page_field) { p(r("page ") + field(Norvel::Document::Computed::PageNumber.new, "9"), **exact) }

    def heads(pages) = pages.sheets.map do |sheet|
      pages.heads(sheet).flat_map do |_, x, y, column|
        [].tap { |found| Norvel::Layout::Placing.column(column, x, y) { |line| found << line.text } }
      end
    end

    it "say the label of their own page" do
      pages = laid(lines(25), sheet(number_format: "upper_roman", number_start: 4), footer: page_field)
      2.times { expect(heads(pages)).to eq [["page IV"], ["page V"], ["page VI"]] }
    end

    it "push the text where they are higher than the margin" do
      tall = page_field * 3
      pages = laid(lines(25), sheet, footer: tall)
      expect(pages.sheets[0].lines.size).to eq 7
    end
  end

  it "fills in page fields in the text, round after round until they rest" do
    count = field(Norvel::Document::Computed::PageCount.new, "1")
    pages = laid(p(r("of ") + count, **exact) + lines(25))
    expect(pages.sheets[0].lines.first.text).to eq "of 3"
    expect(pages).to be_settled
    expect(pages.rounds).to eq 2
  end

  it "lists headings with the labels of their pages" do
    heading = ->(text) { p(text, style: "H1", **exact) }
    pages = laid(heading["One"] + lines(12) + heading["Two"], styles: style("H1", "Heading 1", outline_level: 1))
    expect(pages.contents.map { |entry| [entry.level, entry.text, entry.label, entry.index] })
      .to eq [[1, "One", "1", 1], [1, "Two", "2", 3]]
  end

  describe "a document that defeats it" do
    it "ends with a sentence where it would take more pages than anybody prints" do
      stub_const("Norvel::Layout::Pages::MOST", 20)
      expect { laid(lines(1) * 300) }.to raise_error(Norvel::Layout::Defeated, /more than 20 pages/)
    end

    it "ends with text of no width, no height, and of absurd sizes" do
      [{margin_left: 450.0, margin_right: 450.0}, {margin_top: 1500.0},
        {margin_left: -45_000.0, margin_right: 45_000.0}].each do |margins|
        expect(laid(p("a few words of text") * 3, sheet(**margins)).sheets.size).to be_between(1, 200)
      end
      expect(laid(p(r("huge", size: 1600.0)) * 3).sheets.size).to be_between(1, 20)
      expect(laid([]).sheets.size).to eq 1
    end
  end
end
