# frozen_string_literal: true

# White space that carries sense is told from a habit of typing: common practice.
RSpec.describe Norvel::Survey::WhiteSpace do
  def of(method, text, role = "body") = described_class.public_send(method, docx(p(r(text))).paragraphs[0], role)

  let(:long) { "the register that was begun in the year of the great frost and kept by the clerk of the harbour" }

  it "takes breaks out of sentences that run on, and leaves verse, addresses and code" do
    expect(of(:of_line_breaks, "#{long},\n#{long}.")).to be_nil
    expect(of(:of_line_breaks, "3 Custom House Quay\nRavelmouth")).to match(/meant/)
    expect(of(:of_line_breaks, "the water came,\nthe water fell,\nand no one saw")).to match(/verse/)
    expect(of(:of_line_breaks, "#{long},\n#{long}.", "code")).to match(/code/)
  end

  it "takes the tab that begins a paragraph, and leaves columns" do
    expect([of(:of_tabs, "\t#{long}"), of(:of_tabs, "\tName:\tInes\tRoom 4")].map(&:nil?)).to eq [true, false]
  end

  it "takes double spaces, and leaves what is set under something else" do
    expect([of(:of_double_spaces, "One.  Two."), of(:of_double_spaces, "Length      12 m"),
      of(:of_double_spaces, "x  y", "other")].map(&:nil?)).to eq [true, false, false]
  end

  it "takes some spaces at the start, and leaves so many that they centre" do
    expect([of(:of_leading_spaces, "     #{long}"), of(:of_leading_spaces, "#{" " * 30}Minutes")].map(&:nil?))
      .to eq [true, false]
  end
end

# Languages are guessed from small words: sentences of our own, common practice.
RSpec.describe Norvel::Survey::Language do
  {
    "en" => "The mill stood dry for several winters, and the register says that it was not repaired before the flood.",
    "de" => "Die Mühle stand über mehrere Winter leer, und das Register sagt, dass sie vor der Flut nicht " \
    "erneuert wurde.",
    "fr" => "Le moulin resta à sec pendant plusieurs hivers, et le registre dit qu’il ne fut pas réparé avant la crue.",
    "es" => "El molino quedó seco durante varios inviernos, y el registro dice que no fue reparado antes de " \
    "la crecida.",
    "pt" => "O moinho ficou seco durante vários invernos, e o registo diz que não foi reparado antes da cheia.",
    "it" => "Il mulino rimase asciutto per molti inverni, e il registro dice che non fu riparato prima della piena."
  }.each { |tag, text| it("tells #{tag}") { expect(described_class.of(text)).to eq tag } }

  it "has words alone as its signs (“no” and “on” without quotes are no words in YAML)" do
    expect(described_class::DATA.values.flat_map { |entry| entry["words"] + entry["asked"] }).to all be_a(String)
  end

  it "says nothing of a few words, numbers or names" do
    expect(["", "Ravelmouth 1871", "Salt and Timber", "12 34 56"].map { |text| described_class.of(text) })
      .to eq [nil] * 4
  end

  describe "a guide's language" do
    let(:guide) { Norvel::Guide.new("norvel_guide: 1\nname: T\nlanguage: en-GB\naccessible: {language: require}") }

    def found(*texts) = Norvel::Guide::Check.new(guide, docx(texts.map { |text| p(r(text)) }.join)).findings

    it "is put on words that read as such, and asked about on others" do
      english, german = [["The mill stood dry for several winters and was not repaired before the flood of that year."],
        ["Die Mühle stand über mehrere Winter leer und wurde vor der Flut nicht mehr erneuert."]]
        .map { |texts| found(*texts).first.mend }
      expect([english.safe, english.steps]).to eq [true, [[:describe, {language: "en-GB"}]]]
      expect([german.safe, german.steps, german.why])
        .to eq [false, [[:describe, {language: "de"}]], "the words read as German; the guide asks for en-GB"]
    end

    it "is not put on paragraphs in another" do
      one = found(*["The mill stood dry for several winters, and it was not repaired before the flood, as the " \
        "register of the harbour says."] * 3,
        "Die Mühle stand über mehrere Winter leer, und das Register sagt, dass sie vor der Flut nicht erneuert wurde.")
      stranger = one.find(&:paragraph)
      expect([stranger.message, stranger.mend.safe]).to eq ["A paragraph reads as German and does not say so", false]
      document = docx(p(r("Die Mühle stand über mehrere Winter leer.")))
      said = Norvel::Edits::SayLanguage.new([1], "de").apply(document).after
      expect(reread(said).paragraphs[0].runs[0].direct[:language]).to eq "de"
    end
  end
end
