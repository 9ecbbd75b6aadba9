# frozen_string_literal: true

RSpec.describe Norvel::Report::SealParts do
  let(:document) do
    cell = "<w:tc>#{p(r("in a cell"))}</w:tc>"
    docx(p(r("One  two\tthree")) + p("") + "<w:tbl><w:tr>#{cell}</w:tr></w:tbl>" + p(r("End\n")))
  end

  it "counts words part by part and says which are the same, and white space by kind" do
    after = Norvel::Edits::SingleSpaces.new([1]).change(document.without([2]))
    report = described_class.new(document, after)
    expect(report.parts.map(&:to_a)).to eq [["text", 4, 4, true], ["tables", 3, 3, true]]
    expect(report.spaces.map(&:to_a)).to eq [["blank paragraphs", 1, 0], ["tabs", 1, 1], ["line breaks", 1, 1],
      ["double spaces", 1, 0]]
    changed = Norvel::Edits::Retype.new(1, "One two four five").change(document)
    expect(described_class.new(document, changed).parts.first.to_a).to eq ["text", 4, 5, false]
  end
end
