# frozen_string_literal: true

# A document held against itself: for each kind of unlikeness a document that has it, and one that varies lawfully, in
# both formats.
RSpec.describe Norvel::Consistency do
  heading_styles = (1..3).map { |n|
    %(<w:style w:type="paragraph" w:styleId="Heading#{n}"><w:name ) +
      %(w:val="heading #{n}"/><w:basedOn w:val="Normal"/><w:pPr><w:outlineLvl w:val="#{n - 1}"/></w:pPr><w:rPr><w:b/>) +
      %(<w:sz w:val="28"/></w:rPr></w:style>)
  }.join
  caption = %(<w:style w:type="paragraph" w:styleId="Caption"><w:name w:val="caption"/><w:basedOn w:val="Normal"/>) +
    %(</w:style>)
  words = "The keeper of the gate wrote down each tide that came over the sill in the winter of that year."

  def h(text, level = 1, ppr: "", rpr: "") = p(r(text, rpr), %(<w:pStyle w:val="Heading#{level}"/>#{ppr}))

  def text(count = 1, ppr: "") =
    ([p(r("The keeper of the gate wrote down each tide that came over the sill in the winter of that year."),
      ppr)] * count).join

  def ends(left: 1440, foot: 708, start: nil, format: nil, footer: true, starts: "nextPage")
    reference = '<w:footerReference w:type="default" r:id="rId3"/>' if footer
    numbers = [(%(w:fmt="#{format}") if format), (%(w:start="#{start}") if start)].compact.join(" ")
    %(<w:p><w:pPr><w:sectPr>#{reference}<w:type w:val="#{starts}"/><w:pgSz w:w="11906" w:h="16838"/>) +
      %(<w:pgMar w:top="1440" w:right="1440" w:bottom="1440" w:left="#{left}" w:header="708" w:footer="#{foot}" ) +
      %(w:gutter="0"/>#{"<w:pgNumType #{numbers}/>" unless numbers.empty?}</w:sectPr></w:pPr></w:p>)
  end

  def last_section = section

  def wide = '<w:p><w:pPr><w:sectPr><w:footerReference w:type="default" r:id="rId3"/><w:pgSz w:w="16838" w:h="11906" ' \
    'w:orient="landscape"/><w:pgMar w:top="1134" w:right="1134" w:bottom="1134" w:left="1134" w:header="708" ' \
    'w:footer="708" w:gutter="0"/></w:sectPr></w:pPr></w:p>'

  def shows(*captions) = captions.map { |said| text + p(r(said), '<w:pStyle w:val="Caption"/>') }.join

  def listed(*items) = items.map { |item| p(r(item)) }.join

  def tables(*ways)
    ways.map { |above, below|
      text(ppr: above.to_s) +
        table([%w[Berth Dues], %w[North 12]]) + text(ppr: below.to_s)
    }.join
  end

  def broken = '<w:p><w:r><w:br w:type="page"/></w:r></w:p>'

  # rule, and what of it => [a document that is unlike itself, one that is not]
  cases = {
    "page_setup" => [
      ->(s) { s.text(3) + s.ends + s.text(3) + s.ends(left: 1418) + s.text(3) + s.last_section },
      ->(s) { s.text(3) + s.ends + s.text + s.wide + s.text(3) + s.last_section }
    ],
    "page_numbers" => [
      ->(s) {
        s.text(2) + s.ends(start: 1) + s.text(2) + s.ends + s.text(2) + s.ends(start: 1) + s.text(2) +
          s.last_section
      },
      ->(s) {
        s.text(2) + s.ends(format: "lowerRoman", start: 1) + s.text(2) + s.ends(start: 1) + s.text(2) +
          s.last_section
      }
    ],
    "spacing" => [
      ->(s) { s.text(6) + s.text(ppr: '<w:spacing w:after="240"/>') + s.text(6) },
      ->(s) { (s.h("Chapter") + s.text(ppr: '<w:spacing w:before="240"/>') + s.text(3)) * 4 }
    ],
    "spacing around tables" => [
      ->(s) { s.tables(*[["", ""]] * 4, ["", '<w:spacing w:before="360"/>'], ["", ""]) },
      ->(s) {
        s.tables(*[["", ""]] * 3) + s.h("Dues") +
          s.send(:table, [%w[Berth Dues], %w[North 12]]) + s.text + s.tables(["", ""])
      }
    ],
    "page_ends nearly empty" => [
      ->(s) { s.h("One") + s.text(40) + s.broken + s.text(3) + s.broken + s.text(40) + s.h("Two") + s.text(3) },
      ->(s) {
        s.text(2) + s.broken + s.h("One") + s.text(40) + s.broken + s.h("Two") + s.text(3) + s.broken +
          s.h("Three") + s.text(30)
      }
    ],
    "paragraph_break" => [
      ->(s) { s.text(8, ppr: '<w:ind w:firstLine="720"/>') + s.text + s.text(3, ppr: '<w:ind w:firstLine="720"/>') },
      ->(s) { (s.h("Chapter") + s.text + s.text(4, ppr: '<w:ind w:firstLine="720"/>')) * 3 }
    ],
    "heading_looks" => [
      ->(s) {
        %w[One Two Three].map { |n| s.h("Chapter #{n}") + s.text }.join +
          s.h("Chapter Four", rpr: '<w:sz w:val="30"/>') + s.text
      },
      ->(s) {
        %w[One Two Three Four].map { |n|
          s.h("Chapter #{n}") + s.text +
            s.h("Part of #{n}", 2, rpr: '<w:sz w:val="24"/>') + s.text
        }.join
      }
    ],
    "heading_case" => [
      ->(s) {
        ["The sources of this work", "Keepers of the old gate", "The Harbour and Its Dues",
          "Dues after the breach", "Repairs of the winter"].map { |n| s.h(n) + s.text }.join
      },
      ->(s) {
        ["The sources of this work", "Keepers of the old gate", "Why the Sluice failed in winter",
          "Dues after the breach", "Repairs of the winter"].map { |n| s.h(n) + s.text }.join
      }
    ],
    "heading_numbers" => [
      ->(s) { ["1 Sources", "2 Keepers", "4 Dues", "5 Repairs"].map { |n| s.h(n) + s.text }.join },
      ->(s) {
        s.h("Abstract") + s.text + ["1 Sources", "2 Keepers", "3 Dues"]
          .map { |n| s.h(n) + s.text + s.h("#{n[0]}.1 Of old", 2) + s.text + s.h("#{n[0]}.2 Of late", 2) + s.text }
          .join +
          s.h("References") + s.text
      }
    ],
    "captions" => [
      ->(s) {
        s.shows("Figure 1: Tides of the year", "Figure 2: Gates of the dock", "Fig. 3: Keepers of the gate",
          "Figure 4: Dues of the year")
      },
      ->(s) {
        s.shows("Figure 1: Tides of the year", "Table 1. Dues of the year", "Figure 2: Gates of the dock",
          "Table 2. Wages of the year", "Figure 3: Keepers of the gate", "Table 3. Berths of the dock")
      }
    ],
    "lists" => [
      ->(s) {
        s.text + s.listed("• a float of copper;", "• two days of a carpenter;", "• a new rope;", "• a tin of tar",
          "• nails;", "• a seat of oak.") + s.text
      },
      ->(s) {
        s.text + s.listed("• a float of copper;", "• two days of a carpenter;", "• a new rope;", "• nails;",
          "• a seat of oak.") + s.text
      }
    ]
  }

  %w[docx odt].each do |format|
    cases.each do |rule, (odd, even)|
      [["raises", odd], ["is silent about what varies lawfully in", even]].each do |words_, body|
        it "#{format}: #{words_} #{rule}" do
          made = docx(body.call(self), styles: heading_styles + caption, footer: page_number)
          document = (format == "docx") ? made : Norvel::Formats.read(Norvel::Formats.write(made, as: "odt").bytes,
            name: "made.odt")
          Norvel::Layout.of(document) if rule.start_with?("page_ends")
          found = described_class.of(document, rules: [rule[/\A\w+/]])
          expect(found.map(&:message)).to((words_ == "raises") ? be_one.or(be_many) : eq([]))
        end
      end
    end
  end

  RSpec::Matchers.define(:be_one) { match { |list| list.size == 1 } }
  RSpec::Matchers.define(:be_many) { match { |list| list.size.between?(2, 3) } }

  it "says where, what is usual, what is there, and mends it" do
    document = docx(text(3) + ends + text(3) + ends(left: 1418) + text(3) + section, footer: page_number)
    check = Norvel::Guide::Check.new(Norvel::Guide.none, document)
    finding = check.findings.find { |one| one.rule == "consistent.page_setup" }
    expect([finding.severity, finding.section, finding.asked, finding.found]).to eq ["advice", 2, "25.4 mm", "25 mm"]
    mended = finding.mend.edit([finding], check.guide).apply(document).after
    expect(Norvel::Guide::Check.new(Norvel::Guide.none, mended).findings.map(&:rule))
      .not_to include "consistent.page_setup"
  end

  it "is asked for by a guide, as a must where that says so" do
    guide = Norvel::Guide.new("norvel_guide: 1\nname: T\nconsistent: {page_setup: must}")
    document = docx(text(3) + ends + text(3) + ends(left: 1418) + text(6) + text(ppr: '<w:spacing w:after="240"/>') +
      text(6) + section, footer: page_number)
    expect(Norvel::Guide::Check.new(guide, document).findings.map { |one| [one.rule, one.severity] }.uniq)
      .to eq [["consistent.page_setup", "must"]]
    everything = Norvel::Guide.new("norvel_guide: 1\nname: T\nconsistent: should")
    expect(Norvel::Guide::Check.new(everything, document).findings.map(&:severity).uniq).to eq ["should"]
  end

  # a table of forty rows after some text, its first row repeated or not
  def long_table(repeated)
    rows = (1..60).map do |n|
      %(<w:tr>#{"<w:trPr><w:tblHeader/></w:trPr>" if n == 1 &&
        repeated}<w:tc><w:tcPr><w:tcW w:w="4000" w:type="dxa"/></w:tcPr>#{p(r("Row #{n}"))}</w:tc></w:tr>)
    end
    %(<w:tbl><w:tblPr><w:tblW w:w="4000" w:type="dxa"/></w:tblPr><w:tblGrid><w:gridCol w:w="4000"/></w:tblGrid>#{rows
      .join}</w:tbl>)
  end

  it "takes a table that goes over a page without a repeated row, and none with one" do
    found = [false, true].map do |repeated|
      described_class.of(docx(text(30) + long_table(repeated) + text).tap { |one| Norvel::Layout.of(one) },
        rules: ["page_ends"]).map(&:message)
    end
    expect(found).to match [[/goes on over 2 pages, and its first row is not repeated/], []]
  end

  # Pairs, odd and even, of what needs parts of its own.
  %w[docx odt].each do |format|
    it "#{format}: raises notes of another size, and heads that differ by a word, and neither where all are alike" do
      as = ->(made) {
        (format == "docx") ? made : Norvel::Formats.read(Norvel::Formats.write(made, as: "odt").bytes,
          name: "made.odt")
      }
      noted = lambda do |last|
        notes = (1..3).map { |n| footnote(n, "Leaf #{n} of the register.") }.join +
          footnote(4, "Leaf 4.").gsub('w:val="18"', %(w:val="#{last}"))
        as[docx((1..4).map { |n| p(r(words) + note(n)) }.join, footnotes: notes)]
      end
      expect([22, 18].map { |size| described_class.of(noted[size], rules: ["notes"]).size }).to eq [1, 0]
      plain = docx(([text(2)] * 4).join(ends(footer: false)) + section(footer: false))
      headed = lambda do |heads|
        edits = heads.map.with_index(1) do |head, number|
          Norvel::Edits::SetRunning.new([number], {"header" => Norvel::Running::Line.new(left: head)})
        end
        as[edits.inject(plain) { |now, edit| edit.apply(now).after }]
      end
      found = [["Harbour book", "Harbour book", "Harbour books", "Harbour book"], ["Harbour book"] * 4]
        .map { |heads| described_class.of(headed[heads], rules: ["running"]).size }
      expect(found).to eq [1, 0]
      odd = headed[["Harbour book", "Harbour book", "Harbour books", "Harbour book"]]
      group = Norvel::Guide::Check.new(Norvel::Guide.itself, odd).groups.find { |one| one.rule == "consistent.running" }
      mended = group.edit(Norvel::Guide.itself).apply(odd).after
      expect(described_class.of(mended, rules: ["running"])).to eq []
    end
  end

  it "takes notes of another size, and single lines at the edges of pages" do
    notes = docx((1..4).map { |n| p(r(words) + note(n)) }.join, footnotes: (1..3)
      .map { |n| footnote(n, "Leaf #{n} of the register.") }.join + footnote(4, "Leaf 4.")
        .gsub('w:val="18"', 'w:val="22"'))
    expect(described_class.of(notes, rules: ["notes"]).map(&:found)).to eq ["11 pt"]
  end
end
