# frozen_string_literal: true

require "open3"

# Jobs of a sweep that look at a document as a whole: pages begun by hand, typed capitals, definitions, tables, styles.
RSpec.describe Norvel::Guide::Sweep, "by job" do
  include Values

  running = "The keeper of the gate wrote the hour of the tide in the book, and Ravelmouth paid him for the NATO buoys."

  let(:title) { style("H1", "Heading 1", based_on: "Normal", outline_level: 1) }
  let(:cut) { p("\f") }

  def heading(text) = p(text, style: "H1")

  # [what was done by job, what was left by job with its reason, the document after]
  def swept(document, **choices)
    choices = choices.transform_values { |names| described_class.jobs(names) }
    sweep = described_class.new(document, **choices)
    after = sweep.edit.apply(document).after
    [sweep.done, sweep.left.to_h { |entry| entry.values_at(:job, :why) }, after]
  end

  describe "page breaks before headings" do
    it "go, since the style begins the pages, where all its headings begin one" do
      body = p(r(running))
      one, two, three = %w[One Two Three].map { |text| heading(text) }
      document = made(one + body + cut + two + body + cut + p("") + three + body, styles: title)
      done, left, after = swept(document, only: %w[page_breaks])
      expect([done, left]).to eq [{"page_breaks" => 2}, {}]
      expect(after.paragraphs.map(&:text)).to eq ["One", running, "Two", running, "Three", running]
      expect(after.styles["H1"].paragraph[:page_break_before]).to be true
      expect(Norvel::Layout.of(after).sheets.size).to eq Norvel::Layout.of(document).sheets.size
    end

    it "are left where other headings of the style would begin a page too, with how many" do
      document = made(heading("One") + heading("Two") + p(r(running)) + cut +
        heading("Three"), styles: title)
      expect(swept(document, only: %w[page_breaks])[1])
        .to eq "page_breaks" => "1 other heading in Heading 1 would begin a page too"
      after = swept(document, only: %w[page_breaks], also: %w[page_breaks]).last
      expect(after.paragraphs.map(&:text)).to eq ["One", "Two", running, "Three"]
    end

    it "may be blank paragraphs that fill the page, as pages show" do
      document = made(heading("One") + p(r(running)) + p("") * 60 + heading("Two") +
        p(r(running)), styles: title)
      first = Norvel::Layout.of(document).sheets.find { |sheet| sheet.paragraphs.any? { |one| one.text == "Two" } }
      blanks = first.paragraphs.index { |one| one.text == "Two" }
      document = document.without(document.paragraphs.select(&:blank?).first(blanks).map(&:id))
      Norvel::Layout.of(document)
      done, _, after = swept(document, only: %w[page_breaks])
      expect([done, after.paragraphs.map(&:text)]).to eq [{"page_breaks" => 1}, ["One", running, "Two", running]]
    end
  end

  describe "typed capitals" do
    let(:document) do
      made(heading("THE TIDE OF RAVELMOUTH AND THE NATO BUOYS") + p(r(running)) * 3 +
        heading("CHAPTER II: WRACK") + p(r(running)) + heading("APPENDIX A") +
        p(r("NO SMOKING ON THE QUAY. NO FIRES.")), styles: title)
    end

    it "are asked for by their name alone, and typed as the document writes them elsewhere" do
      expect(swept(document).first).not_to have_key "typed_capitals"
      done, _, after = swept(document, only: %w[capitals], also: %w[capitals])
      expect(done).to eq "typed_capitals" => 3
      texts = after.paragraphs.map(&:text)
      expect(texts.values_at(0, 4, 6))
        .to eq ["The tide of Ravelmouth and the NATO buoys", "Chapter II: Wrack", "Appendix A"]
      expect(texts.last).to eq "NO SMOKING ON THE QUAY. NO FIRES."
      expect([after.styles["H1"].run[:caps], after.paragraphs.map(&:direct).uniq]).to eq [true, [set]]
      expect(after.paragraphs.first.sealed_text.upcase).to eq document.paragraphs.first.sealed_text
    end
  end

  describe "terms with their meanings after a tab" do
    it "hang by a style of their own, where that is asked for" do
      list = %w[Ebb Flood Slack].flat_map { |one| p("#{one}\tthe water as it goes, and what the keeper does with it") }
      document = made(p(r(running)) + list + p(r("Name\t12")) * 3)
      expect(swept(document, only: %w[indents]).first).to eq({})
      done, _, after = swept(document, only: %w[indents], also: %w[indents])
      look = after.look(after.paragraphs[1])
      expect([done, after.style_name(after.paragraphs[1]), look[:indent_left], look[:first_line]])
        .to eq [{"leading_white_space" => 3}, "Definition", 36.0, -36.0]
      expect([after.paragraphs.map(&:text), after.paragraphs.last.style_id])
        .to eq [document.paragraphs.map(&:text), nil]
      expect(swept(after, only: %w[indents], also: %w[indents]).first).to eq({})
    end
  end

  describe "styles that look the same" do
    it "become one, the one with more text in it, where that is asked for" do
      one, other = %w[A B].map { |id| p(running, style: id) }
      styles = {"A" => "House text", "B" => "Copy"}.flat_map { |id, name| style(id, name, size: 11.0) }
      document = made(one * 2 + other + p(r(running)), styles:)
      _, left, = swept(document, only: %w[styles])
      expect(left).to eq "unused_styles" => "both may be meant to differ one day"
      after = swept(document, only: %w[styles], also: %w[styles]).last
      expect([after.paragraphs.map { |one| after.style_name(one) }, after.styles["B"]])
        .to eq [["House text"] * 3 + ["Normal"], nil]
    end
  end

  describe "first rows that name the columns" do
    rows = [%w[Station Height], %w[Gate 3.1], %w[Bar 2.2]]

    # Source: python3-docx of Debian 12 reads the file; w:tblHeader is ISO/IEC 29500-1 17.4.78.
    it "are marked as headers in a .docx where they are set apart, and left where they are not" do
      told = [p(r("Station", bold: true)), p(r("Height", bold: true))]
      document = made(p(running) + table([told, *rows.drop(1)]) + p(running) + table(rows) + p(running))
      done, left, after = swept(document, only: %w[tables])
      expect([done, left["tables"]]).to match [{"tables" => 1}, /only a person knows/]
      again = reread(after)
      expect(again.tables.map(&:header_rows)).to eq [1, 0]
      read = python("from docx import Document", "print([[row._tr.trPr is not None and " \
        "len(row._tr.trPr.xpath('w:tblHeader')) for row in table.rows] for table in Document(path).tables])", after)
      expect(read).to eq "[[1, False, False], [False, False, False]]"
    end

    # Source: python3-odf of Debian 12 reads the file; table:table-header-rows is ISO/IEC 26300-1 9.1.5.
    it "are put among the header rows of an .odt" do
      bold = %(<style:style style:name="B" style:family="paragraph" style:parent-style-name="Standard">) +
        %(<style:text-properties fo:font-weight="bold"/></style:style>)
      made = rows.each_with_index.map do |row, at|
        style = at.zero? ? "B" : "Standard"
        cells = row.map { |text| %(<text:p text:style-name="#{style}">#{text}</text:p>) }
        "<table:table-row>#{cells.map { |cell| "<table:table-cell>#{cell}</table:table-cell>" }.join}</table:table-row>"
      end
      document = OpenDocument.new(%(<text:p>#{running}</text:p><table:table table:name="T">) +
        %(<table:table-column table:number-columns-repeated="2"/>#{made.join}</table:table>) +
        %(<text:p>#{running}</text:p>), automatic: bold).document
      done, _, after = swept(document, only: %w[tables])
      expect([done, reread(after).tables.map(&:header_rows)]).to eq [{"tables" => 1}, [1]]
      read = python("from odf.opendocument import load\nfrom odf import table, teletype",
        "print([teletype.extractText(one) for rows in load(path).getElementsByType(table.TableHeaderRows) " \
        "for one in rows.getElementsByType(table.TableCell)])", after)
      expect(read).to eq "['Station', 'Height']"
    end

    def python(imports, line, document)
      path = File.join(Dir.mktmpdir, document.name)
      File.binwrite(path, written(document))
      script = "#{imports}\nimport sys\npath = sys.argv[1]\n#{line}"
      out, err, status = Open3.capture3("/usr/bin/python3", "-c", script, path)
      raise err unless status.success?
      out.strip
    end
  end

  describe "bare text" do
    it "is asked for by its name: all formatting goes, headings and lists stay, those that only look so too" do
      document = made(heading("One") + p(r(running, bold: true), align: "center") +
        p(r("Raised ") + r("2", position: "super") + r(running, style: "S")),
        styles: title + style("S", "Sign", type: "character", italic: true))
      expect(swept(document).first).not_to have_key "bare_text"
      done, _, after = swept(document, only: %w[bare_text])
      expect(done).to eq "bare_text" => 2
      expect(after.paragraphs.map { |one| [after.style_name(one), one.direct.keys] })
        .to eq [["Heading 1", []], ["Normal", []], ["Normal", []]]
      expect(after.paragraphs.flat_map(&:runs).map { |run| [run.style_id, run.direct.keys] }.uniq)
        .to eq [[nil, []], [nil, [:position]]]
    end

    it "is the same when it is done again, and written and read (property)" do
      made = SomeOf.seeds(1..12).flat_map { |seed| [Mixed.new(seed).document, MixedOpen.new(seed).document] }
      made.each do |document|
        [Norvel::Edits::BareText::STRUCTURE.keys, []].each do |keep|
          edit = Norvel::Edits::BareText.new(keep:)
          after = edit.apply(document).after
          expect(edit.change(after).paragraphs).to eq after.paragraphs
          expect(Norvel::Seal.of(reread(after)).words).to eq Norvel::Seal.of(document).words
        end
      end
    end
  end
end
