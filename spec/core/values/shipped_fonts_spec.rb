# frozen_string_literal: true

RSpec.describe Norvel::ShippedFonts do
  # Metric compatibility by design of the fonts (their makers say so): Liberation for Times New Roman, Arial, Courier
  # New; Carlito for Calibri.
  {
    "Times New Roman" => "Liberation Serif",
    "times new roman" => "Liberation Serif",
    "Arial" => "Liberation Sans",
    "Courier New" => "Liberation Mono",
    "Calibri" => "Carlito",
    "Carlito" => "Carlito"
  }.each do |name, family|
    it "sets #{name} in #{family}, line for line" do
      expect(described_class.stand_in(name).to_a.first(2)).to eq [family, true]
    end
  end

  {
    "Cambria" => "Caladea",
    "Garamond" => "EB Garamond",
    "Verdana" => "Liberation Sans",
    "Some Serif Pro" => "Liberation Serif",
    "Unheard Of Sans" => "Liberation Sans",
    "Code Mono" => "Liberation Mono"
  }.each do |name, family|
    it "sets #{name} in #{family}, as an estimate" do
      expect(described_class.stand_in(name).to_a.first(2)).to eq [family, false]
    end
  end

  it "ships every file that it names, with the licences" do
    files = described_class.families.values.flat_map { |family| family["files"].values }.uniq
    missing = files.reject { |file| File.exist?(File.join(Norvel::ROOT, "public", "fonts", file)) }
    expect(missing).to be_empty
    expect(Dir[File.join(Norvel::ROOT, "public", "fonts", "licences", "*.txt")].size).to be >= 5
  end
end
