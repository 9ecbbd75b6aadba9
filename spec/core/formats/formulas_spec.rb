# frozen_string_literal: true

# Formulas from one format into another, and where they stand in texts that are worked on.
RSpec.describe "formulas in files" do
  def odt(body, **parts) = OpenDocument.new(body, **parts).document

  def to(document, name)
    written = Norvel::Formats.write(document, as: name)
    [Norvel::Formats.read(written.bytes, name: "converted"), written.carried]
  end

  def of(document)
    document.paragraphs.flat_map { |paragraph|
      paragraph.equations.values.flatten.map(&:formula) + paragraph.images.map(&:formula)
    }.compact
  end

  let(:document) do
    docx(p(r("The height ") + omath(quadratic) + r(" holds.")) + p(omath_para(quadratic, "right")) + p(r("The end.")))
  end
  let(:said) { of(document).first }

  frame = ->(inside) { %(<text:p>So <draw:frame text:anchor-type="as-char">#{inside}</draw:frame> is.</text:p>) }
  math = %(<math:math><math:mfrac><math:mi>a</math:mi><math:mn>2</math:mn></math:mfrac></math:math>)
  half = "<mfrac><mi>a</mi><mn>2</mn></mfrac>"

  it "go to OpenDocument and back as they were" do
    opened, carried = to(document, "odt")
    expect(of(opened).map { |one| bare(one) }).to eq [bare(said)] * 2
    expect(carried.not_carried + carried.approximated).to eq []
    expect(opened.look(opened.paragraphs[1])[:align]).to eq "right"
    again, carried = to(opened, "docx")
    expect(of(again).map { |one| bare(one) }).to eq [bare(said)] * 2
    expect(again.paragraphs.map { |one| one.equations.values.flatten.map(&:display) }).to eq [[false], [true], []]
    expect(carried.not_carried).to eq []
  end

  it "go to a web page as MathML, and come from one" do
    bytes = Norvel::Formats.write(document, as: "html").bytes
    page = Nokogiri::HTML5(bytes)
    expect(page.css("math mfrac msqrt").size).to eq 2
    text = Norvel::Formats["html"].reader.call(bytes)
    dressed = Norvel::Formats.dress(text, docx(p(r("Template"))), name: "a")
    made = Norvel::Formats.read(dressed.bytes, name: "a.docx")
    expect(of(made).map { |one| bare(one) }).to eq [bare(said)] * 2
    expect(made.paragraphs.map(&:text)).to include "The height  holds."
  end

  it "are their letters in a row where nothing else can stand, which is told" do
    %w[markdown text].each do |name|
      written = Norvel::Formats.write(document, as: name)
      expect(written.bytes.dup.force_encoding("UTF-8").delete("\\"))
        .to include "The height x=(-b±√(b^2-4ac))/(2a) holds."
      expect(written.carried.approximated.map { |one| [one.what, one.count] }).to include ["formulas", 2]
    end
  end

  it "are read from a frame of an OpenDocument text, where they stand in it or in a part of their own" do
    apart = '<draw:object xlink:href="./Object 1"/><draw:image xlink:href="./ObjectReplacements/Object 1"/>'
    files = {"Object 1/content.xml" => math.sub("<math:math", %(<math:math xmlns:math="#{Formulas::MATHML}")),
             "ObjectReplacements/Object 1" => "picture"}
    [odt(frame["<draw:object>#{math}</draw:object>"]), odt(frame[apart], files:)].each do |one|
      expect(of(one).map { |source| bare(source) }).to eq [half]
      expect([one.pictures, one.paragraphs[0].text]).to match [[], "So  is."]
      spans = Norvel::Layout.of(one).sheets[0].lines[0].spans
      expect(spans.map { |span| span.object ? :formula : span.text.strip }).to eq ["So", :formula, "is."]
    end
  end

  it "leave a frame that holds no formula as it is" do
    ["", ' xlink:href="./Object 9"', ' xlink:href="./Object 1"'].map { |at| "<draw:object#{at}/>" }.each do |object|
      files = {"Object 1/content.xml" => "<office:document-content xmlns:office=\"x\"/>"}
      expect(of(odt(frame[object], files:))).to eq []
    end
  end

  it "are as large as their frame says they are wide" do
    wide = ->(width) {
      framed = frame["<draw:object>#{math}</draw:object>"].sub("as-char\"", %(as-char" svg:width="#{width}pt"))
      Norvel::Layout.of(odt(framed)).sheets[0].lines[0].spans[1].width
    }
    expect([wide[10], wide[14]]).to match [be_within(0.1).of(10), be_within(0.1).of(14)]
  end

  it "are something between two spaces: none of them is one too many, at an edge neither" do
    document = docx(p(r("where ") + omath(mr("x")) + r(" holds")) + p(omath(mr("x")) + r("  holds  all")) +
      p(r("ends ") + omath(mr("x"))))
    hand = Norvel::Survey::ByHand
    expect(document.paragraphs.map { |one| [hand.double_space?(one), hand.leading_space?(one)] })
      .to eq [[false, false], [true, false], [false, false]]
    single = Norvel::Edits::SingleSpaces.new([1, 2, 3]).change(document)
    expect(single.paragraphs.map { |one| [one.raw_text, one.equations.keys] })
      .to eq [["where  holds", [6]], [" holds all", [0]], ["ends ", [5]]]
  end

  it "are no blank line where they stand alone, and no list item or caption for standing in one" do
    x = omath(mr("x"))
    document = docx(p(omath_para(mr("x"))) + p(x + r(" (1)")) + p(r("• one point with ") + x) +
      p(r("• another point of it")) + p(r("Figure 1. Levels of ") + x))
    roles = document.paragraphs.map { |one| Norvel::Survey::Suggestions.of(document)[one.id]&.role }
    expect([roles.first(3), document.paragraphs.map { |one| one.blank? || one.removable? }.first(2)])
      .to eq [["other", "other", "list_item"], [false, false]]
  end

  it "stay where they are whatever is put in the place of words around them" do
    document = docx(p(r("a mill ") + omath(mr("x")) + r(" a mill")))
    search = Norvel::Survey::Search.new("mill")
    hits = search.hits(document)
    expect(hits.map(&:places)).to eq [[2, 3, 4, 5], [10, 11, 12, 13]]
    across = Norvel::Survey::Search.new("/l.*a/").hits(document)
    expect(across.map(&:fixed)).to eq ["an object stands in it"]
  end
end
