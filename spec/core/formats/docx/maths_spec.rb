# frozen_string_literal: true

# Formulas of WordprocessingML to MathML and back. Elements and defaults: ISO/IEC 29500-1 22.1.2.
RSpec.describe Norvel::Formats::Docx::MathsReader do
  words = "http://schemas.openxmlformats.org/wordprocessingml/2006/main"

  def read(content, **told)
    holder = told[:own_line] ? omath_para(content, told[:align]) : omath(content)
    docx(p(holder)).paragraphs[0].equations.values.flatten.first
  end

  define_method(:written) do |content|
    part = Nokogiri::XML(%(<w:p xmlns:w="#{words}"/>))
    holder = Struct.new(:xml) { def root = xml.root }.new(part)
    made = Norvel::Formats::Docx::MathsWriter.new(holder).formula(Norvel::Mathml.read(mathml(content)))
    source = made.to_xml.sub("<m:oMath", %(<m:oMath xmlns:m="#{Formulas::MATHS}"))
    docx(p(source)).paragraphs[0].equations.values.flatten.first
  end

  reads = {
    "a fraction" => [->(s) { s.me("f", num: s.mr("1"), den: s.mr("n")) }, "<mfrac><mn>1</mn><mi>n</mi></mfrac>"],
    "one without a rule" => [->(s) { s.me("f", s.mval("type", "noBar"), num: s.mr("n"), den: s.mr("k")) },
      '<mfrac linethickness="0"><mi>n</mi><mi>k</mi></mfrac>'],
    "a root with its degree" => [->(s) { s.me("rad", deg: s.mr("3"), e: s.mr("x")) },
      "<mroot><mi>x</mi><mn>3</mn></mroot>"],
    "a square root" => [->(s) { s.me("rad", s.mval("degHide", 1), deg: "", e: s.mr("x")) },
      "<msqrt><mi>x</mi></msqrt>"],
    "scripts" => [->(s) { s.me("sSubSup", e: s.mr("x"), sub: s.mr("i"), sup: s.mr("2")) },
      "<msubsup><mi>x</mi><mi>i</mi><mn>2</mn></msubsup>"],
    "scripts before" => [->(s) { s.me("sPre", sub: s.mr("2"), sup: s.mr("4"), e: s.mr("H")) },
      "<mmultiscripts><mi>H</mi><mprescripts></mprescripts><mn>2</mn><mn>4</mn></mmultiscripts>"],
    "brackets, round by default" => [->(s) { s.me("d", e: s.mr("x")) },
      '<mrow><mo fence="true" stretchy="true" form="prefix">(</mo><mi>x</mi>' \
        '<mo fence="true" stretchy="true" form="postfix">)</mo></mrow>'],
    "an integral, by default" => [->(s) { s.me("nary", sub: s.mr("0"), sup: s.mr("1"), e: s.mr("x")) },
      '<msubsup><mo largeop="true" movablelimits="false">∫</mo><mn>0</mn><mn>1</mn></msubsup><mi>x</mi>'],
    "an accent" => [->(s) { s.me("acc", s.mval("chr", "~"), e: s.mr("x")) },
      '<mover accent="true"><mi>x</mi><mo>~</mo></mover>'],
    "a rule below" => [->(s) { s.me("bar", e: s.mr("x")) }, '<munder><mi>x</mi><mo stretchy="true">_</mo></munder>'],
    "a limit" => [->(s) { s.me("limLow", e: s.mr("lim", "p"), lim: s.mr("n")) },
      '<munder><mi mathvariant="normal">lim</mi><mi>n</mi></munder>'],
    "what leaves room and is not seen" => [->(s) { s.me("phant", s.mval("show", 0), e: s.mr("x")) },
      "<mphantom><mi>x</mi></mphantom>"],
    "a limit above" => [->(s) { s.me("limUpp", e: s.mr("x"), lim: s.mr("n")) },
      "<mover><mi>x</mi><mi>n</mi></mover>"],
    "a matrix" => [->(s) { "<m:m><m:mr><m:e>#{s.mr("a")}</m:e><m:e>#{s.mr("b")}</m:e></m:mr></m:m>" },
      "<mtable><mtr><mtd><mi>a</mi></mtd><mtd><mi>b</mi></mtd></mtr></mtable>"],
    "lines aligned at a sign" => [->(s) { "<m:eqArr><m:e>#{s.mr("x&amp;=1")}</m:e></m:eqArr>" },
      '<mtable columnalign="right left"><mtr><mtd><mi>x</mi></mtd><mtd><mrow><mo>=</mo><mn>1</mn></mrow></mtd></mtr>' \
        "</mtable>"],
    "letters by their style" => [->(s) { s.mr("v", "b") + s.mr("12,5") + s.mr("(") },
      '<mi mathvariant="bold">v</mi><mn>12,5</mn><mo stretchy="false">(</mo>']
  }
  reads.each do |what, (content, mathml)|
    it "reads #{what}" do
      expect(bare(read(content.call(self)).formula)).to eq mathml
    end

    it "writes #{what} so that it is read again" do
      expect(bare(written(mathml).formula)).to eq mathml
    end
  end

  it "sets the number of a line apart (22.1.2.34)" do
    line = "<m:eqArr><m:e>#{mr("x#(1)")}</m:e></m:eqArr>"
    expect(bare(read(line).formula)).to include '<mi>x</mi><mspace width="2em"></mspace>', "<mn>1</mn>"
  end

  it "tells the formula on a line of its own from one in the line, and how it stands there" do
    expect(read(quadratic)).to have_attributes display: false, text: "x=-b±b2-4ac2a"
    expect(read(quadratic, own_line: true)).to have_attributes display: true, align: "center"
    expect(read(quadratic, own_line: true, align: "left")).to have_attributes align: "left"
  end

  it "reads what it has no name for by its letters, and leaves out what was deleted" do
    odd = "<m:strange><m:e>#{mr("a")}</m:e></m:strange>"
    gone = %(<w:del xmlns:w="#{words}">#{mr("z")}</w:del>)
    expect(bare(read(odd + gone + mr("b")).formula)).to eq "<mi>a</mi><mi>b</mi>"
  end

  it "reads a formula that is nested without an end" do
    deep = (%(<m:rad><m:e>) * 120) + mr("x") + ("</m:e></m:rad>" * 120)
    expect(read(deep)).to have_attributes text: "x"
  end
end
