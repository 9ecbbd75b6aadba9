# frozen_string_literal: true

RSpec.describe Norvel::Guide::Help do
  it "has a page for every rule that a finding can be of, and none for what is no rule" do
    expect(Norvel::Guide::Rules.names.reject { |rule| described_class.of(rule) }).to eq []
    none = ["weather.rain", "role.weather.size", "", "*", "../x"]
    expect(none.filter_map { |rule| described_class.of(rule) }).to eq []
  end

  it "says in whole sentences what a rule means, why and how, and nothing that is not filled in" do
    described_class.all.each do |page|
      expect([page.rule, page.title, page.means, page.why, page.how])
        .to match [page.rule, /\A\p{Lu}[^%]+\z/, *[/\A\p{Lu}[^%]+\.\z/] * 3]
    end
    expect(described_class.of("role.quote.line_spacing").title).to eq "Line spacing of block quotation"
  end

  it "has no page for a rule that there is none of" do
    known = Norvel::Guide::Rules::ALL.flat_map { |family| family::RULES.map(&:name) }
    expect(described_class::TEXTS.keys - known).to eq []
  end
end

RSpec.describe Norvel::Guide::Examples do
  # Source of the format: guide.schema.json (JSON Schema 2020-12), read by json_schemer.
  it "states every rule that has one in text that is a guide, and that asks for the rule" do
    without = Norvel::Guide::Help.all.map(&:rule).reject { |rule| described_class.of(rule) }
    expect(without).to eq []
    Norvel::Guide::Help.all.each do |page|
      guide = Norvel::Guide.new("norvel_guide: 1\nname: E\n#{described_class.of(page.rule)}")
      expect([page.rule, Norvel::Guide::Sentences.new(guide).all.size]).to match [page.rule, be >= 1]
    end
  end

  it "stands in docs/rules.md as the code has it (rake rules)" do
    require_relative "../../support/rule_pages"
    expect(File.read(File.join(Norvel::ROOT, "docs/rules.md"))).to eq RulePages.new.text
  end
end
