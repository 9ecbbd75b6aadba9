# frozen_string_literal: true

# Three ways to put paragraphs in a style that looks otherwise.
RSpec.describe Norvel::Edits::PutInStyle do
  let(:styles) { style("Heading1", "heading 1", based_on: "Normal", ppr: '<w:spacing w:before="480"/>', rpr: '<w:b/><w:color w:val="2F5496"/><w:sz w:val="32"/>') }
  let(:document) do
    docx(p(r("Worn"), '<w:pStyle w:val="Heading1"/>') + p(r("Mine in most of its letters ", '<w:sz w:val="28"/>') + r("in part", '<w:i/><w:sz w:val="28"/>'), '<w:jc w:val="center"/>'), styles:)
  end

  def put(way)
    after = described_class.new([2], "Heading 1", way:).apply(document).after
    look = after.look(after.paragraph(2)).values.merge(after.letter_look(after.paragraph(2)).values)
    [look.values_at(:align, :space_before, :size, :color, :bold), after.letter_look(after.paragraph(1)).values.values_at(:size, :color), after.run_look(after.paragraph(2).runs[1], after.paragraph(2))[:italic]]
  end

  it "keeps what differs by hand" do
    expect(put(:keep)).to eq [["center", 0.0, 14.0, "auto", false], [16.0, "#2f5496"], true]
  end

  it "lets them look as the style is, but for words set apart" do
    expect(put(:as_style)).to eq [["left", 24.0, 16.0, "#2f5496", true], [16.0, "#2f5496"], true]
  end

  it "lets the style take their look, whoever else wears it" do
    expect(put(:style_takes)).to eq [["center", 0.0, 14.0, "auto", false], [14.0, "auto"], true]
  end

  it "tells what the style has otherwise" do
    said = described_class.new([2], "Heading 1").differences(document).map { |property, theirs, its| "#{property.name} #{theirs}, #{its}" }
    expect(said).to match_array ["align center, left", "space_before 0.0, 24.0", "size 14.0, 16.0", "bold false, true", "color auto, #2f5496"]
  end

  it "writes what it shows, and is taken back" do
    change = described_class.new([2], "Heading 1").apply(document)
    expect(reread(change.after).paragraphs[1].direct).to eq set(align: "center", space_before: 0.0)
    expect(change.take_back(change.after).paragraphs).to eq document.paragraphs
  end
end
