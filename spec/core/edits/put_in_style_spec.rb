# frozen_string_literal: true

# A style put on is the style, by whatever way, in whatever format: a table of ways × paragraphs × styles × formats.
RSpec.describe Norvel::Edits::PutInStyle do
  include Values

  guide = Norvel::Guide.new("norvel_guide: 1\nname: T\nroles: {heading_1: {style: Heading 1}, heading_2: {style: " \
    "Heading 2}, heading_3: {style: Heading 3}}")

  # Heading 1 is worn, Heading 2 defined and unworn, Heading 3 missing; paragraph 1 wears the first.
  paragraphs = {2 => "plain", 3 => "set by hand", 4 => "mixed", 5 => "in another style"}
  styles = {"Heading 1" => "worn", "Heading 2" => "unworn", "Heading 3" => "missing"}
  ways = {
    "by name" => ->(ids, name, _) { described_class.new(ids, name) },
    "hand stays" => ->(ids, name, _) { described_class.new(ids, name, hand: :stays) },
    "takes their look" => ->(ids, name, _) { described_class.new(ids, name, look: :theirs) },
    "by kind" => ->(ids, name, _) { Norvel::Edits::PutInRoles.new({"heading_#{name[-1]}" => ids}, guide) },
    "by a mend" => ->(ids, name, g) {
      Norvel::Guide::Mend::STEPS[:put_in_style]
        .call(ids.map { |id| Norvel::Guide::Finding.new(paragraph: id) }, g, name, "heading_#{name[-1]}")
    }
  }

  def self.packaged
    ->(spec) {
      spec.instance_exec do
        styles = %w[1 2].flat_map { |n|
          style("Heading#{n}", "Heading #{n}", based_on: "Normal", space_before: 24.0, bold: true, color: "#2f5496",
            size: 16.0)
        }
        styles += style("Inset", "Inset", based_on: "Normal", indent_left: 36.0, italic: true)
        made(p(r("Worn"), style: "Heading1") + p(r("Plain words")) +
          p(r("Set by hand", size: 14.0), align: "center") +
          p(r("Mostly plain, ", size: 14.0) + r("in part", italic: true, size: 14.0)) +
          p(r("Inset"), style: "Inset"), styles:)
      end
    }
  end

  def self.unpacked
    style = ->(name, family, parent, lines, letters, more = "") {
      lines = (family == "paragraph") ? "<style:paragraph-properties #{lines}/>" : ""
      %(<style:style style:name="#{name}" ) +
        %(style:family="#{family}" #{%(style:parent-style-name="#{parent}") if parent} #{more}>#{lines}) +
        %(<style:text-properties #{letters}/></style:style>)
    }
    styles = %w[1 2].map { |n|
      style["Heading_20_#{n}", "paragraph", "Standard", 'fo:margin-top="24pt"',
        'fo:font-weight="bold" fo:color="#2f5496" fo:font-size="16pt"',
        %(style:display-name="Heading #{n}" style:default-outline-level="#{n}")]
    }.join
    styles += style["Inset", "paragraph", "Standard", 'fo:margin-left="36pt"', 'fo:font-style="italic"']
    automatic = style["P1", "paragraph", "Standard", 'fo:text-align="center"', 'fo:font-size="14pt"'] +
      style["T1", "text", nil, "", 'fo:font-style="italic" fo:font-size="14pt"'] +
      style["T2", "text", nil, "", 'fo:font-size="14pt"']
    text = ->(name, words) { %(<text:p text:style-name="#{name}">#{words}</text:p>) }
    body = text["Heading_20_1", "Worn"] + text["Standard", "Plain words"] + text["P1", "Set by hand"] +
      text["Standard", '<text:span text:style-name="T2">Mostly plain, </text:span><text:span text:style-name="T1">in ' \
      "part</text:span>"] + text["Inset", "Inset"]
    ->(_) { OpenDocument.new(body, styles:, automatic:).document }
  end

  formats = {"docx" => packaged, "odt" => unpacked}
  pictured = %i[size bold italic color]

  def slots(paragraph) = [paragraph.direct.keys, *paragraph.runs.map { |run| run.direct.keys }]

  def worded(document, name)
    style = document.styles.called(name)
    [style.paragraph, style.run]
  end

  formats.each do |format, make|
    ways.each do |way, edit|
      paragraphs.each do |id, paragraph|
        styles.each do |name, kind|
          it "#{format}: #{way}, a paragraph #{paragraph}, a style #{kind}" do
            document = make.call(self)
            after = edit.call([id], name, guide).apply(document).after
            was, now = document.paragraph(id), after.paragraph(id)
            expect(after.style_name(now).downcase).to eq name.downcase
            slots(was).zip(slots(now)).each { |before, then_| expect(then_ - before).to eq [] }
            expect(worded(after, name)).to eq worded(document, name) unless kind == "missing" ||
              way == "takes their look"
            given = after.cascade.of_style(after.styles.called(name), :run).values.slice(*pictured)
            seen = after.run_look(now.runs.first, now).values.slice(*pictured)
            expect(seen).to eq given unless ["hand stays", "by a mend"].include?(way) && paragraph != "plain"
            if way == "takes their look"
              expect(seen).to include(document.run_look(was.runs.first, was)
                .values.slice(*pictured))
            end
            expect(after.run_look(now.runs.last, now)[:italic]).to be true if paragraph == "mixed"
            expect(after.look(now)[:align]).to eq "center" if paragraph == "set by hand" &&
              ["hand stays", "by a mend", "takes their look"].include?(way)
            back = Norvel::Formats.read(Norvel::Formats.write(after).bytes, name: document.name)
            expect([back.style_name(back.paragraph(id)), back.letter_look(back.paragraph(id)).values.slice(*pictured)])
              .to eq [after.style_name(now), after.letter_look(now).values.slice(*pictured)]
          end
        end
      end
    end
  end

  # Pasted text, and a value set from the command line: no more by hand than by any other way.
  formats.each do |format, make|
    styles.each do |name, kind|
      it "#{format}: text pasted as #{name}, a style #{kind}" do
        document = make.call(self)
        pieces = Norvel::Intake::Pasted.pieces(Norvel::Intake::Pasted.html("<h#{name[-1]}>Pasted</h#{name[-1]}>"),
          document, Norvel::Guide.none)
        after = Norvel::Edits::AddParagraphs.new(5, pieces).apply(document).after
        pasted = after.paragraphs.last
        expect([pasted.text, slots(pasted)]).to eq ["Pasted", [[], []]]
        expect(after.style_name(pasted).downcase).to eq name.downcase unless kind == "missing"
        expect(worded(after, name)).to eq worded(document, name) unless kind == "missing"
      end
    end

    it "#{format}: a value that the command line sets" do
      Dir.mktmpdir do |folder|
        document = make.call(self)
        File.binwrite(path = "#{folder}/a.#{format}", written(document))
        expect(Norvel::CLI.run(["set", path, "--value", "space_after=9", "--on", "everything", "--output",
          "#{folder}/b.#{format}"], out: StringIO.new, err: StringIO.new)).to eq 0
        after = Norvel::Formats.read_file("#{folder}/b.#{format}")
        expect(after.paragraphs.map { |one| after.look(one)[:space_after] }.uniq).to eq [9.0]
        document.paragraphs.zip(after.paragraphs).each do |was, now|
          slots(was).zip(slots(now)).each { |before, then_| expect(then_ - before).to eq [] }
        end
      end
    end
  end

  it "leaves what makes a heading a heading as the style has it" do
    document = made(p(r("Chapter"), style: "Heading1", keep_with_next: false, align: "center"),
      styles: style("Heading1", "Heading 1", keep_with_next: true, outline_level: 1))
    after = described_class.new([1], "Heading 1", look: :theirs).apply(document).after
    expect(after.look(after.paragraphs.first).values.slice(:align, :keep_with_next, :outline_level))
      .to eq(align: "center", keep_with_next: true, outline_level: 1)
  end

  it "makes a usual style where the file has none, with its markers where it is one of lists" do
    after = described_class.new([1], "List Bullet").apply(made(p(r("salt")))).after
    expect([after.markers[1], after.styles.named("List Bullet").paragraph.key?(:list_id),
      after.paragraphs.first.direct]).to eq ["•", true, set]
  end

  it "takes what a missing style begins with from the template, else the guide, else what is plainest" do
    document = made(p(r("Words")))
    template = made(p(r("x"), style: "Q"),
      styles: style("Q", "Block Quote", size: 9.0, italic: true))
    asks = Norvel::Guide.new("norvel_guide: 1\nname: T\nroles: {quote: {style: Block Quote, size: 11pt}}")
    sizes = [{template:, guide: asks}, {guide: asks}, {}].map do |from|
      made = described_class.new([1], "Block Quote", role: "quote", pattern: Norvel::Edits::Pattern.new(**from))
        .apply(document).after
      made.cascade.of_style(made.styles.named("Block Quote"), :run).values.values_at(:size, :italic)
    end
    expect(sizes).to eq [[9.0, true], [11.0, false], [10.0, false]]
  end

  it "keeps code, links, and what stands above or below the line; a full stop that is not bold is no emphasis" do
    body = p(r("Run ") + r("make", font: "Courier New") +
      r("2", position: "super")) + p(r("All of it bold", bold: true) + r("."))
    document = made(body)
    after = described_class.new([1, 2], "Body Text").apply(document).after
    expect(after.paragraph(1).runs.map(&:direct)).to eq document.paragraph(1).runs.map(&:direct)
    expect(after.paragraph(2).runs.map(&:direct)).to eq [set, set]
  end

  it "tells what goes and what the style has otherwise, before it is done" do
    document = made(p(r("Worn"), style: "Heading1") + p(r("Mine", size: 14.0),
      align: "center"), styles: style("Heading1", "Heading 1", bold: true))
    put = described_class.new([2], "Heading 1")
    expect(put.going(document)).to eq(align: ["center"], size: [14.0])
    expect(put.differences(document).map { |property, theirs, its| [property.name, theirs, its] })
      .to match_array [[:align, "center", "left"], [:size, 14.0, 10.0], [:bold, false, true]]
    expect(described_class.new([2], "Heading 1", hand: :stays).going(document)).to eq({})
  end
end
