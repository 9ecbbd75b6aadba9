# frozen_string_literal: true

RSpec.describe Norvel::Length do
  # Exact conversions: 1 in = 25.4 mm (international yard and pound agreement, 1959); twips and EMU by ISO/IEC 29500-1.
  [
    ["1", "in", 72, 1440, 914_400],
    ["0.5", "in", 36, 720, 457_200],
    ["1.27", "cm", 36, 720, 457_200],
    ["1.5", "in", 108, 2160, 1_371_600],
    ["1", "cm", 28.3465, 567, 360_000],
    ["1.25", "cm", 35.4331, 709, 450_000],
    ["1.90", "cm", 53.8583, 1077, 684_000],
    ["1.93", "cm", 54.7087, 1094, 694_800],
    ["2.5", "cm", 70.8661, 1417, 900_000],
    ["3", "cm", 85.0394, 1701, 1_080_000],
    ["10.5", "pt", 10.5, 210, 133_350]
  ].each do |number, unit, points, twips, emu|
    it "turns #{number} #{unit} into #{points} pt, #{twips} twips, #{emu} EMU" do
      value = described_class.from_file("#{number}#{unit}", "twip")
      expect(value).to be_within(0.00006).of(points)
      expect(described_class.whole(value, "twip")).to eq twips
      expect(described_class.units(Norvel::Length.points(number.to_r, unit), "emu").round(-1)).to be_within(10).of(emu)
    end
  end

  it "reads a bare number in the attribute's own unit (ST_TwipsMeasure, ST_HpsMeasure)" do
    expect(described_class.from_file("1440", "twip")).to eq 72.0
    expect(described_class.from_file("24", "half_point")).to eq 12.0
  end

  it "takes no words for lengths and cuts absurd numbers" do
    expect(described_class.from_file("wide", "twip")).to be_nil
    expect(described_class.from_file("9" * 5000, "twip")).to eq described_class::LIMIT
  end

  it "understands what people type" do
    expect(["0.5in", "1,27 cm", "12pt", "36", "2 lines", "3 pc", '1"'].map { |text| described_class.typed(text) })
      .to eq [36.0, 36.0, 12.0, 36.0, 24.0, 36.0, 72.0]
    expect { described_class.typed("wide") }.to raise_error(Norvel::Refused, /not a length/)
    expect { described_class.typed("3 furlongs") }.to raise_error(Norvel::Refused, /not a unit/)
  end

  it "keeps any whole number of twips through points (property)" do
    PropCheck.forall(PropCheck::Generators.integer.map { |n| n % 200_000 }) do |twips|
      raise "#{twips} drifted" unless described_class.whole(described_class.from_file(twips.to_s, "twip"),
        "twip") == twips
    end
  end

  it "says a length shortly in a person's unit" do
    expect(described_class.spoken(53.85, "cm")).to eq "1.9 cm"
    expect(described_class.spoken(12.0)).to eq "12 pt"
  end
end
