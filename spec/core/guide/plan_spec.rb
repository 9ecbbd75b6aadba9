# frozen_string_literal: true

RSpec.describe Norvel::Guide::Plan do
  include Values

  let(:running) do
    "The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years."
  end
  let(:guide) do
    Norvel::Guide.new(<<~YAML)
      norvel_guide: 1
      name: Test
      roles:
        body: {style: Body Text, size: {min: 10pt, max: 12pt}, bold: false}
        heading_1: {style: Heading 1, bold: true}
      clean: {direct_formatting: {keep: [italic]}, blank_paragraphs: forbid, tabs_as_indents: forbid, line_breaks: forbid, double_spaces: forbid}
      severity: {"clean.direct": should}
    YAML
  end
  let(:blue_heading) do
    style("Heading1", "Heading 1", based_on: "Normal", outline_level: 1,
      color: "#2f5496", size: 16.0)
  end

  def plan(body, styles: [], guide: self.guide, **choices)
    described_class.new(guide, made(body, styles:, defaults: {font: "Arial", size: 11.0}), **choices)
  end

  def heads(text = "Sources", size: 15.0) = p(r(text, bold: true, size:)) + p(r(running)) * 2

  def named(document, name) = document.styles.named(name)

  def letters(document, text)
    paragraph = document.paragraphs.find { |one| one.text.start_with?(text) }
    document.letter_look(paragraph)
  end

  describe "the look" do
    it "of paragraphs is taken over by a style that nothing wears, whatever it looked like" do
      after = plan(heads + heads("Method"), styles: blue_heading).after
      expect(letters(after, "Sources").values.slice(:color, :size, :bold)).to eq(color: "auto", size: 15.0, bold: true)
      expect([named(after, "Heading 1").run[:color], after.paragraphs[0].runs[0].direct]).to eq ["auto", set]
    end

    it "of a style that others wear stays; they look as it does, which is told, and nothing is set by hand" do
      body = p(r("Worn already"), style: "Heading1") + p(r(running)) +
        heads(size: 16.0)
      made = plan(body, styles: blue_heading.map { |one| one.with(run: one.run.merge(bold: true)) })
      part = made.parts.find { |one| one.style == "Heading 1" }
      expect([part.kind, part.differences.map { |property, theirs, its| [property.name, theirs, its] }])
        .to eq ["put_in_style", [[:color, "auto", "#2f5496"]]]
      expect(letters(made.after, "Sources").values.slice(:color, :size)).to eq(color: "#2f5496", size: 16.0)
      expect(letters(made.after, "Worn").values.slice(:color, :size)).to eq(color: "#2f5496", size: 16.0)
      expect(Norvel::Guide::PlanWords.new(part).detail).to eq "looks as the style does: colour automatic → #2f5496"
    end

    it "keeps a value that lies in a range, and takes the nearest end for one that does not" do
      sizes = [11.0, 14.0, 8.0].map do |size|
        plan(p(r(running, size:)) * 3).after
      end
      expect(sizes.map { |after| named(after, "Body Text").run[:size] }).to eq [11.0, 12.0, 10.0]
    end

    it "of a style made for headings has their level" do
      chapters = Norvel::Guide.new("norvel_guide: 1\nname: T\nroles: {heading_1: {style: Chapter}}")
      expect(named(plan(heads * 2, guide: chapters).after, "Chapter").paragraph[:outline_level]).to eq 1
    end

    it "is never woken from a style that content names and the file lacks" do
      body = heads * 2 + p(r("A short remark that stays"), style: "BodyText")
      after = plan(body).after
      expect(named(after, "Body Text").id).not_to eq "BodyText"
      expect(after.style_name(after.paragraphs.last)).to eq "Normal"
    end
  end

  describe "words set apart" do
    it "stay in all kinds, also where they are most of a paragraph" do
      kinds = [{bold: true}, {italic: true}, {underline: "single"}, {strike: true}, {highlight: "#ffff00"},
        {small_caps: true}, {position: "super"}]
      body = kinds.flat_map { |kind| p(r("#{running} ", **kind) + r("and the rest.")) } + p(r(running)) * 3
      before = made(body, defaults: {font: "Arial", size: 11.0})
      after = described_class.new(guide, before).after
      looks = ->(document) {
        document.paragraphs
          .map { |one|
          one.runs.map { |run|
            document.run_look(run, one).values.slice(:bold, :italic, :underline, :strike,
              :highlight, :small_caps, :position)
          }
        }
      }
      expect(looks[after]).to eq looks[before]
    end

    it "stay where a style of words says some of it: half a paragraph is not set upright" do
      styles = style("Emph", "Emphasis", type: "character", italic: true)
      strict = Norvel::Guide.new(guide.source.sub("bold: false}", "bold: false, italic: false}"))
      body = p(r("#{running} ", italic: true) + r("and so on.", style: "Emph")) + p(r(running)) * 3
      after = plan(body, styles:, guide: strict).after
      expect(after.paragraphs[0].runs.map { |run| after.run_look(run, after.paragraphs[0])[:italic] })
        .to eq [true, true]
    end

    it "are told by how many words" do
      part = plan(p(r("#{running} ") + r("Salt and Timber", italic: true)) * 2 + p(r(running)) * 2).parts.find do |one|
        one.style == "Body Text"
      end
      expect(part.kept).to eq(italic: 6)
      expect(Norvel::Guide::PlanWords.new(part).keeps).to eq "keeps 6 words in italics"
    end
  end

  describe "blank paragraphs" do
    def spaced(gap) = p(r(running)) + gap + p(r("Sources", bold: true, size: 15.0)) + p("") + p(r(running))

    it "become space of a style whose paragraphs all have them" do
      after = plan(spaced([]) * 4, styles: blue_heading).after
      expect(named(after, "Heading 1").paragraph[:space_after]).to eq 12.0
      expect(after.paragraphs.select { |one| one.text == "Sources" }.map(&:direct).uniq).to eq [set]
      expect(after.paragraphs.count(&:blank?)).to eq 0
    end

    it "stay where a style's paragraphs differ in them, and become its space throughout when a person says so" do
      body = (spaced(p("")) + spaced([])) * 2
      before = ->(after) {
        after.paragraphs.select { |one| one.text == "Sources" }
          .map { |one| after.look(one)[:space_before] }
      }
      made = plan(body)
      expect([before[made.after], made.after.paragraphs.count(&:blank?)]).to eq [[0.0] * 4, 2]
      expect(made.left.find { |entry| entry[:rule] == "clean.blank_paragraph" })
        .to include(count: 2, why: "2 others in Heading 1 have no such space and would get it too")
      offered = made.parts.find(&:off)
      after = plan(body, with: [offered.key]).after
      expect([offered.key, before[after], after.paragraphs.count(&:blank?)])
        .to eq ["space_for_blanks asked", [12.0] * 4, 0]
      expect(after.paragraphs.map(&:direct).uniq).to eq [set]
    end

    it "stay on a title page, between tables, in verse and where many push" do
      title = p("") * 3 + p(r("The Keeper", bold: true, size: 20.0), align: "center") + p("") * 2 +
        p(r("Ines Aldermoor"), align: "center") + p(r("\f"))
      verse = p(r("I kept the gate by night,")) + p(r("I kept it dry by day,")) + p(r("and when the water went")) +
        p("") + p(r("The water came and fell,")) + p(r("it never asked my name,")) + p(r("and what it took"))
      body = title + p(r(running)) * 3 +
        table([%w[a b]]) + p("") + table([%w[c d]]) + p(r(running)) + p("") * 6 + p(r(running)) + verse
      left = plan(body).left.select { |entry| entry[:rule] == "clean.blank_paragraph" }
      expect(left.map { |entry| [entry[:count], entry[:why]] })
        .to contain_exactly([5, "they hold places on the title page"], [1, "a table or a break stands next to them"],
          [6, "6 in a row push what follows down: a page break may be meant"],
          [1, "they part lines that are meant as they stand"])
    end

    it "stay where nothing is in a style that could hold the space (some writers make no styles at all)" do
      stub_const("OpenDocument::STANDARD", "")
      one = "<text:p>#{running}</text:p>"
      made = described_class.new(Norvel::Guide.none, OpenDocument.new("#{one}<text:p/>" * 3 + one).document)
      expect(made.left.find { |entry| entry[:rule] == "clean.blank_paragraph" })
        .to include(count: 3, why: "what stands beside them is in no style: put it in one first")
      expect(made.after.paragraphs.count(&:blank?)).to eq 3
    end

    it "go without a space where the guide says how much there is" do
      tight = Norvel::Guide.new(guide.source.sub("bold: false}", "bold: false, space_before: 0pt, space_after: 0pt}"))
      after = plan((p(r(running)) + p("")) * 4, guide: tight).after
      expect(after.paragraphs.map { |one| after.look(one).values.slice(:space_before, :space_after) }.uniq)
        .to eq [{space_before: 0.0, space_after: 0.0}]
    end
  end

  it "gives tabs to the style where nearly all paragraphs begin so, and leaves columns alone" do
    after = plan(p(r("\t#{running}")) * 9 + p(r("Name:\tInes\tRoom 4"))).after
    expect([named(after, "Body Text").paragraph[:first_line], after.paragraphs[0].text[0, 3], after.paragraphs[9].text])
      .to eq [36.0, "The", "Name:\tInes\tRoom 4"]
  end

  # What one part does to a style makes the blank lines in it higher: the other must not count that in.
  it "makes the space that was there, whichever part comes first" do
    after = {space_after: 10.0}
    heading = p(r("Buoys in the outer harbour", bold: true, size: 15.0), **after)
    text = (heading + p("", **after) + (p(r(running), **after) + p("", **after)) * 3) * 5
    document = made(text, defaults: {font: "Arial", size: 11.0})
    none = Norvel::Guide.none
    all = described_class.new(none, document).then do |plan|
      described_class.new(none, document, with: plan.parts.map(&:key))
    end
    all = described_class.new(none, document, with: all.parts.map(&:key))
    looks = all.after.paragraphs.map { |one| all.after.look(one)[:space_after] }
    expect(all.after.paragraphs.count(&:blank?)).to eq 0
    # Arial: 1.15 of its size (OS/2 and hhea tables of its stand-in), between 10 pt before and after
    expect(looks.max).to be_within(1).of(10 + 12.65 + 10)
  end

  it "leaves code, verse and short lines as they stand" do
    code = p(r("store(line);\n  print(line);"))
    verse = p(r("the water came,\nthe water fell,\nand no one saw"))
    after = plan(p(r(running)) * 3 + code + verse +
      p(r("a line of text that runs on and on over the measure,\nas it was wrapped by hand"))).after
    expect(after.paragraphs.map { |one| one.text.count("\n") }).to eq [0, 0, 0, 1, 2, 0]
  end

  it "leaves every printed number, also one that is switched off and one that a blank paragraph counts" do
    numbers = Mixed.new(77).document
    after = described_class.new(guide, numbers).after
    expect(after.markers).to eq numbers.markers.slice(*after.paragraphs.map(&:id))
  end

  describe "parts" do
    it "that ask first are told in the name of the change" do
      document = made(p(r("• a can of oil")) + p(r("• a box of wicks")) + p(r("One  and two. #{running}")))
      title = ->(**choices) { Norvel::Guide::MendSafe.new(Norvel::Guide.none, **choices).title(document) }
      expect([title.call, title.call(with: ["list_typed asked"])])
        .to eq ["Clean up what is sure", "Clean up what is sure, and 1 part that asks first"]
      expect(title.call(among: [3])).to eq "Clean up what is sure, of what was chosen"
    end

    it "can be left out: they are shown switched off, and what stays is told" do
      body = heads * 3 + (p(r(running)) + p("")) * 70 + p(r(running))
      all = plan(body)
      without = plan(body, without: ["put_in_style Heading 1"])
      expect(all.parts.select { |part| part.mend.safe }.map(&:off)).to all be false
      expect(without.parts.select { |part| part.off && part.mend.safe }.map(&:key)).to eq ["put_in_style Heading 1"]
      expect(without.left).to include(rule: "headings.unmarked", count: 3, why: "left out of the plan")
    end

    it "that ask first are offered, and done when they are taken in" do
      entries = (0..3).flat_map { |n|
        p("Aldermoor, A. (189#{n}). Salt. Ravelmouth: Quay Press.", indent_left: 36.0, first_line: -36.0)
      }
      body = p(r(running)) * 3 + p(r("References", bold: true, size: 15.0)) + entries
      offered = plan(body).parts.find(&:off)
      expect([offered.key, offered.count, offered.mend.why])
        .to eq ["put_in_style Bibliography asked", 4, "no guide asks for that style"]
      after = plan(body, with: [offered.key]).after
      expect(after.style_name(after.paragraphs.last)).to eq "Bibliography"
      expect(after.look(after.paragraphs.last)[:first_line]).to eq(-36.0)
    end

    it "show a place before and after" do
      made = plan(p(r("One  and two, #{running}")) * 3)
      part = made.parts.find { |one| one.kind == "single_spaces" }
      before, after = Norvel::Guide::PlanWords.new(part).example.values
      expect([before[0, 8], after[0, 7]]).to eq ["One  and", "One and"]
    end
  end

  it "goes by what a person decided, and takes it back like any change" do
    document = made(p(r(running)) * 2 + heads * 2, defaults: {font: "Arial", size: 11.0})
    first = document.paragraphs.find { |one| one.text == "Sources" }
    decided = Norvel::Edits::Decide.new([first.id], Norvel::Document::NO_HEADING).apply(document)
    after = described_class.new(guide, decided.after).after
    expect(after.paragraphs.select { |one| one.text == "Sources" }.map { |one| after.style_name(one) })
      .to eq ["Body Text", "Heading 1"].reverse.rotate
    expect(decided.take_back(decided.after).decisions).to eq({})
  end

  it "asks before it takes paragraphs out of a style that someone made" do
    mine = style("Mine", "My own", based_on: "Normal")
    few = p(r(running), style: "Mine") + p(r(running)) * 3
    many = p(r(running), style: "Mine") * 5
    expect([few, many].map { |body| plan(body, styles: mine).left.count { |entry| entry[:rule] == "role.body.style" } })
      .to eq [1, 0]
  end

  it "is empty the second time, and tells what a check finds" do
    made = plan((heads + p("") + p(r("\tAnd  so on, #{running}"))) * 3)
    expect(described_class.new(guide, made.after.with)).to be_nothing
    counts = Norvel::Guide::Check.new(guide, made.after.with).findings.map(&:rule).tally
    expect(made.left.group_by { |entry| entry[:rule] }.transform_values { |list| list.sum { |entry| entry[:count] } })
      .to eq counts
  end

  it "leaves alone what it can't do: the name of its style belongs to one of words" do
    made = plan(p(r(running)) * 4, styles: style("BT", "Body Text", type: "character"))
    expect(made.left).to include(rule: "role.body.style", count: 4, why: described_class::NEVER)
  end
end
