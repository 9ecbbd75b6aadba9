# frozen_string_literal: true

# Cleaning without a guide, as an object and as a command (docs/command-line.md).
RSpec.describe Norvel::Guide::Sweep do
  running = "The keeper of the gate wrote the hour and the height of the tide in the book, and he signed it."
  let(:document) do
    body = p(r(running)) * 6 + p(r("\t#{running}")) * 4 + p(r("One  and two. #{running}")) + p(r("• a can of oil")) +
      p(r("• a box of wicks")) + p(r("#{running}\n#{running}"))
    docx(body)
  end

  def run(*arguments)
    Dir.mktmpdir do |folder|
      path = File.join(folder, "a.docx")
      File.binwrite(path, written(document))
      status = Norvel::CLI.run(["sweep", path, "--output", "#{folder}/b.docx", *arguments], out: out = StringIO.new,
        err: err = StringIO.new)
      [status, out.string, err.string,
        (Norvel::Formats.read_file("#{folder}/b.docx") if File.exist?("#{folder}/b.docx"))]
    end
  end

  it "does what is sure, says what it left and why, and changes no word" do
    status, told, _, after = run("--json")
    told = JSON.parse(told)
    expect([status, told["done"].to_h { |entry| entry.values_at("job", "count") }])
      .to eq [0, {"leading_white_space" => 4, "double_spaces" => 1}]
    expect(told["left"].map { |entry| entry.slice("job", "count", "also") })
      .to include({"job" => "typed_numbers", "count" => 2, "also" => true},
        {"job" => "line_breaks", "count" => 1, "also" => true})
    expect([told["words_unchanged"], told["text_digest_before"]]).to eq [true, told["text_digest_after"]]
    expect([Norvel::Seal.of(after).words, after.paragraphs.map(&:direct).uniq])
      .to eq [Norvel::Seal.of(document).words, [set]]
  end

  it "takes in what asks, by the names of its jobs" do
    status, told, _, after = run("--also", "lists,breaks", "--json")
    expect([status, JSON.parse(told)["done"].to_h { |entry| entry.values_at("job", "count") }])
      .to eq [0, {"leading_white_space" => 4, "typed_numbers" => 2, "double_spaces" => 1, "line_breaks" => 1}]
    expect([after.paragraphs.size, after.markers.values.compact.reject(&:empty?), after.paragraphs.last.text])
      .to eq [15, %w[• •], running]
  end

  it "does only the jobs that it is asked for, on the roles or styles that it is asked for" do
    expect(run("--only", "spaces").last.paragraphs.map(&:text).grep(/\t/).size).to eq 4
    expect(run("--on", "list_item").last.paragraphs.map(&:text).grep(/\t|  /).size).to eq 5
    expect(run("--on", "normal", "--only", "indents").last.paragraphs.map(&:text).grep(/\t|  /).size).to eq 1
  end

  describe "lead-ins" do
    let(:document) do
      leads = ["Tides.", "The sluice:", "Dues –"].flat_map do |words|
        [p(r(words, "<w:b/>") + r(" #{running}")), p(r("#{words.delete(".")} by ", "<w:i/>") + r(running))]
      end
      docx(leads.join + p(r("Whole and bold.", "<w:b/>")) + p(r("Sure. ", "<w:b/>") + r("No.")) + p(r(running)) * 4)
    end

    it "go in a character style that looks as they do, where they are asked for" do
      _, out, _, after = run("--only", "lead_ins", "--also", "lead_ins", "--json")
      expect(JSON.parse(out)["done"]).to eq [{"job" => "lead_ins", "count" => 3}]
      style = after.styles.named("Lead-in", "character")
      inside = after.paragraphs.flat_map(&:runs).select { |run| run.style_id == style.id }
      expect([style.run[:bold], inside.map(&:text), inside.map { |run| run.direct[:bold] }.uniq])
        .to eq [true, ["Tides.", "The sluice:", "Dues –"], [nil]]
      looks = ->(doc) { doc.paragraphs.map { |one| one.runs.map { |run| doc.run_look(run, one)[:bold] } } }
      expect(looks[after]).to eq looks[document]
    end
  end

  describe "values that are nearly equal, and styles that nothing is in" do
    let(:document) do
      ind = ->(twips) { %(<w:ind w:left="#{twips}"/>) }
      docx(p(r(running), ind[720]) * 8 + p(r(running), ind[726]) * 2 + p(r(running), '<w:pStyle w:val="Used"/>'),
        styles: style("Used", "Used", based_on: "Base") + style("Base", "Base") + style("Old", "Old form") +
          style("Sign", "Old sign", type: "character"))
    end

    it "are left and said, and done where they are asked for" do
      told = JSON.parse(run("--only", "near_misses,styles", "--json")[1])
      expect(told["left"].map { |entry| entry.values_at("job", "count", "also") })
        .to contain_exactly(["near_misses", 2, true], ["unused_styles", 2, true])
      _, out, _, after = run("--only", "near_misses,styles", "--also", "near_misses,styles", "--json")
      expect(JSON.parse(out)["done"]).to contain_exactly({"job" => "near_misses", "count" => 2},
        {"job" => "unused_styles", "count" => 2})
      expect(after.paragraphs.map { |one| after.look(one)[:indent_left] }.uniq).to eq [36.0, 0.0]
      expect(after.styles.by_id.keys).to include("Used", "Base")
      expect(after.styles.by_id.keys & %w[Old Sign]).to eq []
    end

    it "are asked for by a guide that has a switch for them" do
      guide = Norvel::Guide.new("norvel_guide: 1\nname: G\nclean: {near_misses: should, unused_styles: advice}\n")
      found = Norvel::Guide::Check.new(guide, document).findings.map { |one| [one.rule, one.severity, one.found] }
      expect(found.tally).to eq ["clean.near_miss", "should", "36.3 pt"] => 2,
        ["clean.unused_style", "advice", "Old form"] => 1, ["clean.unused_style", "advice", "Old sign"] => 1
    end
  end

  it "tells a plan and writes nothing, and names the jobs there are" do
    status, told, _, after = run("--dry-run")
    expect([status, told, after]).to match [0, /plan\ttabs at the start of 4 paragraphs become first-line indents/, nil]
    expect(run("--only", "dust").first(3)).to match [2, "", /no job “dust”: it is one of direct, words, blanks/]
  end
