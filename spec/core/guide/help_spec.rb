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
