# frozen_string_literal: true

RSpec.describe Norvel::Document::Numerals do
  # The standard form of roman numerals; ISO/IEC 29500-1 17.18.59 for letters (repeating after z).
  {
    1 => "I",
    4 => "IV",
    9 => "IX",
    40 => "XL",
    49 => "XLIX",
    59 => "LIX",
    88 => "LXXXVIII",
    90 => "XC",
    99 => "XCIX",
    149 => "CXLIX",
    400 => "CD",
    444 => "CDXLIV",
    499 => "CDXCIX",
    944 => "CMXLIV",
    1666 => "MDCLXVI",
    1994 => "MCMXCIV",
    2024 => "MMXXIV",
    3888 => "MMMDCCCLXXXVIII",
    3999 => "MMMCMXCIX"
  }.each do |number, roman|
    it("writes #{number} as #{roman}") { expect(described_class.write(number, "upper_roman")).to eq roman }
  end

  it "falls back to digits where there is no form" do
    expect([0, 4000].map { |n| described_class.write(n, "lower_roman") }).to eq %w[0 4000]
  end
  it "repeats letters" do
    expect([1, 26, 27, 28, 52, 53, 54, 78, 79].map { |n| described_class.write(n, "lower_letter") })
      .to eq %w[a z aa bb zz aaa bbb zzz aaaa]
  end
end
