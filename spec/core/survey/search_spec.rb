# frozen_string_literal: true

# What is found in a text, and other words in its place.
RSpec.describe Norvel::Survey::Search do
  def found(document, sought, **how)
    described_class.new(sought, **how).hits(document)
  end

  def replaced(document, sought, with, **how)
    search = described_class.new(sought, **how)
    places = search.hits(document).reject(&:fixed).map { |hit| [hit.paragraph, hit.places, search.instead(hit, with)] }
    Norvel::Edits::ReplaceWords.new(places, sought:, with:).apply(document)
  end

  let(:document) do
    docx(p(r("The mill, the Mill and the mills; a ") + r("mill", "<w:i/>") + r(" of timber.")) +
      p(r("mill by the quay"), '<w:pStyle w:val="Quote"/>') + p(r("No such word.")),
      styles: style("Quote", "Quote"))
  end

  {["mill", {}] => 5, ["mill", {exact: true}] => 4, ["mill", {words: true}] => 4, ["/[Mm]ills?\\b/", {}] => 5,
   ["mill", {style: "Quote"}] => 1, ["mill", {look: "italic"}] => 1, ["", {look: "italic"}] => 1,
   ["", {style: "Quote"}] => 0, [" ", {}] => 0}.each do |(sought, how), count|
    it "finds “#{sought}” #{how} at #{count} places" do
      expect(found(document, sought, **how).size).to eq count
    end
  end

  describe "looks set by hand on words in a paragraph" do
    let(:document) do
      docx(p(r("One ") + r("two", "<w:i/>") + r(" three ") + r("four", '<w:i/><w:sz w:val="23"/>')) +
        p(r("All of it", "<w:i/>")) + p(r("A ") + r("styled", '<w:rStyle w:val="Emph"/>')) +
        p(r("In ") + r("Courier", '<w:rFonts w:ascii="Courier New" w:hAnsi="Courier New"/>') +
          r(" set", '<w:i w:val="0"/>')),
        styles: style("Emph", "Emph", type: "character", rpr: "<w:i/>"))
    end

    it "are found by name, a size or a font too, and counted" do
      expect(Norvel::Survey::LooksApart.of(document)).to eq("italic" => 2, "size 11.5" => 1, "font Courier New" => 1)
      expect(found(document, "", look: "italic").map(&:words)).to eq ["two", "four", "All of it", "styled"]
      expect(found(document, "", look: "italic", apart: true).map(&:words)).to eq %w[two four]
      expect(found(document, "", look: "size 11.5").map(&:words)).to eq %w[four]
      expect(found(document, "cour", look: "font Courier New").size).to eq 1
      expect(found(document, "", look: "size large")).to eq []
    end
  end

  it "tells a place with what stands around it" do
    hit = found(document, "quay").first
    expect([hit.paragraph, hit.words, hit.before, hit.after]).to eq [2, "quay", "mill by the ", ""]
  end

  it "refuses a pattern that can't be read, and one that takes too long" do
    expect { found(document, "/(/") }.to raise_error(Norvel::Refused, /can't be read/)
    stub_const("#{described_class}::PATIENCE", 0.2)
    slow = docx(p(r("#{"a" * 40}!")))
    expect { found(slow, "/^(a+)+$/") }.to raise_error(Norvel::Refused, /takes too long/)
  end

  it "puts other words in the look of those that they stand for, and takes it back as one" do
    change = replaced(document, "mill", "works", words: true)
    expect(change.after.paragraphs.map(&:text))
      .to eq ["The works, the works and the mills; a works of timber.", "works by the quay", "No such word."]
    italic = change.after.paragraphs[0].runs.find { |run| run.direct[:italic] }
    expect([italic.text, change.words_changed, change.title])
      .to eq ["works", true, "Replace “mill” by “works” at 4 places"]
    expect(change.take_back(change.after).paragraphs).to eq document.paragraphs
  end

  it "puts in what stood in the brackets of a pattern, and takes words out" do
    expect(replaced(document, "/(\\w+) by the (\\w+)/", "\\2 of the \\1").after.paragraphs[1].text)
      .to eq "quay of the mill"
    expect(replaced(document, " by the quay", "").after.paragraphs[1].text).to eq "mill"
  end

  it "leaves computed words and places with objects, and moves what stands behind" do
    field = %(<w:fldSimple w:instr=" REF x "><w:r><w:t>mill</w:t></w:r></w:fldSimple>)
    document = docx(p(field + r(" a mill ") + %(<w:bookmarkStart w:id="1" w:name="b"/>) + r("here") +
      %(<w:bookmarkEnd w:id="1"/>)))
    expect(found(document, "mill").map(&:fixed)).to eq ["computed", nil]
    paragraph = replaced(document, "mill", "windmill").after.paragraphs[0]
    expect(paragraph.text).to eq "mill a windmill here"
    edges = paragraph.anchors.map(&:place)
    expect(paragraph.raw_text[edges.first...edges.last]).to eq "here"
  end

  it "goes through files of both formats as it is on the page" do
    %w[docx odt].each do |format|
      there = Norvel::Formats.read(Norvel::Formats.write(document, as: format).bytes, name: "d")
      again = Norvel::Formats.read(Norvel::Formats.write(replaced(there, "mill", "works").after).bytes, name: "d")
      expect(again.paragraphs[1].text).to eq "works by the quay"
    end
  end
end
