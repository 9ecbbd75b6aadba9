# frozen_string_literal: true

require "open3"

# Sheets turned for tables, chapters on right pages, mirrored margins.
RSpec.describe "page set-up" do
  def guide(page) = Norvel::Guide.new("norvel_guide: 1\nname: G\n#{page}\n")

  def found(document, page) = Norvel::Guide::Check.new(guide(page), document.tap { |one| Norvel::Layout.of(one) })
    .findings.map { |one| [one.rule, one.message, one.mend&.safe] }

  def mended(document, page)
    list = Norvel::Guide::Check.new(guide(page), document.tap { |one| Norvel::Layout.of(one) }).findings
    list.first.mend.edit(list.select { |one| one.mend == list.first.mend }, guide(page)).apply(document).after
  end

  def styles
    %(<w:style w:type="paragraph" w:styleId="Caption"><w:name w:val="caption"/></w:style><w:style w:type="paragraph" ) +
      %(w:styleId="Heading1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl w:val="0"/></w:pPr></w:style>)
  end

  def made(*body, foot: nil)
    reference = '<w:footerReference w:type="default" r:id="rId3"/>' if foot
    docx(body.join + %(<w:sectPr>#{reference}<w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1440" w:right="1418" ) +
      %(w:bottom="1134" w:left="2155" w:header="709" w:footer="709" w:gutter="0"/></w:sectPr>), styles:, footer: foot)
  end

  def caption(text) = p(r(text), '<w:pStyle w:val="Caption"/>')

  def chapter(text) = p(r(text), '<w:pStyle w:val="Heading1"/><w:pageBreakBefore/>')

  def as_odt(document) = Norvel::Formats.read(Norvel::Formats.write(document, as: "odt").bytes, name: "p.odt")

  def again(document) = Norvel::Formats.read(Norvel::Formats.write(document).bytes, name: document.name)

  def apply(document, *edits) = edits.inject(document) { |now, edit| edit.apply(now).after }

  # [label, does it lie?, its words] of every sheet.
  def sheets(document)
    Norvel::Layout.of(document).sheets.map do |sheet|
      [sheet.label, document.sections[sheet.section - 1].landscape?, sheet.lines.map { |line| line.text.strip }
        .reject(&:empty?).join(" ")]
    end
  end

  let(:wide) { made(p(r("Before it.")), caption("Table 1. Dues"), table([%w[a b c]]), p(r("After it."))) }

  describe Norvel::Edits::TurnPage do
    def turned(document) = described_class.new(document.paragraphs.find { |one| one.part == :table }.id).apply(document)

    [:itself, :as_odt].each do |form|
      it "turns the sheet of a table with its caption, and stands upright after it (#{form})" do
        document = (form == :as_odt) ? as_odt(wide) : wide
        change = turned(document)
        now = change.after
        expect(sheets(now).map { |label, lies, _| [label, lies] }).to eq [["1", false], ["2", true], ["3", false]]
        expect(sheets(now).map(&:last).values_at(0, 2)).to eq ["Before it.", "After it."]
        expect(now.sections[1].to_h.values_at(:margin_top, :margin_left).map { |one| one.round(1) }).to eq [107.8, 56.7]
        expect(sheets(again(now))).to eq sheets(now)
        back = change.take_back(now)
        expect([back.paragraphs, back.sections]).to eq [document.paragraphs, document.sections]
      end
    end

    it "gives a section that would end with a table a paragraph to end with" do
      now = turned(wide).after
      expect(now.paragraphs.map(&:text)).to eq ["Before it.", "Table 1. Dues", "a", "b", "c", "", "After it."]
      below = made(p(r("Before it.")), table([%w[a b]]), caption("Table 1. Dues"), p(r("After it.")))
      expect(turned(below).after.paragraphs.size).to eq below.paragraphs.size
      expect(sheets(again(turned(below).after)).map { |_, lies, _| lies }).to eq [false, true, false]
    end

    it "stands between tables, where a paragraph parts it from the one before" do
      close = made(p(r("Before it.")), caption("Table 1. Dues"), table([%w[a b]]), table([%w[c d]]), p(r("After it.")))
      now = turned(close).after
      expect(sheets(again(now)).map { |_, lies, words| [lies, words] })
        .to eq [[false, "Before it."], [true, "Table 1. Dues a b"], [false, "c d After it."]]
      second = close.paragraphs.find { |one| one.text == "c" }
      expect { described_class.new(second.id).change(close) }.to raise_error(Norvel::Refused, /Two tables/)
      alone = made(table([%w[a b]]))
      expect(sheets(again(turned(alone).after)).map { |_, lies, _| lies })
        .to eq [true, true].first(Norvel::Layout.of(turned(alone).after).sheets.size)
    end

    it "sets parts of heads anew for the wider measure, and only there" do
      document = apply(wide, Norvel::Edits::Describe.new({title: "Dues", author: "M"}),
        Norvel::Edits::SetRunning.new([1], {"footer" => Norvel::Running::Line.new(left: "{title}", right: "{page}")}))
      now = again(turned(document).after)
      ends = Norvel::Layout.of(now).sheets.map do |sheet|
        Norvel::Layout.pages(now).heads(sheet).map do |_, x, _, column|
          (x + column.pieces.last.block.lines.last.then { |line| line.width }).round
        end
      end
      expect(now.stories.count(&:head?)).to eq 2
      expect(ends.flatten.size).to eq 3
    end

    it "is refused where there is no table, and where the sheet lies already" do
      expect { described_class.new(wide.paragraphs.first.id).change(wide) }
        .to raise_error(Norvel::Refused, /not in a table/)
      expect { turned(turned(wide).after) }.to raise_error(Norvel::Refused, /long side already/)
      bare = as_odt(made(p(r("Before it.")), table([%w[a b]]), p(r("After it."))))
      expect { turned(bare) }.to raise_error(Norvel::Refused, /caption/)
    end
  end

  it "sheets lie on their long side only as the guide allows it" do
    now = Norvel::Edits::TurnPage.new(wide.paragraphs.find { |one| one.part == :table }.id).apply(wide).after
    expect(found(now, "page: {orientation: portrait}")).to eq [["page.orientation", "The sheet is landscape", false]]
    expect(found(now, "page: {orientation: {landscape_for: tables}}")).to eq []
    lying = apply(made(p(r("Words."))), Norvel::Edits::SetPage.new([1], {width: 841.9, height: 595.3}))
    expect(found(lying, "page: {orientation: {landscape_for: tables}}").map(&:first)).to eq ["page.orientation"]
    expect(found(mended(lying, "page: {orientation: portrait}"), "page: {orientation: portrait}")).to eq []
  end

  it "the binding side of a turned sheet is its upper edge; of a text that lies as a whole it is the left one" do
    now = Norvel::Edits::TurnPage.new(wide.paragraphs.find { |one| one.part == :table }.id).apply(wide).after
    expect(found(now, "page: {margins: {inside: 38mm, tolerance: 0.5mm}}")).to eq []
    lying = apply(made(p(r("Words."))),
      Norvel::Edits::SetPage.new([1], {width: 841.9, height: 595.3, margin_left: 120.0}))
    expect(found(lying, "page: {margins: {inside: 38mm, tolerance: 0.5mm}}").map(&:first)).to eq ["page.margin.left"]
  end

  it "margins of sheets that stand and of one that lies are mended together, each to its own" do
    now = Norvel::Edits::TurnPage.new(wide.paragraphs.find { |one| one.part == :table }.id).apply(wide).after
    asked = "page: {margins: {inside: 30mm, outside: 20mm, top: 21mm, bottom: 22mm}}"
    plan = Norvel::Guide::Plan.new(guide(asked), now.with.tap { |one| Norvel::Layout.of(one) })
    expect(plan.left).to eq []
    expect(plan.after.sections.map { |one|
      [one.margin_left, one.margin_top, one.margin_right, one.margin_bottom]
          .map { |side| (side * 25.4 / 72).round }
    }).to eq [[30, 21, 20, 22], [22, 30, 21, 20], [30, 21, 20, 22]]
  end

  describe Norvel::Edits::BeginChapters do
    let(:book) { made(p(r("Preface")), chapter("One"), p(r("Text one.")), chapter("Two"), p(r("Text two."))) }

    [:itself, :as_odt].each do |form|
      it "begins chapters on right pages, with a blank page before where one is needed (#{form})" do
        document = (form == :as_odt) ? as_odt(book) : book
        asked = "pagination: {chapters_start: odd_page}"
        expect(found(document, asked).map { |rule, _, safe| [rule, safe] }).to eq [["pagination.chapter_start", false]]
        now = mended(document, asked)
        expect(sheets(now).map { |label, _, words| [label, words] })
          .to eq [["1", "Preface"], ["2", ""], ["3", "One Text one."], ["4", ""], ["5", "Two Text two."]]
        expect(found(now, asked)).to eq []
        expect(sheets(again(now))).to eq sheets(now)
        expect(found(again(now), asked)).to eq []
      end
    end

    it "goes through a conversion to .odt and back, blank pages and all" do
      now = mended(book, "pagination: {chapters_start: odd_page}")
      other = as_odt(now)
      expect(sheets(other)).to eq sheets(now)
      expect(other.sections.map(&:starts)).to eq now.sections.map(&:starts)
      expect(sheets(Norvel::Formats.read(Norvel::Formats.write(other, as: "docx").bytes, name: "b.docx")))
        .to eq sheets(now)
    end

    # Source: python3-odf of Debian 12, and ISO/IEC 26300-1 19.501: a page usage holds for every page of a layout.
    it "asks for a right page of the first page alone in .odt, so that the others are not all right ones" do
      path = File.join(Dir.mktmpdir, "o.odt")
      File.binwrite(path, Norvel::Formats.write(mended(as_odt(book), "pagination: {chapters_start: odd_page}")).bytes)
      out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
        import sys, json
        from odf.opendocument import load
        from odf.style import MasterPage, PageLayout
        doc = load(sys.argv[1])
        usage = {l.getAttribute("name"): l.getAttribute("pageusage") for l in doc.getElementsByType(PageLayout)}
        masters = {m.getAttribute("name"): m for m in doc.getElementsByType(MasterPage)}
        right = [m for m in masters.values() if usage[m.getAttribute("pagelayoutname")] == "right"]
        print(json.dumps([usage[masters[m.getAttribute("nextstylename")].getAttribute("pagelayoutname")] for m in right]))
      PYTHON
      expect(status).to be_success, err
      expect(JSON.parse(out)).to eq [nil]
    end
  end

  it "inside and outside with chapters on right pages ask for mirrored margins, which both formats hold" do
    asked = "page: {margins: {inside: {min: 10mm}, outside: {min: 10mm}}}\npagination: {chapters_start: odd_page}"
    [made(p(r("Words."))), as_odt(made(p(r("Words."))))].each do |document|
      expect(found(document, asked)).to eq [["page.margin.left", "The margins are not mirrored on left pages", false]]
      now = mended(document, asked)
      expect(found(again(now), asked)).to eq []
      expect([again(now).settings.mirrored, again(now).sections.first.mirrored]).to eq [true, true]
    end
  end

  describe Norvel::Edits::JoinSections do
    def sectioned
      break_after = ->(text, more, foot: nil) {
        p(r(text), %(<w:sectPr>#{foot}<w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1440" w:right="1440" ) +
          %(w:bottom="1440" w:left="#{more}" w:header="709" w:footer="709" w:gutter="0"/></w:sectPr>))
      }
      foot = '<w:footerReference w:type="default" r:id="rId3"/>'
      docx(break_after["One", 1440, foot:] + break_after["Two", 2880] + p(r("Three")) +
        '<w:sectPr><w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1440" w:right="1440" w:bottom="1440" ' \
        'w:left="1440" w:header="709" w:footer="709" w:gutter="0"/></w:sectPr>',
        footer: p('<w:fldSimple w:instr=" PAGE "><w:r><w:t>1</w:t></w:r></w:fldSimple>'))
    end

    def margins(document) = document.sections.map { |section| section.margin_left.round }

    def foots(document)
      Norvel::Layout.of(document)
      Norvel::Layout.pages(document).sheets.map do |sheet|
        Norvel::Layout.pages(document).heads(sheet).map do |_, _, _, column|
          column.pieces.map { |piece| piece.block.set_items.text.delete("\uFFF9") }.join
        end
      end
    end

    [:itself, :as_odt].each do |form|
      it "lets the set-up stay that is asked for, and what follows go on as it was (#{form})" do
        document = (form == :as_odt) ? as_odt(sectioned) : sectioned
        expect(margins(document)).to eq [72, 144, 72]
        before, this = %w[before this].map { |keep| described_class.new(2, keep:).apply(document) }
        expect([margins(before.after), margins(this.after)]).to eq [[72, 72], [144, 72]]
        expect(margins(again(before.after))).to eq [72, 72]
        expect(margins(again(this.after))).to eq [144, 72]
        expect(again(this.after).paragraphs.map { |one| [one.text, one.section] })
          .to eq [["One", 1], ["Two", 1], ["Three", 2]]
        expect([foots(again(before.after)), foots(again(this.after))]).to eq [[["1"], ["2"], ["3"]]] * 2
        back = this.take_back(this.after)
        expect([back.paragraphs, back.sections, back.stories])
          .to eq [document.paragraphs, document.sections, document.stories]
      end
    end

    it "says which set-up stays, and is refused where there is nothing to join" do
      expect(described_class.new(2, keep: "this").title(sectioned))
        .to eq "Join section 2 to the one before, set up as section 2 is: A4"
      [1, 4, -1].each do |number|
        expect { described_class.new(number).change(sectioned) }.to raise_error(Norvel::Refused)
      end
    end

    it "can be done until one is left, heads and all, and each step taken back" do
      whole = apply(sectioned, described_class.new(3), described_class.new(2))
      expect([margins(whole), foots(again(whole))]).to eq [[72], [["1"], ["2"], ["3"]]]
    end
  end
end
