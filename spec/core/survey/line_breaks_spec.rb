# frozen_string_literal: true

# Line breaks in paragraphs, each kind by itself.
RSpec.describe Norvel::Survey::LineBreaks do
  long = "The keeper of the gate wrote the hour and the height of the tide in the book."

  def breaks(text, role = "body")
    described_class.of(docx(p(r(text))).paragraphs.first, role).values
  end

  {
    "The tide turned,\nand the wheel stood." => [:running],
    "#{long}\n#{long}" => [:paragraph],
    "Bring:\n• oil\n• wicks" => [:paragraph, :paragraph],
    "1. Oil\n2. Wicks" => [:paragraph],
    "Harbour office\nQuay Street 4\nRavelmouth" => [:line, :line],
    "#{long}\n" => [:last],
    "#{long}\n\n#{long}" => [:line, :line]
  }.each do |text, kinds|
    it("takes the breaks of #{text[0, 30].inspect} … for #{kinds.join(", ")}") { expect(breaks(text)).to eq kinds }
  end

  it "keeps emphasis where a paragraph is divided, and divides at objects that stand on one side" do
    document = docx(p(r("#{long}\n#{long[0, 10]}") + r(long[10..], "<w:i/>") + r("\n#{long}")) +
      p(r("#{long}\n#{long}") + note(1)), footnotes: footnote(1, "n"))
    after = Norvel::Edits::SplitAtBreaks.new([1, 2]).apply(document).after
    expect(after.paragraphs.map(&:text)).to eq [long] * 5
    expect(after.paragraphs[1].runs.map { |run| after.run_look(run, after.paragraphs[1])[:italic] }).to eq [false, true]
    expect(reread(after).paragraphs.map(&:text)).to eq [long] * 5
  end

  it("leaves the lines of code") { expect(breaks("store(line);\nand print(line)", "code")).to eq [:line] }

  # Without a guide each kind is found with its mend; what is sure is in the plan, the rest is offered.
  it "mends each kind in its way, no word changed" do
    body = p(r("#{long[0..-2]},\nand he signed it. #{long}")) + p(r("#{long}\n#{long}\n#{long}")) + p(r("#{long}\n")) +
      p(r("Harbour office\nRavelmouth"))
    document = docx(body)
    check = Norvel::Guide::Check.new(Norvel::Guide.none, document)
    groups = check.groups.select { |group| group.rule == "clean.line_break" }.to_h do |group|
      [group.first.mend&.name, group]
    end
    expect(groups.transform_values { |group| group.first.mend&.safe })
      .to eq("join_lines" => true, "split_at_breaks" => false, "drop_last_breaks" => true, nil => nil)
    after = groups.except(nil).values.inject(document) { |now, group| group.edit(check.guide).apply(now).after }
    expect(after.paragraphs.map(&:text))
      .to eq ["#{long[0..-2]}, and he signed it. #{long}", long, long, long, long, "Harbour office\nRavelmouth"]
    expect([Norvel::Seal.of(after).words, reread(after).paragraphs.size]).to eq [Norvel::Seal.of(document).words, 6]
    parts = Norvel::Guide::Plan.new(Norvel::Guide.none, document).parts.to_h { |part| [part.kind, part.off] }
    expect(parts).to include("join_lines" => false, "drop_last_breaks" => false, "split_at_breaks" => true)
  end
end
