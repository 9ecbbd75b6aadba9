# frozen_string_literal: true

RSpec.describe Norvel::Guide::Requirement do
  def requirement(name, asked)
    described_class.of(Norvel::Styles::Properties[name], asked)
  end

  it "asks for a value" do
    asked = requirement(:size, "12pt")
    expect([12.0, 12.04, 11.5].map { |value| asked.meets?(value) }).to eq [true, true, false]
    expect([asked.target, asked.spoken]).to eq [12.0, "12 pt"]
  end

  it "asks for one of several, and mends to the first" do
    asked = requirement(:font, {"any_of" => ["Times New Roman", "Arial"]})
    expect(["arial", "Calibri", nil].map { |value| asked.meets?(value) }).to eq [true, false, false]
    expect([asked.target("Calibri"), asked.spoken]).to eq ["Times New Roman", "Times New Roman or Arial"]
  end

  it "asks for a range, and mends to the nearer end" do
    asked = requirement(:size, {"min" => "12pt", "max" => "14pt"})
    expect([11.5, 12.0, 14.0, 16.0].map { |value| asked.meets?(value) }).to eq [false, true, true, false]
    expect([asked.target(9.0), asked.target(20.0), asked.spoken]).to eq [12.0, 14.0, "12 pt to 14 pt"]
    expect([requirement(:space_after, {"min" => "12pt"}).spoken, requirement(:space_after, {"max" => "6pt"}).spoken])
      .to eq ["at least 12 pt", "at most 6 pt"]
  end

  it "asks for line spacings in every form" do
    double, exact = {rule: "multiple", value: 2.0}, {rule: "exact", value: 24.0}
    expect(requirement(:line_spacing, "double").meets?(double)).to be true
    expect(requirement(:line_spacing, "double").meets?(exact)).to be false
    expect(requirement(:line_spacing, {"exact" => "24pt"}).meets?(exact)).to be true
    expect(requirement(:line_spacing, {"multiple" => 1.15}).meets?({rule: "multiple", value: 1.15})).to be true
    expect(requirement(:line_spacing, {"min" => 1.5}).meets?(double)).to be true
  end

  it "asks for switches" do
    expect([requirement(:bold, false).meets?(false), requirement(:underline, false).meets?("single"),
      requirement(:keep_with_next, true).meets?(false)]).to eq [true, false, false]
  end

  it "refuses what is no value of the property" do
    expect { requirement(:size, "large") }.to raise_error(Norvel::UnusableGuide, /size: “large” is not a length/)
  end
end
