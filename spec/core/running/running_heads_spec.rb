# frozen_string_literal: true

require "open3"

# What stands at head and foot of pages: read, set, written.
RSpec.describe Norvel::Edits::SetRunning do
  def page_field = '<w:fldSimple w:instr=" PAGE "><w:r><w:t>1</w:t></w:r></w:fldSimple>'

  def heading_style = %(<w:style w:type="paragraph" w:styleId="Heading1"><w:name w:val="heading 1"/><w:basedOn ) +
    %(w:val="Normal"/><w:pPr><w:outlineLvl w:val="0"/></w:pPr></w:style>)

  def line(**parts) = Norvel::Running::Line.new(**parts)

  def heads(*sections, which: "default", **lines) = described_class.new(sections, lines.transform_keys(&:to_s), which:)

  def done(document, *edits) = edits.inject(document) { |now, edit| edit.apply(now).after }

  # What the head and foot of every sheet say: [["", "ii"], …]
  def shown(document)
    pages = Norvel::Layout.of(document)
    pages.sheets.map do |sheet|
      said = pages.heads(sheet).to_h do |story, _, _, column|
        [story.kind, column.pieces.map { |piece| piece.block.set_items.text.delete("\uFFF9") }.join]
      end
      said.values_at("header", "footer").map(&:to_s)
    end
  end

  # Four pages in two sections, i–ii and 1–2, with this foot.
  def mills(foot: p(page_field, '<w:jc w:val="center"/>'), divided: true)
    words = ["Preface", "Thanks to the dyke wardens.", "Of tide mills", "Their wheels turn twice a day.", "Of dues",
      "Silver and salt."]
    body = words.each_with_index.map do |text, n|
      p(r(text), [('<w:pStyle w:val="Heading1"/>' if n.even?), ("<w:pageBreakBefore/>" if n.even? && n.positive?)].join)
    end
    read = docx(body.join + '<w:sectPr><w:footerReference w:type="default" r:id="rId3"/><w:pgSz w:w="11906" ' \
      'w:h="16838"/></w:sectPr>', styles: heading_style, footer: foot)
    read = done(read, Norvel::Edits::Describe.new({title: "Tide mills", author: "Mirre Tolland"}))
    divided ? done(read, numbers(read)) : read
  end

  def numbers(document)
    matter = Norvel::Edits::SetMatters::Matter
    Norvel::Edits::SetMatters.new([matter.new(paragraph: document.paragraphs[0].id, format: "lower_roman"),
      matter.new(paragraph: document.paragraphs[2].id, start: 1)])
  end

  def as_odt(document) = Norvel::Formats.read(Norvel::Formats.write(document, as: "odt").bytes, name: "mills.odt")

  {".docx" => :itself, ".odt" => :as_odt}.each do |ending, made|
    describe "in a #{ending}" do
      let(:document) { (made == :as_odt) ? as_odt(mills) : mills }

      def again(document) = Norvel::Formats.read(Norvel::Formats.write(document).bytes, name: document.name)

      it "gives one matter its own, and the next one keeps what it shows by itself" do
        now = done(document, heads(1, header: line(left: "{title}", right: "{author}"),
          footer: line(right: "p. {page} of {pages}")))
        expect(shown(now)).to eq [["Tide mills\t\tMirre Tolland", "p. i of 3"], ["", "1"], ["", "2"]]
        expect(shown(again(now))).to eq shown(now)
        expect(now.paragraphs).to eq document.paragraphs
      end

      it "names the chapter on each page, other pages left than right, and another first page" do
        now = done(document, heads(2, header: line(left: "{chapter}", right: "{page}")),
          heads(2, which: "even", header: line(left: "{page}", right: "{chapter}")),
          heads(2, which: "first", header: line(middle: "Begun")))
        expect(shown(now)).to eq [["", "i"], ["Begun", "1"], ["2\t\tOf dues", "2"]]
        expect(shown(again(now))).to eq shown(now)
        joined = done(now, Norvel::Edits::JoinRunning.new("first", 2), Norvel::Edits::JoinRunning.new("even"))
        expect(shown(joined)).to eq [["", "i"], ["Of tide mills\t\t1", "1"], ["Of dues\t\t2", "2"]]
        expect(shown(again(joined))).to eq shown(joined)
      end

      it "lets every chapter that is a section open on a page of its own kind" do
        chapters = done(document, Norvel::Edits::BeginChapters.new([document.paragraphs[4].id], "next_page"))
        now = done(chapters, described_class.new([2, 3], {"header" => line(middle: "Opened"), "footer" => line},
          which: "first", each: true))
        expect(shown(now)).to eq [["", "i"], ["Opened", ""], ["Opened", ""]]
        expect(shown(again(now))).to eq shown(now)
      end

      it "can be said of nothing at all, and is taken back whole" do
        change = heads(1, footer: line).apply(document)
        expect(shown(again(change.after))).to eq [["", ""], ["", "1"], ["", "2"]]
        back = change.take_back(change.after)
        expect([back.stories, back.sections, back.settings])
          .to eq [document.stories, document.sections, document.settings]
      end

      it "outlives the database, and so does its way back" do
        change = heads(2, header: line(middle: "{chapter}"), footer: line(left: "{page}")).apply(document)
        kept = Norvel::Snapshot.load(Norvel::Snapshot.dump(change.after, document), document)
        expect([kept.stories, kept.sections]).to eq [change.after.stories, change.after.sections]
        back = Norvel::Snapshot.take_back(Norvel::Snapshot.dump_change(change, document), kept, document)
        expect([back.stories, back.sections]).to eq [document.stories, document.sections]
      end

      it "goes on over a division made later, and through the other format" do
        now = done(document, heads(2, header: line(left: "{chapter}"), footer: line))
        other = Norvel::Formats.read(Norvel::Formats.write(now, as: (made == :as_odt) ? "docx" : "odt").bytes,
          name: "other")
        expect(shown(other)).to eq shown(now)
      end

      it "leaves room for a line where the file told no place for a head" do
        now = done(document, heads(1, 2, header: line(left: "{page}")))
        section = now.sections.first
        expect(section.margin_top - section.header).to be >= 24
        expect(again(now).sections.first.header).to be_within(0.1).of(section.header)
        expect(shown(again(now)).size).to eq 3
      end
    end
  end

  it "goes into a template, though a section before the last says it" do
    document = done(mills, heads(1, 2, header: line(left: "{title}"), footer: line(middle: "– {page} –")))
    expect(document.sections.last.heads).to be_empty
    [document, as_odt(document)].each do |one|
      template = Norvel::Formats.read(Norvel::Formats.template(one), name: "t")
      expect(shown(template).first).to eq ["Tide mills", "– 1 –"]
    end
  end

  it "takes parts out of the package that nothing shows any more, and names new ones once" do
    bytes = Norvel::Formats.write(done(mills, heads(1, 2, footer: line(middle: "– {page} –")))).bytes
    expect(part(bytes, "word/footer1.xml")).to be_nil
    expect(part(bytes, "word/_rels/document.xml.rels").scan(/Target="[^"]*foot[^"]*"/))
      .to eq ['Target="/word/footer.xml"']
    expect(part(bytes, "[Content_Types].xml").scan(/PartName="[^"]*foot[^"]*"/)).to eq ['PartName="/word/footer.xml"']
  end

  # Source: python3-docx of Debian 12.
  it "is what python-docx reads" do
    now = done(mills, heads(2, header: line(left: "{title}", right: "{page}")),
      heads(2, which: "first", footer: line(middle: "Begun")))
    path = File.join(Dir.mktmpdir, "h.docx")
    File.binwrite(path, Norvel::Formats.write(now).bytes)
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import docx, sys, json
      def words(part):
        return None if part.is_linked_to_previous else "".join(t.text or "\\t" for t in part._element.iter() if t.tag.endswith("}t") or t.tag.endswith("}tab") and t.getparent().tag.endswith("}r"))
      print(json.dumps([[words(p) for p in (s.header, s.footer, s.first_page_header, s.first_page_footer)] for s in docx.Document(sys.argv[1]).sections]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out)).to eq [[nil, "1", nil, nil], ["Tide mills\t\t1", nil, "Tide mills\t\t1", "Begun"]]
  end

  # Source: python3-odf of Debian 12.
  it "is what odfpy reads" do
    now = done(as_odt(mills), heads(2, header: line(left: "{chapter}", right: "{page}")),
      heads(2, which: "even", header: line(left: "{page}")))
    path = File.join(Dir.mktmpdir, "h.odt")
    File.binwrite(path, Norvel::Formats.write(now).bytes)
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import sys, json
      from odf.opendocument import load
      from odf.style import MasterPage, Style
      doc = load(sys.argv[1])
      worn = [s.getAttribute("masterpagename") for s in doc.automaticstyles.getElementsByType(Style) if s.getAttribute("masterpagename")]
      masters = {m.getAttribute("name"): [[c.qname[1], [f.qname[1] for p in c.childNodes for f in p.childNodes if f.nodeType == 1]] for c in m.childNodes] for m in doc.getElementsByType(MasterPage)}
      print(json.dumps([masters[name] for name in worn][-1]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out).to_h)
      .to include("header" => %w[chapter tab tab page-number], "header-left" => %w[page-number])
  end

  it "is refused with a sentence where it can't be" do
    bare = docx(p(r("one")))
    expect { heads(1, header: line(left: "{chapter}")).change(bare) }
      .to raise_error(Norvel::Refused, /heading of the first level/)
    expect { heads(1, header: line(left: "{author}")).change(bare) }
      .to raise_error(Norvel::Refused, /nothing of its author yet/)
    expect { heads(9, header: line(left: "x")).change(bare) }.to raise_error(Norvel::Refused, /no section 9/)
    expect { heads(1).change(bare) }.to raise_error(Norvel::Refused)
    expect { Norvel::Edits::JoinRunning.new("first", 4).change(bare) }.to raise_error(Norvel::Refused)
  end

  describe Norvel::Running::Line do
    def read(foot)
      document = mills(foot:, divided: false)
      described_class.read(document.stories.first, document)&.to_a
    end

    it "reads what is computed, whatever way the field is written" do
      complex = r("Page ") + %w[begin separate end].map { |type| %(<w:r><w:fldChar w:fldCharType="#{type}"/></w:r>) }
        .then { |from, to, ending| "#{from}<w:r><w:instrText> PAGE </w:instrText></w:r>#{to}#{r("7")}#{ending}" }
      expect(read(p(complex, '<w:jc w:val="right"/>'))).to eq ["", "", "Page {page}"]
      expect(read(p(page_field + r(" – ") +
        '<w:fldSimple w:instr=" STYLEREF 1 "><w:r><w:t>Of dues</w:t></w:r></w:fldSimple>')))
        .to eq ["{page} – {chapter}", "", ""]
    end

    it "places parts by the tab stops before them" do
      stops = '<w:tabs><w:tab w:val="center" w:pos="4500"/><w:tab w:val="right" w:pos="9000"/></w:tabs>'
      expect(read(p(r("Mills\t") + page_field + r("\tDraft"), stops))).to eq ["Mills", "{page}", "Draft"]
      expect(read(p(r("a\tb\tc\td"), stops))).to be_nil
    end

    it "says nothing of what a line can't say" do
      expect(read(p(r("one")) + p(r("two")))).to be_nil
      expect(read(p('<w:fldSimple w:instr=" DATE "><w:r><w:t>today</w:t></w:r></w:fldSimple>'))).to be_nil
      expect(read(p(""))).to eq ["", "", ""]
    end
  end

  describe "the place of labels that a guide asks for" do
    def findings(document, place)
      Norvel::Layout.of(document)
      guide = Norvel::Guide.new("norvel_guide: 1\nname: G\npagination: {matters: [{matter: body, label: " \
        "decimal, place: #{place}}]}\n")
      [Norvel::Guide::Check.new(guide, document).findings, guide]
    end

    it "is mended by moving the label with the words around it" do
      document = mills(foot: p(r("Page ") + page_field, '<w:jc w:val="center"/>'), divided: false)
      found, guide = findings(document, "top_right")
      expect(found.map { |one| [one.rule, one.asked, one.found, one.mend.safe] })
        .to eq [["pagination.place", "top right", "bottom center", false]]
      now = found.first.mend.edit(found, guide).apply(document).after
      expect(shown(now).first).to eq ["Page 1", ""]
      expect(findings(now, "top_right").first).to be_empty
    end

    it "is not mended over what stands there" do
      document = done(mills(divided: false), heads(1, header: line(right: "Draft")))
      expect(findings(document, "top_right").first.map(&:mend)).to eq [nil]
    end

    it "is set with the matters themselves, each at its own place; where something stands, it is said" do
      document = mills(divided: false)
      matter = Norvel::Edits::SetMatters::Matter
      matters = ->(front, body) {
        Norvel::Edits::SetMatters.new([matter.new(paragraph: document.paragraphs[0].id,
          format: "lower_roman", place: front),
          matter.new(paragraph: document.paragraphs[2].id, start: 1, place: body)])
      }
      now = matters["bottom_right", "top_right"].apply(document).after
      expect(shown(now)).to eq [["", "i"], ["1", ""], ["2", ""]]
      places = (1..now.sections.size).map do |n|
        %w[header footer].filter_map do |kind|
          story = now.head(n, kind)
          story && Norvel::Running::LabelPlace.of(Norvel::Running::Line.read(story, now), kind)
        end
      end
      expect(places).to eq [["bottom_right"], ["top_right"]]
      full = done(document, heads(1, header: line(right: "Draft")))
      expect {
        Norvel::Edits::SetMatters.new([matter.new(paragraph: full.paragraphs[0].id, place: "top_right")])
          .change(full)
      }.to raise_error(Norvel::Refused, /Something else stands at the top right/)
    end

    it "replaces a number that was typed on every page, safely" do
      document = mills(foot: p(r("– 12 –"), '<w:jc w:val="center"/>'), divided: false)
      found, guide = findings(document, "bottom_center")
      typed = found.find { |one| one.rule == "pagination.label" }
      expect([typed.message, typed.mend.safe])
        .to eq ["Pages of the body matter all show the same number, which was typed", true]
      now = typed.mend.edit([typed], guide).apply(document).after
      expect(shown(now).map(&:last)).to eq ["– 1 –", "– 2 –", "– 3 –"]
      expect(findings(now, "bottom_center").first).to be_empty
    end

    it "is mended by a plan though labels of another kind are asked for too" do
      guide = Norvel::Guide.new("norvel_guide: 1\nname: G\npagination: {matters: [{matter: front, label: " \
        "lower_roman}, {matter: body, label: decimal, place: bottom_center}]}\n")
      plan = Norvel::Guide::Plan.new(guide, mills(foot: p(r("12"), '<w:jc w:val="center"/>'), divided: false)
        .with.tap { |one| Norvel::Layout.of(one) })
      expect(shown(plan.after.with).map(&:last)).to eq %w[1 2 3]
      expect(plan.left.map { |one| one.slice(:rule, :why).values })
        .to eq [["pagination.label", "it divides the document into sections: look at the pages before and after"]]
    end

    it "leaves years and words as they are" do
      expect(findings(mills(foot: p(r("Ravelmouth 2026"), '<w:jc w:val="center"/>'), divided: false), "bottom_center")
        .first.map(&:rule)).to eq ["pagination.place"]
    end
  end
end
