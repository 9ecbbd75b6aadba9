# frozen_string_literal: true

RSpec.describe Norvel::Colour do
  # WCAG 2.2 (W3C, 2023), contrast ratio; computed from its definition.
  {
    "#000000" => 21.0,
    "#333333" => 12.6347,
    "#0000ff" => 8.5925,
    "#595959" => 7.0047,
    "#666666" => 5.7418,
    "#008000" => 5.1374,
    "#767676" => 4.5422,
    "#777777" => 4.4781,
    "#ff0000" => 3.9985,
    "#949494" => 3.0335,
    "#ffff00" => 1.0738
  }.each do |colour, ratio|
    it "contrasts #{colour} on white by #{ratio}" do
      expect(described_class.contrast(colour, "#ffffff")).to be_within(0.0001).of(ratio)
    end
  end

  it "contrasts grounds that are not white" do
    expect(described_class.contrast("#767676", "#f5f5f5")).to be_within(0.0001).of(4.1663)
    expect(described_class.contrast("#000000", "#ffff00")).to be_within(0.0001).of(19.556)
  end

  # ISO/IEC 29500-1 17.3.2.6: tint and shade change the lightness; cached values in files are one off at most.
  it "makes theme colours lighter and darker" do
    expect(described_class.tinted("#4f81bd", tint: 255)).to eq "#4f81bd"
    expect(described_class.channels(described_class.tinted("#4f81bd", shade: 0xBF)).zip([0x36, 0x5f, 0x91])
      .map { |a, b| (a - b).abs }.max).to be <= 1
    expect(described_class.channels(described_class.tinted("#4f81bd", tint: 0x99)).zip([0x95, 0xb3, 0xd7])
      .map { |a, b| (a - b).abs }.max).to be <= 1
  end

  it("mixes pattern shading") { expect(described_class.mixed("#000000", "#ffffff", 0.5)).to eq "#808080" }
end
