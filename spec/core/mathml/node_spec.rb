# frozen_string_literal: true

RSpec.describe Norvel::Mathml::Node do
  def of(xml) = described_class.of(Nokogiri::XML(xml).root)

  it "keeps what says how a formula is set, and nothing that a page would run or load" do
    node = of(%(<math onclick="x()"><mrow><mi mathvariant="bold" href="javascript:x()">v</mi><maction><mo>=</mo>) +
      %(<script>x()</script></maction><semantics><mn>1</mn><annotation-xml><script/></annotation-xml></semantics>) +
      "</mrow></math>")
    expect(bare(node.source))
      .to eq '<mrow><mi mathvariant="bold">v</mi><mrow><mo>=</mo><mrow></mrow></mrow><mn>1</mn></mrow>'
  end

  it "takes brackets told by an element of their own as signs, and what lacks a part as a row" do
    expect(of('<mfenced open="["><mi>a</mi><mi>b</mi></mfenced>').letters).to eq "[a,b)"
    expect(of("<mfrac><mi>a</mi></mfrac>")).to have_attributes name: "mi", text: "a"
    expect(of("<mroot/>")).to have_attributes name: "mrow", children: []
  end

  it "keeps what is nested beyond any formula as its letters" do
    deep = of(("<msqrt>" * 200) + "<mi>x</mi>" + ("</msqrt>" * 200))
    expect([deep.letters, deep.source.scan("<msqrt>").size]).to eq ["x", Norvel::Mathml::DEEPEST + 1]
  end

  it "is parted after signs that join, not after those that begin something" do
    node = of("<math><mi>x</mi><mo>=</mo><mo>−</mo><mi>b</mi><mo>+</mo><mi>c</mi></math>")
    expect(node.parts.map(&:letters)).to eq ["x=", "−b+", "c"]
    expect(of('<math display="block"><mi>x</mi><mo>=</mo><mi>y</mi></math>').parts.size).to eq 1
  end

  it "is the same when it is read from its own source" do
    node = of("<math><mfrac linethickness=\"0\"><mi>n</mi><mi>k</mi></mfrac><mtext>a &lt; b</mtext></math>")
    expect(of(node.source)).to eq node
  end

  describe Norvel::Mathml::Words do
    {"<mfrac><mi>a</mi><mrow><mi>b</mi><mo>+</mo><mi>c</mi></mrow></mfrac>" => "a/(b+c)",
     "<msubsup><mi>x</mi><mi>i</mi><mn>12</mn></msubsup>" => "x_i^12", "<msqrt><mi>x</mi></msqrt>" => "√x",
     "<mroot><mi>x</mi><mn>3</mn></mroot>" => "3√x", "<mover><mi>x</mi><mo>¯</mo></mover>" => "x¯",
     "<mtable><mtr><mtd><mi>a</mi></mtd><mtd><mi>b</mi></mtd></mtr></mtable>" => "[a, b]",
     "<mi>sin</mi><mo>\u2061</mo><mi>x</mi>" => "sinx"}.each do |content, words|
      it "says #{words}" do
        expect(Norvel::Mathml.words(mathml(content))).to eq words
      end
    end
  end
end
