# frozen_string_literal: true

RSpec.describe Norvel::Guide::Contradictions do
  include Values

  def pairs(rules) = described_class.new(Norvel::Guide.new("norvel_guide: 1\nname: G\n#{rules}")).all

  {
    "headings: {case: {heading_1: upper}}\nroles: {heading_1: {case: title}}" => %w[headings.case role.heading_1.case],
    "pagination: {chapters_start: odd_page}\nroles: {heading_1: {page_break_before: false}}" =>
      %w[pagination.chapter_start role.heading_1.page_break_before],
    "pagination: {orphans: should}\nroles: {body: {widow_control: false}}" =>
      %w[pagination.orphan role.body.widow_control],
    "tables: {text: {size: {max: 9pt}}}\nroles: {table_text: {size: {min: 10pt}}}" => %w[role.table_text.size],
    "pagination: {pages: {max: 10}}\ncount: {pages: {min: 20}}" => %w[pagination.pages count.pages],
    "roles: {body: {paragraph_break: space, space_before: 0pt, space_after: 0pt}}" =>
      %w[role.body.paragraph_break role.body.space_after]
  }.each do |rules, names|
    it("finds #{names.join(" and ")} at odds") { expect(pairs(rules).map(&:rules)).to eq [names] }
  end

  it "finds nothing at odds where one value meets both, nor in the guides that ship" do
    ["headings: {case: {heading_1: upper}}\nroles: {heading_1: {case: {any_of: [title, upper]}}}",
      "tables: {text: {size: 10pt}}\nroles: {table_text: {size: {min: 9pt, max: 12pt}}}",
      "pagination: {chapters_start: new_page, widows: allow}\nroles: {body: {widow_control: false}}",
      "roles: {body: {paragraph_break: space, space_before: 0pt, space_after: 6pt}}"]
      .each { |rules| expect(pairs(rules)).to eq [] }
    Norvel::Guide.shipped.each { |name, guide| expect([name, described_class.new(guide).all]).to eq [name, []] }
  end

  it "is told by every check, with both clauses" do
    guide = Norvel::Guide.new("norvel_guide: 1\nname: G\nheadings: {case: {heading_1: upper}, cite: \"1\"}\n" \
      "roles: {heading_1: {case: title, cite: \"2\"}}\n")
    check = Norvel::Guide::Check.new(guide, made(p(r("Some words."))))
    expect(check.unchecked.map { |entry| [entry.rule, entry.why] }).to include(
      ["headings.case", /can't both be met.*\(1\).*\(2\)/], ["role.heading_1.case", /can't both be met/]
    )
  end
end

RSpec.describe Norvel::Guide::Rules::PartLanguageRules do
  include Values

  let(:guide) do
    Norvel::Guide.new("norvel_guide: 1\nname: G\nparts:\n  - {part: abstract, language: en-GB, cite: \"2.2\"}\n")
  end

  def document(language)
    run = r("The mill was repaired in three tides, and the book says who paid for the timber.",
      **{language:}.compact)
    heading = ->(words) { p(r(words), style: "H") }
    german = p(r("Die Mühle stand lange leer.", language: "de"))
    made(heading["Abstract"] + p(run) + heading["1 Mills"] + german,
      styles: style("H", "Heading 1"))
  end

  def found(language) = Norvel::Guide::Check.new(guide, document(language)).findings

  # Source: BCP 47 (RFC 5646), a primary tag fits its regions.
  it "asks the language of a part of its own paragraphs alone" do
    expect([found("en-US"), found("en")].flatten.select { |one| one.found == "German" }).to eq []
    german = found("de-AT")
    expect(german.map { |one| [one.rule, one.asked, one.found, one.cite] }.uniq)
      .to include ["language.part", "English", "German", "2.2"]
    mended = german.last.mend.edit(german, guide).apply(document("de-AT")).after
    expect(Norvel::Guide::Check.new(guide, mended).findings.map(&:found)).not_to include "German"
  end
end

RSpec.describe Norvel::Guide::Unchecked do
  # Source: WCAG 2.2, 1.1.1 and 1.4.5: whether words fit an image no program can tell.
  it "says what of accessibility only a person can judge, where there is something of the kind" do
    why = lambda do |rules, name|
      guide = Norvel::Guide.new("norvel_guide: 1\nname: G\n#{rules}")
      made = (name == :thesis) ? Demo::Thesis : Demo::Notice
      document = Norvel::Formats.read(made.new.bytes, name: "d.docx")
      Norvel::Guide::Check.new(guide, document).unchecked.map(&:rule)
    end
    expect(why["accessible: {alt_text: require}", :thesis]).to include "accessible.alt_text.*"
    expect(why["accessible: {alt_text: require}", :notice]).not_to include "accessible.alt_text.*"
    expect(why["accessible: {alt_text: allow}", :thesis]).not_to include "accessible.alt_text.*"
  end
end