end

# Mends that ask first, taken in by the command line.
RSpec.describe Norvel::CLI::Mend do
  it "takes in what asks by --also, and says of what is left whether --also would take it" do
    Dir.mktmpdir do |folder|
      path = File.join(folder, "a.docx")
      File.binwrite(path, Demo::Handbook.new.bytes)
      left = [[], ["--also", "all"]].map do |also|
        Norvel::CLI.run(["mend", path, "--guide", "ravelmouth-house", "--dry-run", "--json", *also],
          out: out = StringIO.new, err: StringIO.new)
        JSON.parse(out.string)["left"]
      end
      expect(left.first.any? { |entry| entry["also"] }).to be true
      expect(left.last).to eq []
    end
  end

  it "takes in all that asks on documents made by chance, and what is written reads the same (property)" do
    made = SomeOf.seeds(1..8).flat_map { |seed| [Mixed.new(seed).document, MixedOpen.new(seed).document] }
    guides = Norvel::Guide.shipped.fetch_values("ravelmouth-house", "ravelmouth-thesis", "apa-7")
    made.product([Norvel::Guide.none, *guides]).each do |document, guide|
      Norvel::Layout.of(document)
      after = Norvel::Guide::MendSafe.new(guide, also: ["*"]).apply(document).after
      back = Norvel::Formats.read(Norvel::Formats.write(after).bytes, name: document.name)
      expect([Norvel::Seal.of(back.without_heads).words, back.markers.values])
        .to eq [Norvel::Seal.of(after.without_heads).words, after.markers.values]
    end
  end

  it "puts parts in, lets lists count and settles pages in one go; what came is judged as it stands" do
    edit = Norvel::Guide::MendSafe.new(thesis_guide, also: ["*"])
    document = thesis.with.tap { |one| Norvel::Layout.of(one) }
    edit.apply(document)
    expect(edit.plan(document).left.map { |entry| entry[:rule] }.uniq)
      .to eq %w[accessible.alt_text]
  end
end
