# frozen_string_literal: true

# Success criteria for documents. Source: WCAG 2.2 (W3C, 2023), numbers and levels; 1.4.8 for 80 characters, 1.5 lines,
# text that is not justified.
RSpec.describe Norvel::Report::Criteria do
  running = "The keeper of the gate wrote the hour and the height of the tide in the book, and he signed it. " * 3

  def entries(document)
    described_class.new(document).entries.to_h { |one| [one.number, [one.standing, one.paragraphs]] }
  end

  let(:heading) { style("Heading1", "heading 1", ppr: '<w:outlineLvl w:val="0"/>') }

  it "are those of the recommendation, each with its level" do
    told = described_class::DATA.map { |one| one.values_at("number", "level") }.reject { |number, _| number.empty? }
    expect(told).to eq [%w[1.1.1 A], %w[1.3.1 A], %w[1.3.2 A], %w[1.4.1 A], %w[1.4.3 AA], %w[1.4.5 AA], %w[1.4.6 AAA],
      %w[1.4.8 AAA], %w[2.4.2 A], %w[2.4.4 A], %w[2.4.6 AA], %w[2.4.9 AAA], %w[2.4.10 AAA], %w[3.1.1 A], %w[3.1.2 AA]]
  end

  it "do not apply where the document holds nothing of the kind" do
    plain = entries(docx(p(r(running))))
    expect(plain.slice("1.1.1", "1.3.2", "1.4.1", "1.4.5", "2.4.4", "2.4.6", "2.4.9").values.map(&:first).uniq)
      .to eq [:absent]
  end

  it "are not met where something is found, with its places" do
    body = p(r("• a can of oil")) + p(r("• a box of wicks")) + p(r(running), '<w:jc w:val="both"/>') * 2 + p(image(1)) +
      p(r("grey on white", '<w:color w:val="777777"/>')) +
      p(r("Die Mühle stand lange leer, und das Register sagt nichts von der Arbeit, die dort getan wurde."))
    found = entries(docx(body, image: Demo::Picture.png))
    expect(found.select { |_, (standing, _)| standing == :not_met }.transform_values(&:last)).to include(
      "1.1.1" => [5], "1.3.1" => [1, 2], "1.4.3" => [6], "1.4.6" => [6], "1.4.8" => [3, 4, 6, 7], "2.4.2" => [],
      "3.1.2" => [7]
    )
    expect(found["1.4.5"].first).to eq :person
  end

  # #777777 on white stands out by 4.4781 (published-values: WCAG 2.2, relative luminance), #595959 by 7.0047.
  it "know the two measures of contrast" do
    {"777777" => %i[not_met not_met], "767676" => %i[met not_met], "595959" => %i[met met]}.each do |colour, standing|
      found = entries(docx(p(r("words", %(<w:color w:val="#{colour}"/>)))))
      expect([colour, *found.values_at("1.4.3", "1.4.6").map(&:first)]).to eq [colour, *standing]
    end
  end

  it "are met, or a person's to judge, where all is said" do
    described = image(1).sub("<wp:docPr ", '<wp:docPr descr="A mill at low water" ')
    made = docx(p(r("The tides"), '<w:pStyle w:val="Heading1"/>') + p(r(running)) + p(described), styles: heading,
      image: Demo::Picture.png)
    whole = Norvel::Edits::Describe.new(title: "Tides", language: "en-GB").apply(made).after
    found = entries(whole).transform_values(&:first)
    expect(found.slice("1.3.1", "1.4.3", "2.4.10", "3.1.1", "3.1.2").values.uniq).to eq [:met]
    expect(found.slice("1.1.1", "2.4.2", "2.4.6").values.uniq).to eq [:person]
  end

  it "know links by field as well as links by element" do
    instruction = "HYPERLINK &quot;https://ravelmouth.example&quot;"
    field = %(<w:fldSimple w:instr=" #{instruction} ">#{r("click here")}</w:fldSimple>)
    expect(entries(docx(p(r("See ") + field))).slice("2.4.4", "2.4.9").transform_values(&:first))
      .to eq("2.4.4" => :person, "2.4.9" => :not_met)
  end

  it "ask headings of a long text" do
    expect(entries(docx(p(r(running)) * 30))["2.4.10"].first).to eq :not_met
    expect(entries(docx(p(r(running))))["2.4.10"].first).to eq :met
  end
end
