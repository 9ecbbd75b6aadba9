# frozen_string_literal: true

require "open3"

# Front matter, body and back with labels of their own.
RSpec.describe Norvel::Edits::SetMatters do
  def matter(**said) = described_class::Matter.new(**said)

  def chapter(document) = document.paragraphs.find { |one| one.text.match?(/\A(?:CHAPTER 1|3\. Dues)/) }

  # Roman front matter without a label on its first page, the body from 1.
  def numbered(document, **body)
    described_class.new([matter(paragraph: document.paragraphs[0].id, format: "lower_roman", shown_first: false),
      matter(paragraph: chapter(document).id, start: 1, **body)])
  end

  def labels(document) = Norvel::Layout.of(document).sheets.map(&:label)

  def shown(document)
    pages = Norvel::Layout.of(document)
    pages.sheets.map do |sheet|
      pages.heads(sheet).flat_map { |_, _, _, column| column.pieces.map { |piece| piece.block.set_items.text } }.join
    end
  end

  let(:minutes) { Norvel::Formats.read(Demo::Minutes.new.bytes, name: "m.odt") }

  it "numbers the thesis: roman in front, nothing on the title page, arabic from chapter 1; no word changes" do
    change = numbered(thesis).apply(thesis)
    expect(labels(change.after)).to eq(%w[i ii] + (1..74).map(&:to_s))
    expect(shown(change.after).first(4)).to eq ["", "ii", "1", "2"]
    expect(Norvel::Seal.of(change.after).same_words?(Norvel::Seal.of(thesis))).to be true
    back = change.take_back(change.after)
    expect([back.sections, back.paragraphs]).to eq [thesis.sections, thesis.paragraphs]
  end

  it "leaves no blank page where a page break stood before the body" do
    expect(Norvel::Layout.of(numbered(thesis).apply(thesis).after).sheets.size)
      .to eq Norvel::Layout.of(thesis).sheets.size
  end

  %i[thesis minutes].each do |name|
    it "is written into the #{(name == :thesis) ? ".docx" : ".odt"} that came, and reads back the same" do
      document = public_send(name)
      now = numbered(document).apply(document).after
      again = reread(now)
      told = ->(one) {
        one.sections.map { |section|
          [section.starts, section.number_format, section.number_start,
            section.title_page, section.margin_left.round(2), section.width.round(1)]
        }
      }
      expect(told[again]).to eq told[now]
      expect(labels(again)).to eq labels(now)
      expect(again.paragraphs.map(&:section)).to eq now.paragraphs.map(&:section)
      expect(again.paragraphs.map { |one| [again.style_name(one), again.look(one)[:align], one.text] })
        .to eq now.paragraphs.map { |one| [now.style_name(one), now.look(one)[:align], one.text] }
    end
  end

  # Source: python3-docx of Debian 12.
  it "is what python-docx reads" do
    path = File.join(Dir.mktmpdir, "m.docx")
    File.binwrite(path, written(numbered(thesis).apply(thesis).after))
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import docx, sys, json
      w = "{http://schemas.openxmlformats.org/wordprocessingml/2006/main}"
      def told(s):
        n = s._sectPr.find(w + "pgNumType")
        return [str(s.start_type), s.different_first_page_header_footer, None if n is None else n.get(w + "fmt"), None if n is None else n.get(w + "start"), round(s.left_margin.pt, 1)]
      print(json.dumps([told(s) for s in docx.Document(sys.argv[1]).sections]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out)).to eq [["NEW_PAGE (2)", true, "lowerRoman", nil, 85.0],
      ["NEW_PAGE (2)", false, nil, "1", 85.0]]
  end

  # Source: python3-odf of Debian 12.
  it "is what odfpy reads" do
    path = File.join(Dir.mktmpdir, "m.odt")
    File.binwrite(path, written(numbered(minutes).apply(minutes).after))
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import sys, json
      from odf.opendocument import load
      from odf.style import MasterPage, PageLayout, PageLayoutProperties, Style
      doc = load(sys.argv[1])
      layouts = {l.getAttribute("name"): [p.getAttribute("numformat") for p in l.getElementsByType(PageLayoutProperties)] for l in doc.getElementsByType(PageLayout)}
      masters = {m.getAttribute("name"): layouts[m.getAttribute("pagelayoutname")] for m in doc.getElementsByType(MasterPage)}
      worn = [s.getAttribute("masterpagename") for s in doc.automaticstyles.getElementsByType(Style) if s.getAttribute("masterpagename")]
      print(json.dumps([masters[m] for m in worn]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out).flatten).to match_array(["i", "1"]).or match_array(["i", nil])
  end

  it "lives through the database: what is kept is what was made" do
    now = numbered(thesis).apply(thesis).after
    again = Norvel::Snapshot.load(Norvel::Snapshot.dump(now, thesis), thesis)
    expect([again.sections, again.paragraphs, again.stories]).to eq [now.sections, now.paragraphs, now.stories]
  end

  it "changes labels where sections are there already, and makes no more of them" do
    once = numbered(thesis).apply(thesis).after
    twice = described_class.new([matter(paragraph: once.paragraphs[0].id, format: "upper_roman"),
      matter(paragraph: chapter(once).id, start: 5, begins: "odd_page")]).apply(once).after
    expect(twice.sections.size).to eq 2
    expect(labels(twice)).to eq(%w[I II] + (5..78).map(&:to_s))
    expect(labels(reread(twice))).to eq labels(twice)
  end

  it "joins matters: with one alone all pages count through" do
    once = numbered(thesis).apply(thesis).after
    whole = described_class.new([matter(paragraph: once.paragraphs[0].id)]).apply(once).after
    expect(labels(whole)).to eq (1..76).map(&:to_s)
    expect(labels(reread(whole))).to eq labels(whole)
  end

  it "is refused within a table, and right after one, with a sentence" do
    document = docx(p(r("before")) + table([%w[a b]]) + p(r("after")))
    cell = document.paragraphs.find(&:container)
    expect { described_class.new([matter(paragraph: 1), matter(paragraph: cell.id)]).change(document) }
      .to raise_error(Norvel::Refused, /within a table/)
    expect {
      described_class.new([matter(paragraph: 1), matter(paragraph: document.paragraphs.last.id)])
        .change(document)
    }.to raise_error(Norvel::Refused, /right after a table/)
  end

  it "takes a title in two paragraphs for one heading" do
    head = ->(text) { p(r(text), '<w:pStyle w:val="H1"/>') }
    document = docx(["CHAPTER ONE", "INTRODUCTION"].map(&head).join + p(r("text")) + head["CHAPTER TWO"] + p("") +
      head["THE GATE"] + p(r("text")) + head["CHAPTER 3. DUES"] + head["OF OLD"],
      styles: style("H1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>'))
    expect(Norvel::Structure::Matters.new(document).chapters.map(&:text))
      .to eq ["CHAPTER ONE", "CHAPTER TWO", "CHAPTER 3. DUES", "OF OLD"]
  end

  it "tells where the body begins by the headings" do
    expect(Norvel::Structure::Matters.new(thesis).first_chapter.text).to start_with "CHAPTER 1."
    expect(Norvel::Structure::Matters.new(thesis).read.map { |one| [one.name, one.sections] }).to eq [["body", [1]]]
    now = numbered(thesis).apply(thesis).after
    expect(Norvel::Structure::Matters.new(now)
      .read.map { |one| [one.name, one.sections, one.format, one.start, one.shown_first] })
      .to eq [["front", [1], "lower_roman", nil, false], ["body", [2], "decimal", 1, true]]
  end

  describe "rules" do
    def found(document, rules = /label|restart|shown_from|place/)
      Norvel::Guide::Check.new(thesis_guide, document.with.tap { |one| Norvel::Layout.of(one) })
        .findings.select { |one| one.rule.match?(/pagination\.(?:#{rules})/) }
    end

    it "find labels that are not as the guide asks, and one mend sets them all" do
      before = found(thesis)
      expect(before.map { |one| [one.rule, one.message, one.mend&.safe] }).to eq [
        ["pagination.label", "Pages of the front matter are not numbered i, ii, iii", false],
        ["pagination.shown_from", "Page 1 shows its label", false],
        ["pagination.restart", "The body matter does not begin at 1", false]
      ]
      after = before.first.mend.edit([before.first], thesis_guide).apply(thesis).after
      expect(found(after)).to eq []
      expect(found(reread(after))).to eq []
    end

    it "find chapters that begin within a page, or on the wrong side, and begin them on a page" do
      styles = %(<w:style w:type="paragraph" w:styleId="H1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl ) +
        %(w:val="0"/></w:pPr></w:style>)
      head = ->(text) { p(r(text), '<w:pStyle w:val="H1"/>') }
      document = docx(head["One"] + p(r("text")) * 3 + head["Two"] + p(r("text")), styles:).tap do |one|
        Norvel::Layout.of(one)
      end
      check = ->(doc, word) {
        Norvel::Guide::Check.new(Norvel::Guide.new("norvel_guide: 1\nname: G\npagination: " \
              "{chapters_start: #{word}}\n"), doc.with.tap { |one| Norvel::Layout.of(one) })
      }
      finding = check[document, "new_page"].findings.first
      expect([finding.message, finding.found, finding.mend.safe])
        .to eq ["“Two” does not begin on a new page", "within page 1", true]
      mended = finding.mend.edit([finding], thesis_guide).apply(document).after
      expect(check[mended, "new_page"].findings).to eq []
      expect(Norvel::Layout.of(mended).sheets.map(&:ended_by)).to eq %i[page_break_before end]
      expect(check[mended, "odd_page"].findings.map { |one| [one.found, one.mend.name] })
        .to eq [["on a left page", "begin_chapters"]]
    end

    it "find a label at another place, and one that is missing" do
      guide = Norvel::Guide.new("norvel_guide: 1\nname: G\npagination: {matters: [{matter: body, place: top_right}]}\n")
      pages = thesis.with.tap { |one| Norvel::Layout.of(one) }
      expect(Norvel::Guide::Check.new(guide, pages).findings.map { |one| [one.message, one.found] })
        .to eq [["The label of page 3 does not stand at the top right", "bottom center"]]
      bare = docx(p(r("text"))).tap { |one| Norvel::Layout.of(one) }
      expect(Norvel::Guide::Check.new(guide, bare).findings.map(&:found)).to eq ["nowhere"]
    end
  end
end
