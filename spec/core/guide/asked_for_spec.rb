# frozen_string_literal: true

# What can be asked, how it is typed, what a manual's sentences offer, and how far a document meets it.
RSpec.describe Norvel::Guide do
  include Values

  head = "norvel_guide: 1\nname: Ours\n"

  describe Norvel::Guide::Catalogue do
    it "lists every rule of the format, each under a label of its own and in a topic" do
      labels = described_class.all.map(&:label)
      expect(labels.tally.select { |_, count| count > 1 }).to eq({})
      expect(labels).to include("Body text: size", "Margin, inside", "Part of the document", "Running head",
        "Every figure and table has a caption", "Note: line spacing", "Exception")
      topics = described_class.all.map { |entry| Norvel::Guide::Sentences.topic(entry.place) }.uniq
      expect(topics - Norvel::Guide::Sentences::TOPICS.keys).to eq []
    end

    # Source of the format: guide.schema.json (JSON Schema 2020-12), read by json_schemer.
    it "offers nothing that the format would refuse, and reads back what it wrote (property)" do
      typed = {"length" => "12pt", "number" => "3", "name" => "Body", "colour" => "dark blue", "single" => "1.5"}
      described_class.all.each do |entry|
        next if entry.members.any? || entry.expects.start_with?("{")
        words = (entry.choices.first || typed.find { |kind, _| entry.expects.include?(kind) }&.last || "3").to_s
        value = described_class.value("is", words)
        value = [value] if entry.expects.start_with?("a list")
        guide = Norvel::Guide.new(Norvel::Guide::Rewritten.new(head).put(entry.place, value))
        expect(described_class.value(*described_class.typed(guide.data.dig(*entry.place)))).to eq value
        expect(Norvel::Guide::Sentences.new(guide).all).not_to be_empty
      end
    end

    it "reads what is typed in each way, and refuses half a range" do
      expect(described_class.value("any_of", "left, justify")).to eq "any_of" => %w[left justify]
      expect(described_class.value("between", "10pt to 12pt")).to eq "min" => "10pt", "max" => "12pt"
      expect(described_class.value("min", "2")).to eq "min" => 2
      expect(described_class.value("is", "{keep: [italic]}")).to eq "keep" => ["italic"]
      expect { described_class.value("between", "10pt") }.to raise_error Norvel::Refused, /two values/
      expect { described_class.value("is", " ") }.to raise_error Norvel::Refused, /a value/
      expect { described_class.value("is", "{keep: [") }.to raise_error Norvel::Refused, /can't be read/
    end

    it "has members for what holds several values, and a place for one more of a list" do
      entry = described_class.labelled("part of the document")
      expect(entry.members.map(&:label)).to include("part", "required", "max words")
      guide = Norvel::Guide.new("#{head}parts:\n  - {part: abstract}\n")
      place = described_class.place_in(guide, entry)
      expect(place).to eq ["parts", 1]
      value = described_class.members(described_class.of(place), "part" => "contents", "levels" => "3", "cite" => "")
      expect(Norvel::Guide::Rewritten.new(guide.source).put(place, value))
        .to eq "#{guide.source}  - {part: contents, levels: 3}\n"
    end
  end

  # Source: guide.schema.json as JSON Schema 2020-12, read by json_schemer; Psych as reader and writer of YAML.
  it "is valid whatever rules are put together, and means the same when it is written anew (property)" do
    examples = described_class::Examples
    200.times do |seed|
      random = Random.new(seed)
      entries = described_class::Catalogue.all.sample(3 + random.rand(12), random:)
      text = entries.inject(head) do |now, entry|
        place = described_class::Catalogue::LISTS.include?(entry.place) ? [*entry.place, 0] : entry.place
        described_class::Rewritten.new(now).put(place, examples.value(entry))
      end
      guide = Norvel::Guide.new(text)
      again = Norvel::Guide.new(YAML.dump(guide.data))
      expect([seed, again.data]).to eq [seed, guide.data]
      expect([seed, again.requirements("body").keys]).to eq [seed, guide.requirements("body").keys]
    end
  end

  # The sentences are made up, in the ways that manuals of theses commonly put them (common practice).
  describe Norvel::Guide::FromManual do
    def offered(text) = described_class.new(text).offers.to_h { |offer| [offer.place.join("."), offer.value] }

    {
      "Margins must be at least 1 inch on all sides." =>
        %w[top bottom left right].to_h { |side| ["page.margins.#{side}", {"min" => "1in"}] },
      "The left margin must be 1½ inches; all other margins must be 1 inch." =>
        {"page.margins.left" => "1.5in", "page.margins.top" => "1in", "page.margins.bottom" => "1in",
         "page.margins.right" => "1in"},
      "The body of the text is double-spaced." => {"roles.body.line_spacing" => "double"},
      "Type the text one and a half spaced." => {"roles.body.line_spacing" => 1.5},
      "Use 12-point Times New Roman or Arial." =>
        {"roles.body.font" => {"any_of" => ["Times New Roman", "Arial"]}, "roles.body.size" => "12pt"},
      "A font of 10 to 12 points is required." => {"roles.body.size" => {"min" => "10pt", "max" => "12pt"}},
      "Block quotations of 40 words or more are single-spaced." =>
        {"roles.quote.line_spacing" => "single", "roles.quote.from_words" => 40},
      "Footnotes may be single-spaced in 10 point." => {"notes.line_spacing" => "single", "notes.size" => "10pt"},
      "Indent the first line of each paragraph half an inch." => {"roles.body.first_line" => "0.5in"},
      "Number the preliminary pages in lower-case Roman numerals, centred at the bottom of the page." =>
        {"pagination.matters.front" => {"matter" => "front", "label" => "lower_roman", "place" => "bottom_center"}},
      "The abstract must not exceed 350 words." => {"parts.abstract" => {"part" => "abstract", "max_words" => 350}},
      "A table of contents is required." => {"parts.contents" => {"part" => "contents", "required" => true}},
      "Each chapter must begin on a new page." => {"pagination.chapters_start" => "new_page"},
      "Captions of tables stand above the table." => {"captions.table" => "above"},
      "Print on A4 paper." => {"page.size" => "A4"},
      "Do not leave blank lines between paragraphs." => {"clean.blank_paragraphs" => "forbid"},
      "The harbour wall was built in twelve years." => {}, "" => {}, "One inch, twice." => {}
    }.each do |sentence, rules|
      it("reads “#{sentence}”") { expect(offered(sentence)).to eq rules }
    end

    it "writes what is ticked with the sentences as clauses, beside the clause and the rules that are there" do
      text = "#{head}# ours\nroles:\n  body: {size: 11pt, cite: \"2.1\"}\nparts:\n  - {part: abstract}\n"
      offers = described_class.new("The text is double-spaced. The abstract must not exceed 300 words.").offers
      made = Norvel::Guide.new(described_class.write(offers, onto: text))
      expect(made.data["roles"]["body"]).to eq "size" => "11pt", "cite" => "2.1; The text is double-spaced.",
        "line_spacing" => "double"
      expect(made.parts)
        .to eq [{"part" => "abstract", "max_words" => 300, "cite" => "The abstract must not exceed 300 words."}]
      expect(made.source).to include "# ours"
    end

    it "takes no time over a text that is long or odd" do
      odd = ["margin " * 20_000, "1" * 50_000, "left margin 1 inch " * 5_000, "(" * 50_000, "½" * 9_000]
      started = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
      odd.each { |text| described_class.new(text).offers }
      expect(Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - started).to be < 5
    end
  end

  describe "how far it is met" do
    let(:document) do
      body = p(r("Head"), style: "Heading1") +
        p(r("The first paragraph of a text that is long enough to be read as one, and so it is."),
          style: "BodyText") * 3 +
        p(r("The last one is set apart from the others by its size, which nobody asked for.", size: 15.0),
          style: "BodyText")
      made(body, styles: style("Heading1", "Heading 1") +
        style("BodyText", "Body Text", size: 12.0))
    end

    def guide(rules) = described_class.new("norvel_guide: 1\nname: Ours\n#{rules}")

    def check(rules) = Norvel::Guide::Check.new(guide(rules), document)

    it "counts the places of each sentence, those that differ, what is granted and what could not be judged" do
      rules = "roles: {body: {size: 12pt}, heading_1: {case: title}}\nexceptions:\n" \
        "  - {rule: role.body.size, where: {words: set apart}, because: it is}\n"
      lines = lambda do |text|
        tally = Norvel::Guide::Tally.new(check(text))
        Norvel::Guide::Sentences.new(guide(text)).all.to_h { |one| [one.place.join("."), tally.of(one)] }
      end
      with, without = lines[rules], lines[rules.sub(/exceptions.*/m, "")]
      expect(with["roles.body.size"]).to have_attributes(differ: 0, total: 4, granted: 1, met?: true)
      expect(without["roles.body.size"]).to have_attributes(differ: 1, total: 4, granted: 0, met?: false)
      expect(with["roles.heading_1.case"].total).to eq 1
      expect(lines["pagination: {widows: forbid}"]["pagination.widows"].unchecked).to eq ["pages are not worked out"]
    end

    it "says what another guide would find: more, fewer, or the same" do
      now = check("roles: {body: {size: 12pt}}")
      what_if = lambda do |rules|
        Norvel::Guide::WhatIf.new(now, check(rules)).then { |one| [one.more.size, one.fewer.size] }
      end
      expect(what_if["roles: {body: {size: 15pt}}"]).to match [be >= 1, 1]
      expect(what_if["roles: {body: {size: {min: 10pt}}}"]).to eq [0, 1]
      expect(what_if["roles: {body: {size: 12pt, align: right}}"]).to eq [4, 0]
      expect(what_if["roles: {body: {size: 12pt}}"]).to eq [0, 0]
    end

    it "says what an edition says otherwise" do
      revision = Norvel::Guide::Revision.new(guide("roles: {body: {size: 12pt, align: left}}"),
        guide("roles: {body: {size: 11pt}, quote: {size: 10pt}}\nseverity: {role.body.size: should}"))
      expect(revision.changes.map { |one| [one.was&.words, one.now&.words] }).to contain_exactly(
        ["Size of body text is 12 pt.", "Size of body text is 11 pt."], [nil, "Size of block quotation is 10 pt."],
        ["Alignment of body text is left.", nil]
      )
      expect(revision.severities).to eq [["role.body.size", nil, "should"]]
    end
  end

  it "takes letters of no stated colour for black, as they are on a page" do
    body = p(r("A paragraph of text that is long enough to be one of the body of a text."))
    document = made(body)
    found = lambda do |colour|
      Norvel::Guide::Check.new(described_class.new("#{head}roles: {body: {color: #{colour}}}"), document)
    end
    expect([found["black"].findings.size, found["dark blue"].findings.size]).to match [0, be >= 1]
  end
end
