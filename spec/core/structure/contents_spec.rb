# frozen_string_literal: true

require "open3"

# Contents lists: put in, found stale, brought up to date, in both formats.
RSpec.describe Norvel::Structure::ContentsLists do
  def mended(document, guide) = Norvel::Guide::Plan.new(Norvel::Guide.find(guide), document).after.with

  def self.documents
    {docx: [Demo::Thesis, "ravelmouth-thesis", /\ACHAPTER 1/],
     odt: [Demo::Minutes, "ravelmouth-house", /\A1\. Minutes/]}
  end

  # Its headings in their styles, so that there is something to list.
  def headed(kind)
    self.class.known[kind] ||= begin
      maker, guide, = self.class.documents.fetch(kind)
      mended(Norvel::Formats.read(maker.new.bytes, name: "made.#{kind}"), guide)
    end
    self.class.known[kind].with
  end

  # Documents are values: one of each kind serves all.
  def self.known = (superclass.respond_to?(:known) ? superclass.known : @known ||= {})

  def listed(kind, **more)
    document = headed(kind)
    at = document.paragraphs.find { |one| one.text.match?(self.class.documents[kind].last) }
    Norvel::Edits::PutInContents.new(at.id, levels: 2, heading: "Contents", **more).apply(document).after
  end

  def lines(document, number = 0)
    described_class.in(document)[number].paragraphs(document).reject { |one| one.text.strip.empty? }.map do |one|
      described_class.parts(one)
    end
  end

  def should(document, number = 0)
    Norvel::Layout.of(document)
    lists = described_class.new(document)
    lists.wanted(lists.lists[number]).map { |one| [one.text, one.label] }
  end

  def retyped(document, id, text) = Norvel::Edits::Retype.new(id, text).apply(document).after

  documents.each_key do |kind|
    describe "in .#{kind}" do
      let(:document) { listed(kind) }
      let(:heading) { document.paragraphs.reverse.find { |one| document.look(one)[:outline_level] == 1 } }

      it "is right on every line as it is put in, in the file as on the sheets" do
        expect(lines(document)).to eq should(document)
        again = reread(document)
        expect(lines(again)).to eq lines(document)
        expect(lines(again)).to eq should(again)
        expect(described_class.in(again).map(&:levels)).to eq [1..2]
      end

      it "keeps two of the same kind apart that stand one after the other" do
        after = document.paragraphs[described_class.in(document).first.last + 1]
        twice = Norvel::Edits::PutInContents.new(after.id, levels: 2).apply(document).after
        expect([twice, reread(twice)].map { |one| described_class.in(one).size }).to eq [2, 2]
      end

      it "leaves every other paragraph as it was" do
        before = headed(kind)
        own = before.paragraphs.map(&:id)
        kept = document.paragraphs.select { |one| own.include?(one.id) }
        expect(kept.map { |one| [one.id, one.text, document.look(one)] }).to eq before.paragraphs.map { |one|
          [one.id, one.text, before.look(one)]
        }
      end

      it "is stale once text grows and headings change, each wrong entry told; brought up to date, it is right again" do
        grown = Norvel::Edits::AddParagraphs.new(document.paragraphs
          .find { |one| document.look(one)[:outline_level] == 1 }.id,
          [Norvel::Edits::AddParagraphs::Piece.new(document.styles.called("Body Text").id,
            [["more words of text " * 400, {}]])]).apply(document).after
        changed = retyped(grown, heading.id, "Another last heading")
        Norvel::Layout.of(changed)
        lists = described_class.new(changed)
        wrong = lists.compared(lists.lists[0]).select(&:wrong)
        expect(wrong.map(&:wrong)).to include(a_string_starting_with("says page"), a_string_starting_with("says “"))
        fresh = Norvel::Edits::RefreshContents.new(0).apply(changed).after
        expect(lines(fresh)).to eq should(fresh)
        again = reread(fresh)
        expect(lines(again)).to eq should(again)
      end

      it "takes in headings that come first or last, and lets go those that went" do
        gone = Norvel::Edits::DeleteParagraphs.new([heading.id]).apply(document).after
        fresh = Norvel::Edits::RefreshContents.new(0).apply(gone).after
        expect(lines(fresh)).to eq should(fresh)
        expect(lines(fresh).size).to eq lines(document).size - 1
        first = document.paragraphs.find { |one| document.look(one)[:outline_level] == 1 }
        added = Norvel::Edits::AddParagraphs.new(first.id,
          [Norvel::Edits::AddParagraphs::Piece.new(first.style_id, [["In between", {}]])]).apply(document).after
        fresh = Norvel::Edits::RefreshContents.new(0).apply(added).after
        expect(lines(reread(fresh))).to eq should(fresh)
      end

      it "is taken back to the very same document, and lives through the database" do
        before = headed(kind)
        at = before.paragraphs.find { |one| one.text.match?(self.class.documents[kind].last) }
        change = Norvel::Edits::PutInContents.new(at.id, levels: 2).apply(before)
        expect(change.take_back(change.after).paragraphs).to eq before.paragraphs
        original = Norvel::Formats.read(before.source.respond_to?(:bytes) ? written(before) : before.source,
          name: before.name)
        now = Norvel::Edits::PutInContents.new(original.paragraphs
          .find { |one| one.text.match?(self.class.documents[kind].last) }.id, levels: 2).apply(original).after
        again = Norvel::Snapshot.load(Norvel::Snapshot.dump(now, original), original)
        expect(lines(again)).to eq lines(now)
      end
    end
  end

  %i[docx odt].each do |kind|
    it "leads from every entry to its heading, in .#{kind}: each link names a place that is there" do
      again = reread(listed(kind))
      entries = described_class.in(again).first.paragraphs(again)
      targets = entries.map { |entry| entry.runs.flat_map(&:within).grep(Norvel::Document::Link).map(&:bookmark).uniq }
      places = again.paragraphs
        .flat_map { |one|
        one.anchors.map { |anchor|
          if anchor.object.is_a?(Norvel::Document::Bookmark)
            [anchor.object.name,
              one.text]
          end
        }
      }.compact.to_h
      expect(targets.map(&:size).uniq).to eq [1]
      expect(targets.flatten.map { |name| places[name] }).to eq entries.map { |entry|
        described_class.parts(entry).first
      }
    end
  end

  it "leads to labels as it is asked: dots, a line or nothing, also where its styles are there" do
    stops = ->(document) {
      described_class.in(document).first.paragraphs(document)
        .map { |one| document.look(one)[:tabs] }
        .map { |tabs| Norvel::Styles::Properties[:tabs].type.seen(tabs).last.leader }.uniq
    }
    expect(stops[listed(:docx)]).to eq ["dots"]
    expect(stops[reread(listed(:odt, leader: "a line"))]).to eq ["a line"]
    expect(stops[reread(listed(:docx, leader: "none"))]).to eq [nil]
  end

  it "keeps them in an index of an .odt too where no letter of a label stays" do
    list = Norvel::Formats.read(Norvel::Formats.write(listed(:docx), as: "odt").bytes, name: "l.odt")
    fields = ->(document) { Norvel::Document::Inventory.of(document).things[:field].tally }
    grown = Norvel::Edits::SetPage.new([1], {margin_left: 180.0}).apply(list).after
    fresh = Norvel::Edits::RefreshContents.new(0).apply(grown).after
    expect(lines(fresh)).not_to eq lines(list)
    again = Norvel::Formats.read(Norvel::Formats.write(fresh).bytes, name: "l.odt")
    expect(fields[again]).to eq fields[list]
    expect(lines(again)).to eq should(again)
  end

  it "keeps the links and fields of entries that say something else now" do
    list = listed(:docx)
    heading = list.paragraphs.find { |one| one.text.start_with?("CHAPTER 2") && list.look(one)[:outline_level] == 1 }
    fresh = Norvel::Edits::RefreshContents.new(0).apply(retyped(list, heading.id, "CHAPTER 2. ANOTHER NAME")).after
    entry = described_class.in(fresh).first.paragraphs(fresh).find { |one| one.text.include?("ANOTHER NAME") }
    expect(entry.runs.map { |run| run.within.map { |one| one.class.name[/\w+\z/] } })
      .to eq [["Link"], ["Link"], %w[Link Field]]
    expect(lines(reread(fresh))).to eq should(fresh)
  end

  # Source: python3-docx of Debian 12: the text of each entry in the file, line by line.
  it "is what python-docx reads, line by line as on the sheets" do
    document = listed(:docx)
    path = File.join(Dir.mktmpdir, "c.docx")
    File.binwrite(path, written(document))
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import docx, sys, json
      def words(p):
        return "".join(t.text if t.tag.endswith("}t") else "\\t" for t in p._p.iter() if t.tag.endswith("}t") or (t.tag.endswith("}tab") and t.getparent().tag.endswith("}r")))
      print(json.dumps([words(p) for p in docx.Document(sys.argv[1]).paragraphs if p.style.name.lower().startswith("toc ") and p.style.name[-1].isdigit()]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out)).to eq should(document).map { |text, label| "#{text}\t#{label}" }
  end

  # Source: python3-odf of Debian 12.
  it "is what odfpy reads in the index, line by line as on the sheets" do
    document = listed(:odt)
    path = File.join(Dir.mktmpdir, "c.odt")
    File.binwrite(path, written(document))
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import sys, json
      from odf.opendocument import load
      from odf.text import TableOfContent, P, IndexBody
      from odf import teletype
      lists = load(sys.argv[1]).getElementsByType(TableOfContent)
      print(json.dumps([[teletype.extractText(p) for p in l.getElementsByType(IndexBody)[0].getElementsByType(P)] for l in lists]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out)).to eq [should(document).map { |text, label| "#{text}\t#{label}" }]
  end

  it "has a page of its own where a page began, in the section before where one ends" do
    document = listed(:docx)
    list = described_class.in(document)[0]
    Norvel::Layout.of(document)
    first = document.paragraphs[list.first - 1]
    expect([first.text, Norvel::Layout.pages(document).sheet_of(first.id).lines.first.text]).to eq %w[Contents Contents]
    chapter = document.paragraphs.find do |one|
      one.text.start_with?("CHAPTER 1") && document.look(one)[:outline_level] == 1
    end
    expect(Norvel::Layout.pages(document).sheet_of(chapter.id).lines.first.text).to start_with "CHAPTER 1"
    whole = headed(:docx)
    body = whole.paragraphs.find { |one| one.text.start_with?("CHAPTER 1") }
    matter = Norvel::Edits::SetMatters::Matter
    numbered = Norvel::Edits::SetMatters.new([matter.new(paragraph: whole.paragraphs[0].id, format: "lower_roman"),
      matter.new(paragraph: body.id, start: 1)]).apply(whole).after
    apart = Norvel::Edits::PutInContents.new(body.id, levels: 1).apply(numbered).after
    Norvel::Layout.of(apart)
    list = described_class.in(apart)[0]
    expect(Norvel::Layout.pages(apart).label_of(apart.paragraphs[list.first].id)).to eq "iii"
    expect(lines(apart).map(&:last).first(3)).to eq ["ii", "1", lines(apart)[2][1]]
    expect(lines(reread(apart))).to eq should(apart)
  end

  it "ends the section whose last words it follows" do
    heading = style("Heading1", "heading 1", ppr: '<w:pageBreakBefore/><w:outlineLvl w:val="0"/>')
    words = "The keeper of the gate wrote the hour and the height of the tide in the book."
    document = docx(p(r("Abstract"), '<w:pStyle w:val="Heading1"/>') + p(r(words)) +
      (1..2).map { |n| p(r("Chapter #{n}"), '<w:pStyle w:val="Heading1"/>') + p(r(words)) }.join, styles: heading)
    matter = Norvel::Edits::SetMatters::Matter
    numbered = Norvel::Edits::SetMatters.new([matter.new(paragraph: 1, format: "lower_roman"),
      matter.new(paragraph: 3, start: 1)]).apply(document).after
    made = Norvel::Edits::PutInContents.new(3, levels: 1).apply(numbered).after
    odt = Norvel::Formats.read(Norvel::Formats.write(made, as: "odt").bytes, name: "made.odt")
    [made, reread(made), odt].each do |one|
      Norvel::Layout.of(one)
      expect(Norvel::Layout.pages(one).sheets.map(&:label)).to eq %w[i ii 1 2]
      expect(lines(one)).to eq [%w[Abstract i], ["Chapter 1", "1"], ["Chapter 2", "2"]]
    end
  end

  # Templates say there that the list will be made; writers of templates put the whole field in one paragraph.
  it "is made of one that stands in a single paragraph" do
    sign = ->(kind) { %(<w:r><w:fldChar w:fldCharType="#{kind}"/></w:r>) }
    field = sign["begin"] + %(<w:r><w:instrText> TOC \\o "1-2" \\h </w:instrText></w:r>) + sign["separate"] +
      r("Made when the text is in.") + sign["end"]
    heads = %w[Tides Mills Dues].map { |name| p(r(name), '<w:outlineLvl w:val="0"/>') + p(r("Words.")) }.join
    index = %(<text:table-of-content text:name="C"><text:table-of-content-source text:outline-level="2"/>) +
      %(<text:index-body><text:p>Made when the text is in.</text:p></text:index-body></text:table-of-content>)
    open = %w[Tides Mills Dues].map { |name| %(<text:h text:outline-level="1">#{name}</text:h><text:p>Words.</text:p>) }
    [docx(p(field) + heads), OpenDocument.new(index + open.join).document].each do |document|
      made = reread(Norvel::Edits::RefreshLists.new.apply(document).after)
      expect([described_class.in(made).size, lines(made)]).to eq [1, [%w[Tides 1], %w[Mills 1], %w[Dues 1]]]
      expect(made.paragraphs.size).to eq 9
    end
  end

  it "is refused in words where there is nothing to list, in a table, and for a list that is not there" do
    document = docx(p(r("one")) + table([%w[a b]]) + p(r("two")))
    expect { Norvel::Edits::PutInContents.new(1).change(document) }
      .to raise_error(Norvel::Refused, /marked as a heading/)
    expect { Norvel::Edits::PutInContents.new(2).change(document) }.to raise_error(Norvel::Refused, /within a table/)
    expect { Norvel::Edits::RefreshContents.new(0).change(document) }.to raise_error(Norvel::Refused, /no such list/)
  end

  it "reads fields that nest, and takes none for a list that is nowhere closed" do
    begun = ->(instruction) {
      %(<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText ) +
        %(xml:space="preserve"> #{instruction} </w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r>)
    }
    ended = '<w:r><w:fldChar w:fldCharType="end"/></w:r>'
    styles = %(<w:style w:type="paragraph" w:styleId="H1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl w:val="0"/>) +
      %(</w:pPr></w:style>)
    heading = p(r("One"), '<w:pStyle w:val="H1"/>') + p(r("Two"), '<w:pStyle w:val="H1"/>')
    entry = ->(text, label) {
      %(<w:r><w:t>#{text}</w:t></w:r><w:r><w:tab/>) +
        %(</w:r>#{begun["PAGEREF _Toc1 \\h"]}#{r(label)}#{ended})
    }
    body = p(begun['TOC \\o "1-3" \\h'] + entry["One", "9"]) + p(entry["Old", "1"]) + p(ended) + heading
    document = docx(body, styles:).tap { |one| Norvel::Layout.of(one) }
    lists = described_class.new(document)
    expect(lists.lists.map { |list| [list.levels, list.first, list.last] }).to eq [[1..3, 0, 2]]
    expect(lists.compared(lists.lists[0]).map(&:wrong)).to eq ["says page 9", "says “Old”"]
    fresh = Norvel::Edits::RefreshContents.new(0).apply(document).after
    expect(lines(reread(fresh))).to eq [%w[One 1], %w[Two 1]]
    expect(Norvel::Seal.of(reread(fresh)).counts[:field]).to eq Norvel::Seal.of(document).counts[:field]
    expect(described_class.in(docx(p(begun["TOC"] + r("never closed")) + heading, styles:))).to eq []
  end

  describe "rules" do
    let(:guide) do
      Norvel::Guide.new("norvel_guide: 1\nname: G\nparts: [{part: contents, required: true, levels: 2}]\n")
    end

    def found(document) = Norvel::Guide::Check.new(guide, document.tap { |one| Norvel::Layout.of(one) }).findings

    it "ask for a list, for its levels, and that it is right; one mend brings it up to date" do
      document = headed(:docx)
      expect(found(document).map(&:rule)).to eq ["contents.missing"]
      expect(found(listed(:docx)).map(&:rule)).to eq []
      expect(found(listed(:docx, levels: 1)).map { |one| [one.rule, one.found] })
        .to eq [["contents.levels", "levels 1 to 1"]]
      list = listed(:docx)
      stale = retyped(list, list.paragraphs.find { |one|
        one.text.start_with?("CHAPTER 2") &&
              list.look(one)[:outline_level] == 1
      }.id, "CHAPTER 2. ANOTHER NAME")
      finding = found(stale).first
      expect([finding.rule, finding.message, finding.mend.safe])
        .to eq ["contents.stale", "An entry is wrong in the contents list", false]
      expect(found(finding.mend.edit([finding], guide).apply(stale).after)).to eq []
    end
  end

  it "lets go entries that are too many with what marks a place in them, in an index of another writer" do
    entry = ->(text) {
      %(<text:p><text:bookmark-start text:name="#{text}"/>#{text}<text:bookmark-end ) +
        %(text:name="#{text}"/><text:tab/>9999</text:p>)
    }
    heading = ->(text) { %(<text:h text:outline-level="1">#{text}</text:h><text:p>Words.</text:p>) }
    index = %(<text:table-of-content text:name="T"><text:table-of-content-source text:outline-level="10"/>) +
      %(<text:index-body>#{%w[Contents Mills Weirs Dues].map(&entry).join}</text:index-body></text:table-of-content>)
    document = OpenDocument.new(index + %w[Mills Dues].map(&heading).join).document
    fresh = Norvel::Edits::RefreshContents.new(0).apply(document).after
    again = Norvel::Formats.read(Norvel::Formats.write(fresh).bytes, name: "c.odt")
    expect(lines(again)).to eq [%w[Mills 1], %w[Dues 1]]
  end

  describe "that were typed" do
    let(:guide) { Norvel::Guide.new("norvel_guide: 1\nname: G\nparts: [{part: contents, required: true}]\n") }

    def typed(*entries, ending: "")
      heading = ->(level, text) { p(r(text), %(<w:pStyle w:val="Heading#{level}"/>)) }
      styles = (1..2).map { |level|
        %(<w:style w:type="paragraph" w:styleId="Heading#{level}"><w:name ) +
          %(w:val="heading #{level}"/><w:pPr><w:outlineLvl w:val="#{level - 1}"/></w:pPr></w:style>)
      }.join
      docx(p(r("Contents")) + entries.map { |entry| p(r(entry) + ((entry == entries.last) ? ending : "")) }.join +
        heading[1, "Of tide mills"] + p(r("Words of the text stand here.")) + heading[2, "Their wheels"] +
        p(r("More words.")) + heading[1, "Of dues"] + p(r("Last words.")), styles:)
    end

    def found(document) = Norvel::Guide::Check.new(guide, document.tap { |one| Norvel::Layout.of(one) }).findings

    def replaced(document) = found(document).then { |list| list.first.mend.edit(list, guide).apply(document).after }

    it "become lists safely where their lines are the headings, whatever way their pages were typed" do
      document = typed("Of tide mills\t3", "Their wheels  . . . . . .  4", "Of dues ........ 5")
      expect(found(document).map { |one| [one.rule, one.message, one.mend.safe] })
        .to eq [["contents.missing", "The contents list was typed", true]]
      now = replaced(document)
      expect(now.paragraphs.first(4).map(&:text))
        .to eq ["Contents", "Of tide mills\t1", "Their wheels\t1", "Of dues\t1"]
      expect(now.paragraphs.size).to eq document.paragraphs.size
      again = reread(now)
      expect([lines(again), found(again)]).to eq [should(again), []]
      plan = Norvel::Guide::Plan.new(guide, document.with.tap { |one| Norvel::Layout.of(one) })
      expect([plan.left, plan.words_unchanged?]).to eq [[], true]
      expect(Norvel::Guide::MendSafe.new(guide).apply(document.with.tap { |one| Norvel::Layout.of(one) })
        .after.paragraphs.map(&:text)).to eq now.paragraphs.map(&:text)
    end

    it "ask where their lines are others" do
      expect(found(typed("Of tide mills\t3", "Of dues\t5")).map { |one| [one.mend.safe, one.mend.steps.first.last] })
        .to eq [[true, 1]]
      expect(found(typed("Of tide mills\t3", "Their wheels\t5")).map { |one| one.mend.safe }).to eq [false]
      expect(found(typed("Of tide mills\t3", "Their old wheels\t4", "Of dues\t5")).map { |one| one.mend.safe })
        .to eq [false]
      expect(found(typed("One\t1", "Two\t2")).map { |one| [one.message, one.mend.name] })
        .to eq [["The document has no contents list", "put_in_part"]]
    end

    it "keep the break after them" do
      now = replaced(typed("Of tide mills\t3", "Their wheels\t4", "Of dues\t5",
        ending: '<w:r><w:br w:type="page"/></w:r>'))
      expect(Norvel::Layout.of(now).sheets.size).to eq 2
      expect(lines(reread(now))).to eq [["Of tide mills", "2"], ["Their wheels", "2"], ["Of dues", "2"]]
    end
  end
end
