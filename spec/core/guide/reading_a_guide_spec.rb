# frozen_string_literal: true

# What a guide's text may be, and the sentence for what it may not (docs/guide-format.md).
RSpec.describe Norvel::Guide, "as it is read" do
  head = "norvel_guide: 1\nname: Test\n"

  def message(source)
    described_class.new(source)
    nil
  rescue Norvel::UnusableGuide => error
    error.message
  end

  # {what follows the head => the sentence}
  {
    "roles: {body: {size: 12pt, size: 11pt}}" => /\ALine 3: “size” stands here a second time \(first in line 3\)/,
    "clean: {}\npage: {}\nclean: {}" => /\ALine 5: “clean” stands here a second time \(first in line 3\)/,
    "roles:\n  body:\n    size: {min: 14pt, max: 12pt}" => /\ALine 5: “roles.body.size” has a min of 14pt, more than/,
    "page: {margins: {top: {min: 3cm, max: 1in}}}" => /\ALine 3: .*min of 3cm, more than its max of 1in/,
    "pagination: {pages: {min: 300, max: 20}}" => /\ALine 3: “pagination.pages” has a min of 300/,
    "roles: {body: {line_spacing: {min: double, max: 1.5}}}" => /\ALine 3: .*min of double/,
    "roles: {body: {line_spacing: triple}}" => /\ALine 3: “roles.body.line_spacing” can't be that: .*single, 1.5/,
    "roles: {body: {size: 4000pt}}" => /\ALine 3: “roles.body.size” can't be that/,
    "roles: {body: {bold: maybe}}" => /\ALine 3: “roles.body.bold” must be true or false, not "maybe"/,
    "roles: {body: {align: middle}}" => /\ALine 3: “roles.body.align” must be left, right, center, justify/,
    "roles: {body: {color: reddish}}" => /\ALine 3: “roles.body.color” can.t be that: “reddish” is not a colour/,
    "roles: {heading_1: {case: shouting}}" => /\ALine 3: “roles.heading_1.case” must be upper, title, sentence/,
    "roles: {body: {emphasis: {allow: [loud]}}}" => /\ALine 3: .*must be one of bold, italic/,
    "roles: {body: {paragraph_break: tab}}" => /\ALine 3: .*must be indent, space/,
    "headings: {case: {heading_9: upper}}" => /\ALine 3: “headings.case.heading_9” is not a rule/,
    "severity: {\"role.qoute.*\": must}" => /\ALine 3: no rule is called “role.qoute.\*”/,
    "exceptions:\n  - {rule: clean.dust, because: x}" => /\ALine 4: no rule is called “clean.dust”/,
    "exceptions: [{rule: page.size}]" => /\ALine 3: “exceptions.0” lacks because/,
    "running: {head: {left: \"{capter}\"}}" => /\ALine 3: .*must be words, with \{chapter\}/,
    "edition: !!ruby/object:Object {}" => /\ALine 3: the tag .* is not plain data/,
    "edition: 2026-01-01" => /\ALine 3: 2026-01-01 is not plain data/,
    "edition: :symbol" => /\ALine 3: :symbol is not plain data/,
    "page: *none" => /\ALine 3: nothing before this is named &none/,
    "page: &a {margins: *a}" => /\ALine 3: nothing before this is named &a/,
    "edition: \"\u0007\"" => /\ALine 3: a control character/,
    "---\nname: two" => /\ALine 4: a second document begins here|Line 3: a second document/,
    "page: [" => /\ALine \d+: the guide is not YAML/,
    "? [page]\n: 1" => /\ALine 3: a name of a rule is expected here/
  }.each do |yaml, expected|
    it("refuses #{yaml.inspect} with its line") { expect(message(head + yaml)).to match expected }
  end

  it "refuses nesting, size and aliases that explode, at once" do
    expect(message("a: #{"[" * 3000}")).to match(/\ALine 1: the guide is nested more than 30 deep/)
    expect(message("a: #{"{a: " * 3000}")).to match(/\ALine 1: the guide is nested more than 30 deep/)
    expect(message("a: b\n" * 300_000)).to match(/\ALine 1: the guide is larger than a guide can be/)
    lines = (1..9).map { |n| "k#{n}: &k#{n} [#{(["*k#{n - 1}"] * 10).join(", ")}]" }
    expect(message("k0: &k0 [x]\n#{lines.join("\n")}")).to match(/\ALine \d: the guide holds more than any guide needs/)
    expect(message("\xFF".b)).to eq "Line 1: this is not UTF-8 text."
  end

  it "reads a byte-order mark, any line end, aliases, a day of an exception, and words that YAML takes for switches" do
    guide = described_class.new("\uFEFF#{head}roles:\r\n  title: &big {size: 14pt}\r\n  subtitle: *big\r\n" \
      "  caption: {<<: *big, italic: true}\r\n" \
      "exceptions:\r\n  - {rule: \"role.title.*\", because: by letter, by: A. Keeper, on: 2026-05-03}\r\n")
    expect(guide.role("subtitle")).to eq("size" => "14pt")
    expect(guide.role("caption")).to eq("size" => "14pt", "italic" => true)
    expect(guide.exceptions.first["on"]).to eq "2026-05-03"
  end

  it "has the most exact of several patterns win, then the later one" do
    stated = "\"*\": advice, \"role.*\": should, role.body.size: must, \"role.b*\": advice"
    guide = described_class.new("#{head}severity: {#{stated}}")
    expect(%w[role.body.size role.quote.size role.body.font clean.direct].map { |rule| guide.severity(rule) })
      .to eq %w[must should advice advice]
  end

  # Source: JSON Schema 2020-12, by json_schemer.
  it "ships guides and a schema that are valid, and every rule of the property table has a place in it" do
    expect(JSONSchemer.valid_schema?(JSON.parse(File.read(Norvel::Guide::Schema::PATH)))).to be true
    stated = JSON.parse(File.read(Norvel::Guide::Schema::PATH)).dig("$defs", "role", "properties").keys
    table = %i[paragraph run].flat_map { |place| Norvel::Styles::Properties.public_on(place) }
    expect(table.map { |one| one.name.to_s } - stated - %w[position list]).to eq []
  end
end
