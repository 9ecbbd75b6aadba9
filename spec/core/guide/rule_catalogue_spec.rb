# frozen_string_literal: true

# The rules on words, numbers, lists, tables, notes, heads and length, each on a small document that meets it in part.
RSpec.describe Norvel::Guide::Check do
  include Values

  running = "The keeper of the gate wrote the hour and the height of the tide in the book, and he signed it at the end."

  let(:styles) { (1..3).flat_map { |level| style("H#{level}", "Heading #{level}", outline_level: level) } }

  def check(document, yaml)
    described_class.new(Norvel::Guide.new("norvel_guide: 1\nname: Test\n#{yaml}"), document)
  end

  def found(document, yaml)
    check(document, yaml).findings.map { |one| [one.rule, one.asked, one.found] }
  end

  def heading(text, level = 1)
    p(text, style: "H#{level}")
  end

  describe "headings" do
    let(:document) do
      made(heading("The Tide and the Book") + p(r(running)) * 4 + heading("The keeper of the gate", 2) + p(r(running)) +
        heading("THE KEEPER OF THE LIGHT", 2) + p(r(running)) + heading("What is left:", 2) + p(r(running)) +
        heading("Deep", 3) + p(r(running)) + heading("", 2) + p(r(running)), styles:)
    end

    it "have the case that is asked for, by their style's capitals too" do
      expect(found(document, "headings: {case: {heading_1: title, heading_2: sentence}}"))
        .to eq [["headings.case", "a capital on the first word", "capitals"]]
      expect(found(document, "roles: {heading_1: {case: {any_of: [upper, sentence]}}}"))
        .to eq [["role.heading_1.case", "capitals or a capital on the first word", "capitals on its words"]]
      mended = Norvel::Guide::Plan.new(check(document, "roles: {heading_1: {case: upper}}").guide, document).after
      expect([mended.letter_look(mended.paragraphs.first)[:caps], mended.paragraphs.first.direct.keys]).to eq [true, []]
      expect(found(mended, "roles: {heading_1: {case: upper}}")).to eq []
    end

    it "are not judged by title case where nouns have capitals, and that is said" do
      german = "Der Wärter schrieb die Stunde und die Höhe der Flut in das Buch, und er hat es am Ende auch gezeichnet."
      document = made(heading("Die Arbeit der Wärter") + p(r(german)) * 8, styles:)
      asked = check(document, "headings: {case: {heading_1: title}}")
      expect([asked.findings, asked.unchecked.map(&:rule)]).to eq [[], ["headings.case"]]
    end

    it "end without a mark, have words, and go down to the level that is allowed" do
      expect(found(document, "headings: {ending_punctuation: forbid, empty: forbid, max_level: 2}"))
        .to contain_exactly(["headings.punctuation", "no mark at the end", "“:”"],
          ["headings.empty", "words", "none"], ["headings.max_level", "level 2 at most", "level 3"])
      expect(found(document, "accessible: {empty_headings: forbid, heading_order: require}"))
        .to eq [["accessible.empty_heading", "words", "none"]]
    end

    it "are numbered as the guide says, typed or counted, and typed numbers are told" do
      typed = made(heading("1 The tide") + p(r(running)) * 3 + heading("1.1 The gate", 2) + p(r(running)) +
        heading("References") + p(r(running)), styles:)
      expect(found(typed, "headings: {numbering: decimal}")).to eq []
      expect(found(typed, "headings: {numbering: none}").map(&:last)).to eq %w[1 1.1]
      expect(found(typed, "headings: {typed_numbers: forbid}").map(&:first)).to eq ["headings.typed_number"] * 2
      expect(found(typed, "headings: {numbering: chapter}").map { |one| one.values_at(1, 2) })
        .to eq [["Chapter 1, then 1.2", "1"]]
    end
  end

  describe "running text" do
    let(:document) do
      made(p(r("It was ") + r("loud", bold: true) + r(" and ") + r("long", italic: true) + r(". #{running}")) +
        p(r(running), first_line: 18.0) * 3 + p(r(running)) +
        p(r(running), first_line: 18.0, space_before: 12.0))
    end

    it "has words set apart as is allowed" do
      expect(found(document, "roles: {body: {emphasis: {allow: [italic]}}}"))
        .to eq [["role.body.emphasis", "words set apart: italic at most", "bold"]]
      expect(found(document, "roles: {body: {emphasis: {forbid: [italic, underline]}}}").map(&:last)).to eq %w[italic]
    end

    it "is broken into paragraphs in one way" do
      expect(found(document, "roles: {body: {paragraph_break: {any_of: [indent, space]}}}").map(&:last))
        .to eq ["nothing", "a first-line indent and space"]
      expect(found(document, "roles: {body: {paragraph_break: space}}").size).to eq 5
    end

    it "is in fonts that are allowed, and stands out from what is behind it" do
      colours = made(p(r("Pale words here", color: "#999999")) +
        p(r("Large words here", color: "#888888", size: 20.0)) + p(r("Dark words")))
      expect(found(colours, "accessible: {contrast: 4.5}")).to eq [["accessible.contrast", "4.5 : 1", "2.8 : 1"]]
      fonts = made(p(r("One")) + p(r("Two", font: "Courier New")))
      expect(found(fonts, "fonts: {allowed: [Times New Roman, Garamond]}"))
        .to eq [["fonts.allowed", "Times New Roman or Garamond", "Courier New"]]
    end

    it "has as many looks as is allowed, and is as long as is asked for" do
      expect(found(document, "clean: {looks_per_role: 2}").map { |one| one.values_at(0, 2) })
        .to eq [["clean.looks", "3 looks"]]
      Norvel::Layout.of(document)
      words = document.word_count
      expect(found(document, "count: {words: {max: 50}, pages: 2}"))
        .to contain_exactly(["count.words", "at most 50 words", "#{words} words"],
          ["count.pages", "2 pages", "1 pages"])
      apart = made(heading("The tide") + p(r(running)) + heading("References") + p(r(running)), styles:)
      expect(found(apart, "count: {words: {max: 30, without: [references]}}")).to eq []
      expect(found(apart, "count: {words: {max: 30}}").size).to eq 1
    end
  end

  it "speaks in the guide's own units" do
    document = made(p(r(running), indent_left: 50.0), page: {margin_left: 75.0})
    expect(found(document, "roles: {body: {indent_left: 1in}}")).to eq [["role.body.indent_left", "1 in", "0.69 in"]]
    expect(found(document, "page: {margins: {left: {min: 1.5in}}}"))
      .to eq [["page.margin.left", "at least 1.5 in", "1.04 in"]]
  end

  describe "lists" do
    let(:document) do
      levels = {0 => ["•", 36.0], 1 => ["-", 54.0]}.transform_values do |text, left|
        Norvel::Document::ListLevel.new(format: "bullet", text:, paragraph: set(indent_left: left, first_line: -18.0))
      end
      items = [0, 0, 1].flat_map { |level| p("a can of oil", list_id: 1, list_level: level) }
      made(p(r(running)) + items + p(r(running)), numbering: numbering(levels))
    end

    it "are indented level by level, hang, and have the signs that are asked for" do
      expect(found(document, "lists: {indent: 0.5in, hanging: 0.25in}"))
        .to eq [["lists.indent", "1 in", "0.75 in"]]
      expect(found(document, "lists: {markers: {bullet: [•, –]}}")).to eq [["lists.marker", "“–”", "“-”"]]
      mend = check(document, "lists: {indent: 0.5in}").findings.first.mend
      expect([mend.safe, mend.name]).to eq [false, "change_list_level"]
      after = Norvel::Guide::Plan.new(check(document, "lists: {indent: 0.5in}").guide, document, also: ["*"]).after
      expect(found(after, "lists: {indent: 0.5in}")).to eq []
    end
  end

  describe "tables and notes" do
    it "stand and are ruled as is asked for, and have text as is asked for" do
      line = Norvel::Styles::BorderLine.new(kind: "single", width: 0.5, color: "auto", space: 0.0)
      cells = table([%w[a b].map { |text| p(r(text, size: 8.0)) }], align: "right", borders: {top: line})
      document = made(p(r(running)) + cells + p(r(running)))
      expect(found(document, "tables: {align: {any_of: [left, center]}, borders: none, text: {size: {min: 9pt}}}").uniq)
        .to contain_exactly(["tables.align", "left or center", "right"],
          ["tables.borders", "no rules", "horizontal rules"], ["role.table_text.size", "at least 9 pt", "8 pt"])
      expect(found(document, "tables: {header_row: require}")).to eq []
    end

    it "are judged in notes by what notes are asked for" do
      notes = thesis.with
      sizes = notes.stories.select { |story| story.kind == "footnote" }.flat_map(&:paragraphs)
        .map { |one| notes.letter_look(one)[:size] }.uniq
      expect(found(notes, "notes: {size: 7pt}").map { |one| one.values_at(0, 1) }.uniq).to eq [["notes.size", "7 pt"]]
      expect(found(notes, "notes: {size: {min: #{sizes.min}pt, max: #{sizes.max}pt}}")).to eq []
      expect(found(notes, "notes: {number_format: lower_roman}").map(&:first).uniq).to eq ["notes.number_format"]
    end
  end

  describe "running heads" do
    it "say what is asked for at its place, from the body on; a mend sets them" do
      document = thesis.with.tap { |one| Norvel::Layout.of(one) }
      yaml = "running: {head: {left: \"{chapter}\", right: \"{page}\"}}"
      expect(found(document, yaml).map { |one| one.values_at(0, 1) }.uniq)
        .to eq [["running.text", "“{chapter}” at left, “{page}” at right"]]
      marked = check(document, "#{yaml}\nheadings: {unmarked: advice}").guide
      after = Norvel::Guide::Plan.new(marked, document, also: ["*"]).after
      expect(found(after, yaml)).to eq []
    end
  end

  describe "what could not be judged" do
    it "is said of paragraphs that left their kind's rules without a word" do
      inset = p(r("“#{running * 2}”"), indent_left: 45.0, indent_right: 45.0)
      document = made(p(r(running)) * 6 + inset + p(r(running)) * 2)
      entries = check(document, "roles: {body: {size: 10pt}}").unchecked
      expect(entries.map { |entry| [entry.rule, entry.why, entry.paragraphs] })
        .to eq [["role.body.*", "1 paragraph in a style for body text reads as block quotation", [7]]]
    end
  end

  describe "granted exceptions" do
    let(:document) do
      made(p(r(running), align: "right") + p(r("Verse of the keeper"), align: "center") +
        heading("The tide") + p(r(running)), styles:)
    end

    it "are listed with whom and when, by style, kind or words, and counted nowhere" do
      yaml = "roles: {body: {align: left}}\nexceptions:\n" \
        "  - {rule: \"role.*\", where: {words: hour and the height}, because: by letter, by: A. Keeper, " \
        "on: 2026-05-03}\n" \
        "  - {rule: role.body.align, where: {role: quote}, because: never}\n"
      made = check(document, yaml)
      expect(made.granted.map { |one| [one.because, one.signed, one.findings.size] })
        .to eq [["by letter", "A. Keeper, 2026-05-03", 1], ["never", nil, 0]]
      expect([made.counts.values.sum, made.at(1)]).to eq [made.findings.size, []]
    end
  end
end
