# frozen_string_literal: true

require "open3"

# Numbers of captions: typed, counted, out of date, and what names them.
RSpec.describe Norvel::Structure::Captions do
  def guide(rules = "missing: allow") = Norvel::Guide.new("norvel_guide: 1\nname: G\ncaptions: {#{rules}}\n")

  def caption(*runs) = p(runs.map { |one| one.start_with?("<") ? one : r(one) }.join, '<w:pStyle w:val="Caption"/>')

  def chapter(text) = p(r(text), '<w:pStyle w:val="Heading1"/>')

  def said(text) = p(r(text))

  def styles
    %(<w:style w:type="paragraph" w:styleId="Caption"><w:name w:val="caption"/></w:style><w:style w:type="paragraph" ) +
      %(w:styleId="Heading1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl w:val="0"/></w:pPr></w:style>)
  end

  def made(*body) = docx(body.join, styles:)

  def counted(name, number,
    switches = "") = %(<w:fldSimple w:instr=" SEQ #{name} \\* ARABIC #{switches}"><w:r><w:t>#{number}</w:t></w:r>) +
      %(</w:fldSimple>)

  def as_odt(document) = Norvel::Formats.read(Norvel::Formats.write(document, as: "odt").bytes, name: "c.odt")

  def found(document, rules = "missing: allow")
    Norvel::Guide::Check.new(guide(rules), document.tap { |one| Norvel::Layout.of(one) }).findings.select do |one|
      one.rule == "captions.number"
    end
  end

  def told(document, *rules) = found(document, *rules).map { |one| [one.message, one.mend&.safe] }

  def mended(document, *rules)
    list = found(document, *rules)
    list.first.mend.edit(list.select { |one| one.mend == list.first.mend }, guide).apply(document).after
  end

  def labels(document) = Norvel::Structure::Captions.new(document).list.map do |one|
    [one.kind, one.label, one.counted?]
  end

  def instructions(document) = document.paragraphs.flat_map { |one| Norvel::Structure::Sequences.in(one) }
    .map { |field| Norvel::Formats::Docx::FieldInstructions.of(field) }

  # Writes it, reads it, and finds every number where a sequence says it is.
  def settled?(document)
    again = Norvel::Formats.read(Norvel::Formats.write(document).bytes, name: document.name)
    expect(again.paragraphs.map(&:text)).to eq document.paragraphs.map(&:text)
    expect(Norvel::Structure::Sequences.new(again).numbers.values.flat_map(&:values))
      .to eq(Norvel::Structure::Captions.new(again).list.map { |one| one.number.to_s })
    Norvel::Structure::ComputedNumbers.new(again).stale.empty?
  end

  {".docx" => :itself, ".odt" => :as_odt}.each do |ending, form|
    describe "in a #{ending}" do
      def self.form = nil

      define_method(:given) { |*body| (form == :as_odt) ? as_odt(made(*body)) : made(*body) }

      it "are counted where they were typed, safely, and print the same" do
        document = given(caption("Figure 1. Tides"), said("Words."), caption("Table 1: Dues"),
          caption("Figure", " 2. Weirs"))
        expect(told(document)).to eq [["The number of a caption is typed", true]] * 3
        now = mended(document)
        expect(labels(now)).to eq [[:figure, "1", true], [:table, "1", true], [:figure, "2", true]]
        expect(now.paragraphs.map(&:text)).to eq document.paragraphs.map(&:text)
        expect(settled?(now)).to be true
        expect(told(now)).to eq []
      end

      it "ask where a number does not follow, and print it all the same" do
        document = given(caption("Figure 1. Tides"), caption("Figure 4. Weirs"), caption("Figure 5. Mills"))
        expect(told(document).uniq).to eq [["The number of a caption is typed", false]]
        now = mended(document)
        expect(instructions(now)).to match [/ARABIC\z/, /\\r 4\z/, /ARABIC\z/]
        expect(settled?(now)).to be true
      end

      it "are counted by chapter where they were typed so" do
        document = given(chapter("1 Tides"), caption("Figure 1.1 A"), caption("Figure 1.2 B"), chapter("2 Dues"),
          caption("Figure 2.1 C"), said("Words."), caption("Figure 2.2 D"))
        now = mended(document)
        expect(labels(now).map { |_, label, counts| [label, counts] })
          .to eq [["1.1", true], ["1.2", true], ["2.1", true], ["2.2", true]]
        expect(settled?(now)).to be true
      end

      it "keep their emphasis and what else stands in them" do
        document = given(p(r("Figure 1", "<w:b/>") + r(". The ") + r("old", "<w:i/>") + r(" weir"),
          '<w:pStyle w:val="Caption"/>'))
        now = mended(document)
        looks = ->(one) {
          one.paragraphs.first.runs
            .flat_map { |run|
            run.text.chars
              .map { |char| [char, one.run_look(run, one.paragraphs.first).values.slice(:bold, :italic)] }
          }
        }
        expect(looks[now]).to eq looks[document]
        again = Norvel::Formats.read(Norvel::Formats.write(now).bytes, name: document.name)
        expect(looks[again]).to eq looks[document]
      end
    end
  end

  it "that no longer follow are told, and brought up to date with what refers to them" do
    place = ->(id, name, inside) {
      %(<w:bookmarkStart w:id="#{id}" w:name="#{name}"/>#{inside}<w:bookmarkEnd ) +
        %(w:id="#{id}"/>)
    }
    document = made(caption(place[1, "_a", r("Figure ") + counted("Figure", 2)], ". Weirs"),
      caption("Figure ", counted("Figure", 1), ". Tides"),
      p(r("See ") + '<w:fldSimple w:instr=" REF _a \\h "><w:r><w:t>Figure 2</w:t></w:r></w:fldSimple>' + r(" on p. ") +
      '<w:fldSimple w:instr=" PAGEREF _a "><w:r><w:t>9</w:t></w:r></w:fldSimple>'))
    expect(told(document).map(&:first))
      .to eq ["A number that is computed says “2” and should say “1”",
        "A number that is computed says “1” and should say “2”",
        "A number that is computed says “9” and should say “1”"]
    now = Norvel::Edits::RefreshNumbers.new.apply(document).after
    expect(now.paragraphs.map(&:text)).to eq ["Figure 1. Weirs", "Figure 2. Tides", "See Figure 1 on p. 1"]
    expect(settled?(now)).to be true
    expect(told(now)).to eq []
  end

  it "that were inserted under watch stay so, counted by runs that may stand there" do
    watched = p('<w:ins w:id="1" w:author="M"><w:r><w:t>Figure 1. Tides</w:t></w:r></w:ins>',
      '<w:pStyle w:val="Caption"/>')
    now = mended(made(watched, said("Words.")))
    expect(settled?(now)).to be true
    xml = part(Norvel::Formats.write(now).bytes, "word/document.xml")
    expect(xml[%r{<w:ins.*</w:ins>}]).to include('w:fldCharType="begin"', "SEQ Figure")
      .and match(/>1<.*w:fldCharType="end"/)
    expect(xml).not_to include "fldSimple"
  end

  it "are told where the text names one that is not there; works of others are left alone" do
    document = made(caption("Table ", counted("Table", 1), ". Dues"), said("As Table 1 shows, and see Table 9."),
      said("Compare Table 7 in Harbour (1990) and Table 3 of the survey."), said("Figure 8 is of another kind."))
    expect(told(document)).to eq [["The text names “Table 9”, and no caption has that number", nil]]
    expect(found(document).map(&:paragraph)).to eq [document.paragraphs[1].id]
  end

  it "are asked for by chapter or through, as the guide says" do
    document = made(caption("Figure ", counted("Figure", 1), ". Tides"))
    expect(told(document, "numbered: by_chapter")).to eq [["A caption is not numbered by chapter", false]]
    expect(told(document, "numbered: through")).to eq []
  end

  it "are in the language of the text: Abbildung counts as Abbildung, and joins those that are counted already" do
    expect(instructions(mended(made(caption("Abbildung 1: Gezeiten"))))).to eq ["SEQ Abbildung \\* ARABIC"]
    expect(instructions(mended(made(caption("Abb. ", counted("Bild", 1), ": Wehr"), caption("Abb. 2: Mühle")))))
      .to include "SEQ Bild \\* ARABIC"
    expect(instructions(mended(made(caption("Fig. 1 Tides"))))).to eq ["SEQ Figure \\* ARABIC"]
  end

  # Source: python3-docx of Debian 12.
  it "are the sequences that python-docx reads, with the same words" do
    path = File.join(Dir.mktmpdir, "c.docx")
    File.binwrite(path, Norvel::Formats.write(mended(made(caption("Figure 1. Tides"), caption("Figure 2. Weirs"))))
      .bytes)
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import docx, sys, json
      w = "{http://schemas.openxmlformats.org/wordprocessingml/2006/main}"
      print(json.dumps([[f.get(w + "instr").split()[:2] + ["".join(t.text for t in p._p.iter(w + "t"))] for f in p._p.iter(w + "fldSimple")] for p in docx.Document(sys.argv[1]).paragraphs]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out)).to eq [[["SEQ", "Figure", "Figure 1. Tides"]], [["SEQ", "Figure", "Figure 2. Weirs"]]]
  end

  # Source: python3-odf of Debian 12.
  it "are the sequences that odfpy reads, declared before the text" do
    path = File.join(Dir.mktmpdir, "c.odt")
    File.binwrite(path, Norvel::Formats.write(mended(as_odt(made(caption("Figure 3. Tides"),
      caption("Figure 4. Weirs"))))).bytes)
    out, err, status = Open3.capture3("/usr/bin/python3", "-c", <<~PYTHON, path)
      import sys, json
      from odf.opendocument import load
      from odf.text import Sequence, SequenceDecl
      from odf import teletype
      doc = load(sys.argv[1])
      print(json.dumps([[[s.getAttribute("name"), s.getAttribute("formula"), teletype.extractText(s)] for s in doc.getElementsByType(Sequence)], [d.getAttribute("name") for d in doc.getElementsByType(SequenceDecl)]]))
    PYTHON
    expect(status).to be_success, err
    expect(JSON.parse(out)).to eq [[["Figure", "3", "3"], ["Figure", "Figure+1", "4"]], ["Figure"]]
  end

  describe Norvel::Edits::RenumberCaptions do
    def book(*counts)
      made(chapter("CHAPTER 1. Tides"), caption("Figure ", counts[0] || "1", ". A"),
        said("As Figure 1 shows, and Fig. 3; see Figure 9 and Table 1."), caption("Table ", counts[1] || "1", ". T"),
        chapter("2 Dues"), caption("Figure ", counts[2] || "2", ". B"), caption("Figure ", counts[3] || "3", ". C"),
        said("Figures like Figure 2 and figure 3, not Figure 30."))
    end

    [:itself, :as_odt].each do |form|
      it "numbers captions by chapter with all that names them, and back again (#{form})" do
        document = (form == :as_odt) ? as_odt(book) : book
        now = described_class.new(by_chapter: true).apply(document).after
        expect(labels(now).map { |kind, label, counts| [kind, label, counts] })
          .to eq [[:figure, "1.1", true], [:table, "1.1", true], [:figure, "2.1", true], [:figure, "2.2", true]]
        expect(now.paragraphs.map(&:text).values_at(2, -1))
          .to eq ["As Figure 1.1 shows, and Fig. 2.2; see Figure 9 and Table 1.1.",
            "Figures like Figure 2.1 and figure 2.2, not Figure 30."]
        expect(settled?(now)).to be true
        back = described_class.new(by_chapter: false).apply(now).after
        expect(back.paragraphs.map(&:text)).to eq document.paragraphs.map(&:text)
        expect(settled?(back)).to be true
      end
    end

    it "takes fields of other writers for what they are, and real references along" do
      complex = ->(text) {
        %w[begin separate end].map { |type| %(<w:r><w:fldChar w:fldCharType="#{type}"/></w:r>) }
          .then { |from, to, ending|
          "#{from}<w:r><w:instrText> SEQ Figure \\* ARABIC " \
     "</w:instrText></w:r>#{to}#{r(text)}#{ending}"
        }
      }
      document = book(complex["1"], counted("Table", 1), complex["2"], complex["3"])
      now = described_class.new(by_chapter: true).apply(document).after
      expect(labels(now).map { |_, label, counts| [label, counts] })
        .to eq [["1.1", true], ["1.1", true], ["2.1", true], ["2.2", true]]
      expect(settled?(now)).to be true
      expect(instructions(reread(now)).size).to eq 4
    end

    it "is refused where a caption has no chapter" do
      expect { described_class.new(by_chapter: true).change(made(caption("Figure 1. A"), chapter("1 Tides"))) }
        .to raise_error(Norvel::Refused, /before the first chapter/)
      expect { described_class.new(by_chapter: true).change(made(said("Words."))) }.to raise_error(Norvel::Refused)
    end
  end

  it "by chapter go into the other format with the numbers where they begin anew" do
    document = made(chapter("1 Tides"), caption("Figure 1.1 A"), caption("Figure 1.2 B"), chapter("2 Dues"),
      caption("Figure 2.1 C"), caption("Figure 2.2 D"))
    other = as_odt(mended(document))
    expect(instructions(other)).to match [/Arabic\z/i, /Arabic\z/i, /\\r 1\z/, /Arabic\z/i]
    expect(Norvel::Structure::ComputedNumbers.new(other).stale).to eq []
  end

  describe "lists of them" do
    it "are put in as fields of their own, right on every line in both formats" do
      document = made(said("The begin."), caption("Figure 1. Tides"), said("Words."), caption("Figure 2. Weirs"))
      [document, as_odt(document)].each do |one|
        expect { Norvel::Edits::PutInContents.new(one.paragraphs[0].id, captions: "Figure").change(one) }
          .to raise_error(Norvel::Refused, /counted first/)
        now = Norvel::Edits::PutInContents.new(one.paragraphs[0].id, captions: "Figure", heading: "List of figures")
          .apply(mended(one)).after
        again = Norvel::Formats.read(Norvel::Formats.write(now).bytes, name: one.name)
        Norvel::Layout.of(again)
        lists = Norvel::Structure::ContentsLists.new(again)
        expect(lists.lists.map(&:captions)).to eq ["Figure"]
        upwards = Norvel::Edits::MoveParagraphs.new([again.paragraphs.last.id], "up")
        moved = [upwards, upwards, Norvel::Edits::RefreshNumbers.new].inject(again) { |now, edit| edit.change(now) }
          .tap { |one| Norvel::Layout.of(one) }
        rules = Norvel::Guide.new("norvel_guide: 1\nname: G\nparts: [{part: list_of_figures}]\n")
        expect(Norvel::Guide::Check.new(rules, moved).findings.map { |one| [one.rule, one.message] })
          .to eq [["contents.stale", "2 entries are wrong in the list of figures"]]
        fresh = Norvel::Edits::RefreshLists.new.apply(moved).after.tap { |one| Norvel::Layout.of(one) }
        expect(Norvel::Guide::Check.new(rules, fresh).findings).to eq []
        expect(lists.compared(lists.lists.first).map { |row| [row.entry.text, row.wrong] })
          .to eq [["Figure 1. Tides\t1", nil], ["Figure 2. Weirs\t1", nil]]
      end
    end
  end
end
