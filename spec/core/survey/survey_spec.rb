# frozen_string_literal: true

RSpec.describe Norvel::Survey do
  let(:running) do
    "The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years."
  end
  let(:survey) { Norvel::Survey.of(thesis) }

  describe Norvel::Survey::Looks do
    it "groups paragraphs that a reader sees as one kind, whatever stands out inside them" do
      document = docx(
        p(r(running)) +
        p(r(running[0, 40]) + r("emphasis", "<w:i/>") + r(running[40..])) +
        p(r(running), '<w:spacing w:after="0"/>') +
        p(r(running), '<w:jc w:val="center"/>')
      )
      groups = described_class.new(document).groups
      expect(groups.map(&:size)).to eq [3, 1]
      expect(groups.map(&:letter)).to eq %w[A B]
    end

    it "does not ask whether a look comes from a style or was set by hand" do
      styled = style("Big", "Big", rpr: '<w:sz w:val="40"/>')
      document = docx(p(r("by style"), '<w:pStyle w:val="Big"/>') + p(r("by hand", '<w:sz w:val="40"/>')),
        styles: styled)
      expect(described_class.new(document).groups.map(&:size)).to eq [2]
    end

    it "leaves blank paragraphs out" do
      expect(described_class.new(docx(p("") + p(r("x")) + p(r(" ")))).groups.map(&:size)).to eq [1]
    end

    it "goes on after Z" do
      document = docx((1..28).map { |n| p(r("x", "<w:sz w:val=\"#{n * 2}\"/>")) }.join)
      expect(described_class.new(document).groups.map(&:letter).last(3)).to eq %w[Z AA AB]
    end

    it "says what kind of text a group is, with reasons" do
      group = survey.looks.find { |g| g.role == "heading_2" }
      expect(group.suggestion.because).to include("numbered as a section")
      expect(group.example.text).to match(/\A\d\.\d /)
    end

    it "has names that stay while the looks do, whatever else is changed" do
      before = survey.looks
      going = before.last.paragraphs.map(&:id)
      changed = Norvel::Edits::DeleteParagraphs.new(going).change(thesis)
      after = described_class.new(changed).groups
      expect(after.map(&:key)).to match_array before.map(&:key) - [before.last.key]
      expect(before.map(&:key).uniq.size).to eq before.size
    end
  end

  describe Norvel::Survey::NearMisses do
    def misses(body)
      described_class.new(docx(body)).misses.map do |miss|
        [miss.property.name, miss.usual, miss.odd, miss.paragraphs.size]
      end
    end

    def sized(half_points, count)
      p(r(running, "<w:sz w:val=\"#{half_points}\"/>")) * count
    end

    def spaced(twips, count)
      p(r(running), "<w:spacing w:after=\"#{twips}\"/>") * count
    end

    it "finds 11.5 pt beside 12 pt" do
      expect(misses(sized(24, 9) + sized(23, 2))).to eq [[:size, 12.0, 11.5, 2]]
    end

    it "takes a size that is used as often for meant" do
      expect(misses(sized(24, 5) + sized(23, 4))).to be_empty
    end

    it "takes a size a whole point away for meant" do
      expect(misses(sized(24, 9) + sized(22, 2))).to be_empty
    end

    it "finds 6.5 pt of space beside 6 pt, and 7.5 pt not" do
      expect(misses(spaced(120, 9) + spaced(130, 1))).to eq [[:space_after, 6.0, 6.5, 1]]
      expect(misses(spaced(120, 9) + spaced(150, 1))).to be_empty
    end

    it "finds two greys" do
      grey = ->(colour, count) { p(r(running, "<w:color w:val=\"#{colour}\"/>")) * count }
      expect(misses(grey["333333", 6] + grey["3A3A3A", 1])).to eq [[:color, "#333333", "#3a3a3a", 1]]
      expect(misses(grey["333333", 6] + grey["CC3333", 1])).to be_empty
    end

    it "finds line spacings that were meant to be equal" do
      line = ->(value, count) { p(r(running), "<w:spacing w:line=\"#{value}\" w:lineRule=\"auto\"/>") * count }
      found = misses(line[276, 6] + line[264, 1])
      expect(found.map { |name, usual, odd, _| [name, usual[:value], odd[:value]] }).to eq [[:line_spacing, 1.15, 1.1]]
    end

    it "compares within a role: a caption's size is its own" do
      captions = p(r("Figure 1. The gate at low water", '<w:sz w:val="23"/>'))
      expect(misses(sized(24, 9) + captions)).to be_empty
    end

    it "gives every value of a property with its count, for drawing" do
      spots = described_class.new(docx(sized(24, 3) + sized(20, 1))).spots(:size)
      expect(spots.map(&:to_a)).to eq [[10.0, 1], [12.0, 3]]
    end
  end

  describe Norvel::Survey::ByHand do
    def jobs(*paragraphs)
      described_class.all(docx(paragraphs.join)).transform_values(&:size).reject { |_, count| count.zero? }
    end

    it "counts what stands for spacing" do
      expect(jobs(p(""), p(r("\tTab")), p(r("   Spaces")), p(r("two  spaces")), p(r("a\nbreak")))).to eq(
        blank_paragraphs: 1, leading_tabs: 1, leading_spaces: 1, double_spaces: 1, line_breaks: 1
      )
    end

    it "counts numbers and bullets that are typed" do
      expect(jobs(p(r("1.2 Sources")), p(r("• a thing")), p(r("3 crowns were paid")), p(r("plain"))))
        .to eq(typed_numbers: 3)
    end

    it "counts page breaks, typed and by pushing" do
      pushed = p("") * 6
      expect(jobs(p('<w:r><w:br w:type="page"/></w:r>'), p(r("x")), pushed, p(r("y")))).to include(page_break_runs: 2)
    end

    it "counts whole paragraphs in bold or underline, and typed capitals" do
      expect(jobs(p(r("All bold", "<w:b/>")), p(r("Some ") + r("bold", "<w:b/>")),
        p(r("Line", '<w:u w:val="single"/>')), p(r("TYPED CAPITALS")))).to eq(
          whole_bold: 1, whole_underlined: 1, typed_capitals: 1
        )
    end

    it "tells a break inside a sentence from one in an address" do
      inside, address = docx(p(r("The tide,\nwhich turned")) + p(r("Quay Street 4\nRavelmouth"))).paragraphs
      expect([described_class.running_line_break?(inside), described_class.running_line_break?(address)])
        .to eq [true, false]
    end
  end

  describe Norvel::Survey::Outline do
    let(:styles) { (1..3).map { |n| style("H#{n}", "heading #{n}") }.join }

    def outline(*levels)
      described_class.new(docx(levels.map { |n| p(r("H"), "<w:pStyle w:val=\"H#{n}\"/>") }.join, styles:))
    end

    it "marks skipped levels (as ISO 14289-1 7.4.2 counts them)" do
      expect(outline(1, 2, 3, 1, 2).marked.map(&:skipped)).to eq [nil] * 5
      expect(outline(1, 3).marked.map(&:faults)).to eq [[], ["level 2 is skipped"]]
      expect(outline(2).marked.map(&:faults)).to eq [["level 1 is skipped"]]
    end

    it "marks headings that are empty or in tables" do
      table = "<w:tbl><w:tr><w:tc>#{p(r("In a cell"), '<w:pStyle w:val="H1"/>')}</w:tc></w:tr></w:tbl>"
      marked = described_class.new(docx(p("", '<w:pStyle w:val="H1"/>') + table, styles:)).marked
      expect(marked.map(&:faults)).to eq [["empty"], ["in a table"]]
    end

    it "takes an outline level for a mark, whatever the style is called" do
      own = style("Own", "Own", ppr: '<w:outlineLvl w:val="1"/>')
      expect(described_class.new(docx(p(r("x"), '<w:pStyle w:val="Own"/>'), styles: own)).marked.map(&:level)).to eq [2]
    end

    it "tells what is seen from what is marked" do
      expect(survey.outline.seen.size).to eq 54
      expect(survey.outline.marked).to be_empty
      expect(survey.outline.seen.map(&:level).tally).to eq({1 => 9, 2 => 35, 3 => 10})
    end
  end

  describe Norvel::Survey::ReadAloud do
    it "announces structure and never looks" do
      table = "<w:tbl><w:tr><w:tc>#{p(r("a cell"))}</w:tc></w:tr></w:tbl>"
      body = p(r("Head"), '<w:pStyle w:val="H1"/>') + p(r("Not a head", '<w:b/><w:sz w:val="40"/>')) + p("") +
        p(image(1)) + table + p(r("text"))
      document = docx(body, styles: style("H1", "heading 1"), image: Demo::Picture.png)
      expect(described_class.new(document).lines.map { |line| [line.announced, line.text] }).to eq [
        ["heading level 1", "Head"], ["text", "Not a head"], ["blank", ""], ["image, no description", ""],
        ["table", ""], ["cell", "a cell"], ["text", "text"]
      ]
    end
  end

  describe Norvel::Survey::Sentence do
    it "says the truth of a bad file and of a good one" do
      expect(described_class.of(survey))
        .to eq "622 paragraphs wear *18 looks* but only *1 style*. *189* more are blank. *54* look like headings; " \
        "*none* is marked as one."
      good = docx(p(r("Head"), '<w:pStyle w:val="H1"/>') + p(r(running)),
        styles: style("H1", "heading 1", rpr: "<w:b/>"))
      expect(described_class.of(Norvel::Survey.of(good)))
        .to eq "2 paragraphs wear *2 looks* by *2 styles*: what is seen is what the styles say. All *1* headings are " \
        "marked as such."
      expect(described_class.of(Norvel::Survey.of(docx(p(""))))).to eq "The document holds no text."
    end
  end

  describe Norvel::Survey::Departures do
    def departures(ppr, rpr = "", styles: "")
      document = docx(p(r("Text", rpr), ppr), styles:)
      described_class.of(document, document.paragraphs[0]).map { |departure| departure.spoken("cm") }
    end

    it "says what was set by hand and differs from the style" do
      expect(departures('<w:jc w:val="center"/><w:ind w:left="1094"/>', '<w:b/><w:sz w:val="32"/>'))
        .to eq ["centred", "left indent 1.93 cm", "bold", "16 pt"]
    end

    it "passes over what says the same as the style" do
      expect(departures('<w:pStyle w:val="C"/><w:jc w:val="center"/>',
        styles: style("C", "C", ppr: '<w:jc w:val="center"/>'))).to be_empty
    end

    it "says what was switched off" do
      expect(departures('<w:pStyle w:val="B"/>', '<w:b w:val="0"/>', styles: style("B", "B", rpr: "<w:b/>")))
        .to eq ["not bold"]
    end
  end

  it "gives the JSON of the contract" do
    data = JSON.parse(JSON.generate(survey.to_h))
    expect(data.keys).to eq %w[paragraphs words blank_paragraphs styles_used looks near_misses direct unseen
      spacing_by_hand roles]
    expect(data["looks"][0].keys).to eq %w[look count role style effective example indexes]
    expect(data["near_misses"].map(&:keys).uniq).to eq [%w[property usual odd indexes]]
    expect(data["near_misses"].find { |miss| miss["odd"].between?(54.6, 54.8) })
      .to include("property" => "indent_left_pt", "usual" => 53.85)
    expect(data["spacing_by_hand"].keys)
      .to eq %w[blank_paragraphs leading_spaces leading_tabs double_spaces line_breaks typed_numbers page_break_runs]
    expect(data["roles"].map { |role| role["index"] }).to eq (1..811).to_a
    expect(data["direct"]).to eq({"paragraphs" => 337, "runs" => 822})
    expect(data["looks"].sum { |look| look["count"] } + data["blank_paragraphs"]).to eq data["paragraphs"]
  end
end
