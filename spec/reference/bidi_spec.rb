# frozen_string_literal: true

# Both ways: the Unicode Consortium's own tests of the Bidirectional Algorithm (BidiCharacterTest.txt, BidiTest.txt of
# Unicode 15.0, as Debian's unicode-data has them). A run takes one of forty lines, drawn by its seed; CHANCE=1 all.
RSpec.describe Norvel::Layout::Bidi do
  folder = "/usr/share/unicode"
  step = ENV["CHANCE"] ? 1 : 40
  # A character of each class, in the words of the tests.
  sample = {"L" => "a", "R" => "\u05D0", "AL" => "\u0627", "EN" => "1", "ES" => "+", "ET" => "%", "AN" => "\u0660",
            "CS" => ",", "NSM" => "\u0300", "BN" => "\u00AD", "B" => "\u2029", "S" => "\t", "WS" => " ", "ON" => "!",
            "LRE" => "\u202A", "RLE" => "\u202B", "LRO" => "\u202D", "RLO" => "\u202E", "PDF" => "\u202C",
            "LRI" => "\u2066", "RLI" => "\u2067", "FSI" => "\u2068", "PDI" => "\u2069"}

  # [level of the paragraph, levels, places from the left], as the tests write them
  def told(text, base)
    bidi = described_class.new(text, base:)
    levels = bidi.line
    shown = (0...levels.size).reject { |place| bidi.removed?(place) }
    order = described_class.order(levels.values_at(*shown)).map { |place| shown[place] }
    [bidi.base, levels.each_index.map { |place| shown.include?(place) ? levels[place].to_s : "x" }, order]
  end

  def drawn(lines, step)
    offset = Random.new(RSpec.configuration.seed).rand(step)
    lines.each_with_index.filter_map { |line, index| line if (index % step) == offset }
  end

  it "comes to the levels and the order of BidiCharacterTest" do
    lines = File.foreach("#{folder}/BidiCharacterTest.txt", chomp: true).grep(/\A\h{4}/)
    drawn(lines, step).each do |line|
      codes, direction, base, levels, order = line.split(";")
      text = codes.split.map { |code| code.to_i(16) }.pack("U*")
      expect([line, *told(text, {"0" => 0, "1" => 1}[direction])])
        .to eq [line, base.to_i, levels.split, order.to_s.split.map(&:to_i)]
    end
  end

  it "comes to those of BidiTest, in each direction that it asks for" do
    levels = order = nil
    cases = []
    File.foreach("#{folder}/BidiTest.txt", chomp: true) do |line|
      case line
      when /\A@Levels:\s*(.*)/ then levels = $1.split
      when /\A@Reorder:\s*(.*)/ then order = $1.split.map(&:to_i)
      when /\A[A-Z]/ then cases << [line, levels, order]
      end
    end
    drawn(cases, step * 5).each do |line, expected, places|
      classes, bits = line.split(";")
      text = classes.split.map { |name| sample.fetch(name) }.join
      {1 => nil, 2 => 0, 4 => 1}.each do |bit, base|
        expect([line, base, *told(text, base).drop(1)]).to eq [line, base, expected, places] if bits.to_i.anybits?(bit)
      end
    end
  end
end
