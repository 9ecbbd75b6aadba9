# frozen_string_literal: true

# What a person says of a paragraph wins over every suggestion, and is kept with the document.
RSpec.describe Norvel::Edits::Decide do
  let(:running) do
    "The keeper of the gate wrote down what he saw, and the book was kept dry in the tower for many years."
  end
  let(:document) do
    docx((p(r("Sources", '<w:b/><w:sz w:val="32"/>')) + p(r(running)) * 2) * 3, defaults: defaults("Arial", 22))
  end

  def decide(said, ids = [1]) = described_class.new(ids, said).apply(document)

  it "makes a role of what was suggested otherwise, and no heading of one" do
    expect([Norvel::Survey::Suggestions.of(document).role(1), Norvel::Survey::Suggestions.of(decide("quote").after)
      .role(1)]).to eq %w[heading_1 quote]
    none = decide(Norvel::Document::NO_HEADING).after
    expect([Norvel::Survey::Suggestions.of(none)[1].heading?, Norvel::Survey::Suggestions.of(none).role(4),
      Norvel::Survey::SettledRoles.of(none)[none.paragraph(1)].by]).to eq [false, "heading_1", :decision]
  end

  it "wins over a style, too: what the style says is found and mended" do
    styled = docx(p(r("Not a heading at all"), '<w:pStyle w:val="Heading1"/>') + p(r(running)) * 3,
      styles: style("Heading1", "heading 1"))
    said = described_class.new([1], "body").apply(styled).after
    found = Norvel::Guide::Check.new(thesis_guide, said).at(1).find { |finding| finding.rule == "role.body.style" }
    expect([found.message, found.mend.safe]).to eq ["Is body text, and is in Heading 1", true]
  end

  it "outlives saving, is taken back, and is forgotten when asked" do
    change = decide("caption", [1, 4])
    saved = Norvel::Snapshot.load(Norvel::Snapshot.dump(change.after, document), document)
    expect(saved.decisions).to eq(1 => "caption", 4 => "caption")
    back = Norvel::Snapshot.take_back(Norvel::Snapshot.dump_change(change, document), saved, document)
    expect(back.decisions).to eq({})
    expect(described_class.new([1], nil).apply(change.after).after.decisions).to eq(4 => "caption")
  end

  it "changes nothing in the file" do
    expect(written(decide("quote").after)).to eq written(document)
  end

  it "refuses what is no role, and paragraphs that are not there" do
    expect { decide("poem") }.to raise_error(Norvel::Refused, /no such kind/)
    expect { decide("quote", [99]) }.to raise_error(Norvel::Refused)
    expect { decide("quote", []) }.to raise_error(Norvel::Refused)
  end

  it "says what it does" do
    said = [["quote", [1]], [Norvel::Document::NO_HEADING, [1, 4]], [nil, [1]]].map do |role, ids|
      described_class.new(ids, role).title(document)
    end
    expect(said).to eq ["Say what 1 paragraph is: block quotation", "Say that 2 paragraphs are no heading",
      "Leave 1 paragraph to suggestions again"]
  end
end
