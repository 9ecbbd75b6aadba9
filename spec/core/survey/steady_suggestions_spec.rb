# frozen_string_literal: true

require_relative "../../reference/flattened"

# What reads as what does not depend on how far a person has come.
RSpec.describe "suggestions while the work goes on" do
  documents = Flattened::SCHEMES.keys.product(Flattened::VOCABULARY.keys)
    .map.with_index do |(scheme, language), seed|
      ["#{scheme} #{language}", Flattened.document(language, scheme, (seed * 31) + 5)]
    end

  # The headings in their styles, so many of them.
  def marked(document, headings, share)
    some = headings.to_a.sample((headings.size * share).round, random: Random.new(7))
    now = Norvel::Edits::PutInRoles.new(some.group_by(&:last).transform_values { |list| list.map(&:first) },
      Norvel::Guide.none).apply(document).after
    [now, headings.to_a - some]
  end

  [0.3, 0.7].each do |share|
    it "sees the other headings, at their levels, with #{(share * 100).round} % of them marked" do
      missed = documents.flat_map do |name, (document, truth)|
        now, rest = marked(document.begun_as(document), truth.select { |_, role| role.start_with?("heading") }, share)
        was = Norvel::Survey::Suggestions.of(document)
        rest.filter_map { |id, _| "#{name} #{id}" if Norvel::Survey::Suggestions.of(now).role(id) != was.role(id) }
      end
      expect(missed).to eq []
    end

    it "sees them in a file that came so, with #{(share * 100).round} % marked" do
      seen = documents.flat_map do |_, (document, truth)|
        now, rest = marked(document, truth.select { |_, role| role.start_with?("heading") }, share)
        rest.map { |id, _| Norvel::Survey::Suggestions.of(now)[id].heading? }
      end
      expect(seen.count(true).fdiv(seen.size)).to be >= 0.98
    end
  end

  it "sees bare headings too, and what a person says comes first" do
    text = "The keeper of the gate wrote down each tide that came over the sill in the winter of that year, and he " \
      "signed for it."
    document = docx(%w[Introduction Sources Method Results Conclusion].map { |head| p(r(head)) + p(r(text)) }.join)
    now = Norvel::Edits::PutInStyle.new([1, 3], "Heading 1").apply(document.begun_as(document)).after
    expect(now.paragraphs.map { |one| Norvel::Survey.role(now, one) }).to eq %w[heading_1 body] * 5
    said = Norvel::Edits::Decide.new([5], Norvel::Document::NO_HEADING).apply(now).after
    expect(Norvel::Survey.role(said, said.paragraph(5))).not_to start_with "heading"
  end

  it "sees headings whose look has gone with everything put in one style first" do
    _, (document, truth) = documents.first
    heads = truth.select { |_, role| role.start_with?("heading") }
    all = document.paragraphs.map(&:id)
    now = Norvel::Edits::PutInStyle.new(all, "Body Text").apply(document.begun_as(document)).after
    expect(heads.map { |id, _| Norvel::Survey::Suggestions.of(now).role(id) })
      .to eq(heads.map { |id, _| Norvel::Survey::Suggestions.of(document).role(id) })
  end

  # Kinds of lines that were taken for something else.
  {
    "items that end with a semicolon" => [["(a) a float of copper;", "(b) two days of a carpenter;", "(c) a new rope."],
      "list_item"],
    "items with a dash and a semicolon" => [["– a float of copper;", "– two days of a carpenter;", "– a new rope."],
      "list_item"],
    "boxes to tick" => [["☐ a float of copper;", "☐ two days of a carpenter;", "☐ a new rope"], "list_item"],
    "an agenda" => [["TOP 1 Minutes of the last meeting", "TOP 2 The upper sluice", "TOP 3 Dues"], "list_item"],
    "amounts" => [["500 g cod", "2 onions", "1 l water"], "list_item"],
    "names with their tasks" => [["Ottilie: order the planks", "Jonas: close the sluice", "Mirre: read the gauge"],
      "list_item"],
    "entries with their pages" => [["1.1 Allocation of berths … 31", "1.2 Dues of the year … 35"], "contents_entry"],
    "a question in running text" => [["Who paid for the planks?"], "body"]
  }.each do |what, (lines, role)|
    it "takes #{what} for #{Norvel::Survey::Roles.words(role)}" do
      text = p(r("The keeper of the gate wrote down each tide that came over the sill in the winter of that year, " \
        "and he signed for it."))
      document = docx(text * 2 + lines.map { |line| p(r(line)) }.join + text * 2)
      expect(document.paragraphs[2, lines.size].map { |one| Norvel::Survey::Suggestions.of(document).role(one.id) }
        .uniq).to eq [role]
    end
  end

  it "is not all but certain of levels that size alone tells apart" do
    text = p(r("The keeper of the gate wrote down each tide that came over the sill in the winter of that year, and " \
      "he signed for it."))
    heads = [36, 28, 28, 36, 28].zip(%w[one two three four five]).map do |size, number|
      p(r("Part #{number} of it", %(<w:b/><w:sz w:val="#{size}"/>)))
    end
    document = docx(heads.map { |head| head + text }.join)
    sure = document.paragraphs.each_slice(2).map do |head, _|
      Norvel::Survey::Suggestions.of(document)[head.id].confidence
    end
    expect(sure.max).to be <= 0.9
  end
end
