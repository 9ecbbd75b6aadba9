# frozen_string_literal: true

RSpec.describe Norvel::Guide::Outcome do
  include Values

  let(:running) do
    "The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years."
  end
  let(:guide) do
    Norvel::Guide.new(<<~YAML)
      norvel_guide: 1
      name: Test
      roles:
        body: {style: Body Text, align: left, size: 11pt}
    YAML
  end
  # A style that the file has, and that is not as the guide asks for.
  let(:body_text) { style("BodyText", "Body Text", based_on: "Normal", align: "justify", size: 13.0) }
  let(:document) { made(p(running) * 6, styles: body_text, defaults: {font: "Arial", size: 11.0}) }
  let(:check) { Norvel::Guide::Check.new(guide, document) }

  def outcome_of(edit) = described_class.new(check, check.of_later(edit.apply(check.document).after))

  it "tells what goes and what comes, and what is raised that was nowhere before" do
    group = check.groups.find { |one| one.rule == "role.body.style" }
    outcome = outcome_of(group.edit(guide))
    expect(outcome.gone.map(&:rule).uniq).to eq ["role.body.style"]
    expect(outcome.raised("must").map(&:rule).tally).to eq("role.body.align" => 6, "role.body.size" => 6)
    expect(outcome).to be_worse("must")
  end

  it "is no worse where the style is as it should be" do
    outcome = outcome_of(Norvel::Edits::ChangeStyle.new("BodyText", {align: "left", size: 11.0}))
    expect([outcome.come, outcome.worse?]).to eq [[], false]
    right = Norvel::Guide::Check.new(guide, made(p(running) * 6, defaults: {font: "Arial", size: 11.0},
      styles: style("BodyText", "Body Text", based_on: "Normal", align: "left", size: 11.0)))
    edit = right.groups.find { |one| one.rule == "role.body.style" }.edit(guide)
    expect(described_class.new(right, right.of_later(edit.apply(right.document).after))).not_to be_worse
  end

  it "weighs: what is graver than that mended counts, what is lighter does not" do
    light = Norvel::Guide.new(guide.source.sub("name: Test", "name: Test\nseverity: {role.body.align: advice}"))
    was = Norvel::Guide::Check.new(light, document)
    edit = was.groups.find { |one| one.rule == "role.body.style" }.edit(light)
    outcome = described_class.new(was, was.of_later(edit.apply(document).after))
    expect(outcome.raised("must").map(&:rule).uniq).to eq ["role.body.size"]
    expect(outcome.raised("advice").map(&:rule).uniq).to eq %w[role.body.align role.body.size]
  end

  # Documents mixed by chance in which a part of the plan raised what nothing raised before.
  [1, 15, 37].each do |seed|
    it "holds what a plan would raise back, until a person ticks it: document #{seed}" do
      document, guide = Mixed.new(seed).document, Norvel::Guide.find("apa-7")
      plan = Norvel::Guide::Plan.new(guide, document)
      expect(described_class.new(plan.first_check, plan.last_check).raised).to be_empty
      held = plan.parts.select { |part| part.mend.why.to_s.start_with?("it would raise another: ") }
      expect(held.map(&:off)).to include(true).and all(be true)
      ticked = Norvel::Guide::Plan.new(guide, document, with: held.map(&:key))
      expect(ticked.done.map(&:key)).to include(*held.map(&:key))
    end
  end
end
