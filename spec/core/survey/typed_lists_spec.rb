# frozen_string_literal: true

# Signs that were typed before list items become lists that print the same signs.
RSpec.describe Norvel::Edits::ListTyped do
  indent = ->(left, first = 0) { %(<w:ind w:left="#{left}" w:firstLine="#{first}"/>) }

  def made(*items)
    docx(items.map { |text, ppr| p(r(text), ppr.to_s) }.join)
  end

  def listed(document)
    after = described_class.new(document.paragraphs.map(&:id)).apply(document).after
    [after, after.paragraphs.map { |one| [after.cascade.list_of(one)&.last, after.markers[one.id], one.text] }]
  end

  it "takes bullets off and counts them" do
    after, seen = listed(made("• a can of oil", "• a box of wicks", "•\ta cloth"))
    expect(seen).to eq [[0, "•", "a can of oil"], [0, "•", "a box of wicks"], [0, "•", "a cloth"]]
    expect(after.paragraphs.map { |one| after.look(one).values.slice(:indent_left, :first_line) }.uniq)
      .to eq [{indent_left: 18.0, first_line: -18.0}]
  end

  it "finds levels by sign and by indent, and counts each list anew" do
    text = "And so on, as it was written down in the book of the harbour in that year."
    document = made("1. oil for the lamps;", ["a) of whales;", indent[360]], ["b) of seeds;", indent[360]], "2. wicks;",
      "3. paint;", text, "1. glass;", "2. brass;")
    after, seen = listed(document)
    expect(seen).to eq [
      [0, "1.", "oil for the lamps;"], [1, "a)", "of whales;"], [1, "b)", "of seeds;"], [0, "2.", "wicks;"],
      [0, "3.", "paint;"],
      [nil, nil, text], [0, "1.", "glass;"], [0, "2.", "brass;"]
    ]
    expect(after.look(after.paragraphs[1])[:indent_left]).to eq 36.0
  end

  it "makes one list of bullets, and lists of one look of what counts anew" do
    text = "And so on, as it was written down in the book of the harbour in that year."
    bullets, numbers = [%w[• •],
      %w[1. 2.]].map do |signs|
        listed(made(*signs.map { |sign| "#{sign} oil;" }, text, *signs.map { |sign| "#{sign} wicks;" })).first
      end
    ids = ->(after) { after.paragraphs.filter_map { |one| after.cascade.list_of(one)&.first }.uniq.size }
    expect([ids[bullets], ids[numbers]]).to eq [1, 2]
    expect([bullets, numbers].map { |after| Norvel::Survey::Looks.new(after).groups.size }).to eq [2, 2]
  end

  it "keeps numbers that begin elsewhere, and Roman ones" do
    expect(listed(made("(i) the long boat", "(ii) the small boat", "(iii) the raft")).last.map { |_, sign, _| sign })
      .to eq %w[(i) (ii) (iii)]
    expect(listed(made("4. Oil for the lamps", "5. Wicks for the lamps")).last.map { |_, sign, _| sign })
      .to eq %w[4. 5.]
  end

  it "reads the same in the file that is written, in both formats" do
    document = made("(a) the long boat", "(b) the small boat", "(c) the raft")
    after, = listed(document)
    expect(after.markers.values).to eq %w[(a) (b) (c)]
    odt = Norvel::Formats.read(Norvel::Formats.write(after, as: "odt").bytes, name: "made.odt")
    [reread(after), odt].each do |back|
      expect(back.paragraphs.map { |one| [back.markers[one.id], one.text] }).to eq after.paragraphs.map { |one|
        [after.markers[one.id], one.text]
      }
    end
  end

  it "leaves a lone sign, numbers that leap, and what is in a list already" do
    expect { listed(made("• alone in the text", "Some text that follows it and goes on over the whole line.")) }
      .to raise_error(Norvel::Refused, /typed sign/)
    expect { listed(made("1. Oil", "5. Wicks", "9. Glass")) }.to raise_error(Norvel::Refused, /typed sign/)
  end

  it "is found without a guide, offered in the plan, and finds nothing more after it" do
    document = made("The stores of the lamp house are counted in the spring of each year, and again before the winter.",
      "• a can of oil", "• a box of wicks", "• a cloth")
    check = Norvel::Guide::Check.new(Norvel::Guide.none, document)
    group = check.groups.find { |one| one.rule == "clean.typed_list" }
    expect([group.findings.size, group.first.mend.safe, group.first.found]).to eq [3, false, "“•”"]
    part = Norvel::Guide::Plan.new(Norvel::Guide.none, document).parts.find { |one| one.kind == "list_typed" }
    expect([part.off, Norvel::Guide::PlanWords.new(part).title])
      .to eq [true, "typed signs of 3 list items are counted by lists"]
    after = group.edit(check.guide).apply(document).after
    expect(Norvel::Guide::Check.new(Norvel::Guide.none, after).findings.map(&:rule)).not_to include "clean.typed_list"
  end
end
