# frozen_string_literal: true

RSpec.describe Norvel::Quantity do
  {[1, "page"] => "1 page", [2, "page"] => "2 pages", [28110, "word"] => "28,110 words",
   [3, "typed entry"] => "3 typed entries", [0, "day"] => "0 days",
   [2, "box of text"] => "2 boxes of text", [1, "line of code"] => "1 line of code",
   [2, "paragraph in a list"] => "2 paragraphs in a list", [1_000_000, "note"] => "1,000,000 notes"}
    .each do |(count, noun), said|
    it("says #{said}") { expect(described_class.words(count, noun)).to eq said }
  end
end
