# frozen_string_literal: true

# One value for many: in the styles that they wear.
RSpec.describe Norvel::Edits::SetValue do
  include Values

  let(:running) do
    "The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years."
  end
  let(:styles) do
    style("BodyText", "Body Text", based_on: "Normal") + style("Quote", "Block Quote", based_on: "BodyText",
      indent_left: 36.0) +
      style("Heading1", "Heading 1", based_on: "Normal", outline_level: 1, bold: true)
  end
  let(:document) do
    made(p(r("Sources"), style: "Heading1") + p(r(running), style: "BodyText") * 2 +
      p(r(running), style: "BodyText", line_spacing: {rule: "multiple", value: 1.25}) +
      p(r(running), style: "Quote") + p(r(running)), styles:)
  end

  def set_on(on, name, text, but: [])
    value = Norvel::Styles::Properties[name].type.typed(text)
    edit = described_class.new(described_class.chosen(document, on, but:), name, value)
    [edit, edit.apply(document).after]
  end

  def spacings(after) = after.paragraphs.map { |one| after.look(one)[:line_spacing][:value] }

  it "changes the style, what is set by hand against it, and no heir of the style" do
    edit, after = set_on(%w[body], :line_spacing, "double")
    expect(spacings(after)).to eq [1.0, 2.0, 2.0, 2.0, 1.0, 2.0]
    expect([after.styles["BodyText"].paragraph[:line_spacing], after.styles["Quote"].paragraph[:line_spacing]])
      .to eq [{rule: "multiple", value: 2.0}, {rule: "multiple", value: 1.0}]
    expect(after.paragraphs[3].direct).to eq set
    expect(edit.styles(document)).to eq ["Body Text"]
  end

  it "is for everything but what is left out" do
    _, after = set_on(%w[everything], :line_spacing, "1.5", but: %w[headings quote])
    expect(spacings(after)).to eq [1.0, 1.5, 1.5, 1.5, 1.0, 1.5]
  end

  it "does not change a style for the sake of few that wear it" do
    many = made(p(r("Sources", bold: true, size: 16.0)) + p(r(running)) * 6)
    after = described_class.new([1], :color, "#000000").apply(many).after
    expect([after.styles["Normal"].run[:color], after.paragraphs[0].runs[0].direct[:color],
      after.paragraphs[1].runs[0].direct]).to eq [nil, "#000000", set]
  end

  # The style says it for most, a style of their own for the fewer; nothing is set by hand on anybody.
  it "gives the fewer of those that share a style one of their own" do
    many = made(p(r("Sources", bold: true, size: 16.0)) + p(r(running)) * 6)
    most = described_class.new((2..7).to_a, :line_spacing, {rule: "multiple", value: 2.0}).apply(many).after
    few = described_class.new([1, 2], :align, "center").apply(many).after
    expect(spacings(most)).to eq [1.0, *[2.0] * 6]
    expect(few.paragraphs.map { |one| few.look(one)[:align] }).to eq ["center", "center", *["left"] * 5]
    names = [most, few].map { |after| after.paragraphs.map { |one| after.style_name(one) }.tally }
    expect(names).to eq [{"Normal with line spacing single" => 1, "Normal" => 6},
      {"Normal with alignment centred" => 2, "Normal" => 5}]
    expect([most, few].flat_map { |after| after.paragraphs.map(&:direct) }.uniq).to eq [set]
    expect([most, few].map { |after| spacings(reread(after)) }).to eq [most, few].map { |after| spacings(after) }
  end

  it "takes its style again while that is as its name says, else makes another" do
    many = made(p(r(running)) * 9)
    centre = ->(document, ids) { described_class.new(ids, :align, "center").apply(document).after }
    again = centre[centre[many, [1, 2]], [3, 4]]
    expect(again.paragraphs.first(4).map { |one| again.style_name(one) }.uniq).to eq ["Normal with alignment centred"]
    id = again.style_of(again.paragraphs[0]).id
    other = centre[Norvel::Edits::ChangeStyle.new(id, {align: "right"}).change(again), [5, 6]]
    expect([other.style_name(other.paragraphs[4]), other.look(other.paragraphs[4])[:align]])
      .to eq ["Normal with alignment centred 2", "center"]
  end

  it "keeps words set apart, and reaches what a list level says" do
    mixed = made(p(r("#{running} ") + r("and in red", color: "#c00000"), style: "BodyText") * 2,
      styles:)
    after = described_class.new([1, 2], :color, "#333333").apply(mixed).after
    expect(after.paragraphs[0].runs.map { |run| after.run_look(run, after.paragraphs[0])[:color] })
      .to eq ["#333333", "#c00000"]
    listed = Norvel::Edits::DefineListStyle.new("Points", "bullets").change(document)
    put = Norvel::Edits::PutInList.new([2], listed.styles.named("Points").paragraph[:list_id], level: nil)
      .change(listed)
    expect(described_class.new([2], :indent_left, 50.0).apply(put)
      .after.then { |now| now.look(now.paragraph(2))[:indent_left] }).to eq 50.0
  end

  it "takes lengths in characters and lines, which stay so in the file and follow the size" do
    _, after = set_on(%w[body], :first_line, "2 em")
    back = reread(after)
    expect([back.styles["BodyText"].paragraph[:first_line_chars], back.look(back.paragraphs[1])[:first_line]])
      .to eq [200, 20.0]
    larger = Norvel::Edits::ChangeStyle.new("BodyText", {size: 14.0}).apply(back).after
    expect(larger.look(larger.paragraphs[1])[:first_line]).to eq 28.0
    _, lines = set_on(%w[body], :space_after, "1.5 lines")
    expect(reread(lines).styles["BodyText"].paragraph[:space_after_lines]).to eq 150
    expect(Norvel::Length.read("4 characters").to_s).to eq "4 characters"
    expect { Norvel::Length.read("4 furlongs") }.to raise_error(Norvel::Refused, /not a unit/)
  end

  it "is a command" do
    Dir.mktmpdir do |folder|
      path = File.join(folder, "a.docx")
      File.binwrite(path, written(document))
      run = ->(*arguments) {
        [Norvel::CLI.run(["set", path, "--output", "#{folder}/b.docx", *arguments],
          out: @out = StringIO.new, err: @err = StringIO.new), @out.string, @err.string]
      }
      status, said, = run["--value", "line_spacing=double", "--on", "body,quote", "--json"]
      expect([status, JSON.parse(said).slice("paragraphs", "words_unchanged")])
        .to eq [0, {"paragraphs" => 5, "words_unchanged" => true}]
      expect(spacings(Norvel::Formats.read_file("#{folder}/b.docx"))).to eq [1.0, 2.0, 2.0, 2.0, 2.0, 2.0]
      {["--value", "sise=2", "--on", "body"] => /no property “sise”/,
       ["--value", "size=big", "--on", "body"] => /not a length/,
       ["--value", "size=12", "--on", "boddy"] => /no role “boddy”/,
       ["--value", "size=", "--on", "body"] => /needs a value/,
       ["--value", "size=12", "--on", "caption"] => /nothing in the file is caption/,
       ["--on", "body"] => /--value is missing/}.each do |arguments, message|
        status, _, error = run[*arguments]
        expect([status, error]).to match [2, message]
      end
    end
  end
end
