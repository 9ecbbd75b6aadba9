# frozen_string_literal: true

# Formulas as boxes. The measures are the font's own (ISO/IEC 14496-22 5.4, MATH), the rules those of MathML Core.
RSpec.describe Norvel::Layout::Formulas do
  size = 100.0
  face = described_class::MathsFace.shipped

  define_method(:box) do |content, display: true|
    described_class.boxes(Norvel::Mathml.read(mathml(content)), size, display:).first
  end

  def letters(box) = box.marks.grep(Norvel::Layout::Formulas::Letters)

  def bars(box) = box.marks.grep(Norvel::Layout::Formulas::Bar)

  fraction = "<mfrac><mi>a</mi><mi>b</mi></mfrac>"

  it "sets a letter alone in italics and a word upright" do
    expect(letters(box("<mi>x</mi><mi>sin</mi><mi>α</mi><mi>h</mi>")).map(&:text)).to eq %w[𝑥 sin 𝛼 ℎ]
    expect(letters(box('<mi mathvariant="bold">v</mi><mi mathvariant="double-struck">R</mi>')).map(&:text))
      .to eq %w[𝐯 ℝ]
  end

  it "puts the rule of a fraction at the axis, as thick as the font says, its parts apart by its gaps" do
    made = box(fraction)
    rule = bars(made).first
    expect(rule.down + (rule.height / 2)).to be_within(0.001).of(-face.constant(:axis_height) * size)
    expect(rule.height).to be_within(0.001).of(face.constant(:fraction_rule) * size)
    above, below = letters(made)
    expect(above.down).to be <= -face.constant(:numerator_display_up) * size
    expect(below.down).to be >= face.constant(:denominator_display_down) * size
  end

  it "makes scripts as small as the font says, and those of fractions in a line" do
    sizes = letters(box("<msup><mi>x</mi><msup><mi>y</mi><mi>z</mi></msup></msup>")).map(&:size)
    expect(sizes).to eq [size, size * face.percent(:script_percent), size * face.percent(:script_script_percent)]
    expect(letters(box(fraction, display: false)).map(&:size)).to eq [size * face.percent(:script_percent)] * 2
    expect(letters(box(fraction)).map(&:size)).to eq [size, size]
  end

  it "keeps sub- and superscripts apart" do
    low, high = letters(box("<msubsup><mi>x</mi>#{fraction * 2}</msubsup>")).values_at(1, 3)
    expect(low.down - high.down).to be > 50
  end

  it "covers with brackets and roots what they hold, however high" do
    [1, 4, 12, 40].each do |rows|
      table = "<mtable>#{"<mtr><mtd><mi>a</mi></mtd></mtr>" * rows}</mtable>"
      held = box(table)
      [box(%(<mrow><mo fence="true">(</mo>#{table}<mo fence="true">)</mo></mrow>)), box("<msqrt>#{table}</msqrt>")]
        .each { |around| expect(around.height).to be_between(held.height - 5.01, held.height + (1.4 * size)) }
    end
  end

  it "sets a sum with its limits over and under it on a line of its own, beside it in a line" do
    sum = "<munderover><mo>∑</mo><mi>i</mi><mi>n</mi></munderover>"
    own, inside = box(sum), box(sum, display: false)
    expect(letters(own).map(&:down).minmax).to satisfy { |up, down| up < -size * 0.8 && down > size * 0.8 }
    expect(inside.height).to be < own.height
    expect(inside.width).to be > own.width * 0.7
  end

  it "takes a sign over another as a limit, unless it is an accent" do
    over = ->(sign) { box("<munderover><mo>∏</mo><mi>k</mi><mo>#{sign}</mo></munderover>").ascent }
    expect(over["∞"]).to be > over["^"] + (0.1 * size)
    accent = box("<mover><mi>x</mi><mo>→</mo></mover>")
    expect([accent.width, accent.ascent]).to match [box("<mi>x</mi>").width, be < size]
  end

  it "puts scripts of a large sign at its ends" do
    low, high = ["<mo>∫</mo>", "<mi>f</mi>"].map { |base| letters(box("<msub>#{base}<mi>D</mi></msub>")).last.down }
    expect(low).to be > high + (0.1 * size)
  end

  it "leaves room beside signs that join, none where they begin or in scripts" do
    joined, begun = box("<mi>a</mi><mo>−</mo><mi>b</mi>"), box("<mo>−</mo><mi>b</mi>")
    widths = %w[a b].map { |letter| box("<mi>#{letter}</mi>").width } << box("<mo>−</mo>").width
    expect(joined.width - widths.sum).to be_within(0.01).of(size * 8 / 18)
    expect(begun.width).to be_within(0.01).of(widths[1] + widths[2])
  end

  it "parts a formula in a line after signs that join" do
    parts = described_class.boxes(Norvel::Mathml.read(mathml("<mi>a</mi><mo>=</mo><mi>b</mi><mo>+</mo><mi>c</mi>")), 12)
    expect(parts.map { |part| letters(part).map(&:text).join }).to eq %w[𝑎= 𝑏+ 𝑐]
  end

  it "sets whatever a formula may hold in a box that is finite, without a fault (property)" do
    leaves = ["<mi>x</mi>", "<mn>12</mn>", "<mo>+</mo>", "<mo>(</mo>", "<mo>∑</mo>", "<mtext>if ä 漢</mtext>", "<mrow/>",
      '<mspace width="1e9em"/>', "<mi></mi>", "<mo>⏞</mo>", "<none/>"]
    two = %w[mfrac mroot msub msup munder mover]
    random = Random.new(11)
    grow = lambda do |depth|
      next leaves.sample(random:) if depth.zero?
      inside = Array.new(3) { grow.call(depth - 1) }
      case random.rand(6)
      when 0 then (name = two.sample(random:)) && "<#{name}>#{inside.first(2).join}</#{name}>"
      when 1 then (name = %w[msubsup munderover].sample(random:)) && "<#{name}>#{inside.join}</#{name}>"
      when 2 then "<mrow>#{inside.join}</mrow>"
      when 3 then "<msqrt>#{inside.join}</msqrt>"
      when 4 then "<mtable><mtr>#{inside.map { |one| "<mtd>#{one}</mtd>" }.join}</mtr><mtr/></mtable>"
      else "<mmultiscripts>#{inside[0]}<none/>#{inside[1]}<mprescripts/>#{inside[2]}</mmultiscripts>"
      end
    end
    300.times do
      source = mathml(grow.call(random.rand(1..4)))
      [true, false].each do |display|
        described_class.boxes(Norvel::Mathml.read(source), 11.0, display:).each do |made|
          sizes = [made.width, made.ascent, made.descent]
          expect(sizes.all? { |one| one.finite? && one.abs < 5000 }).to be(true), source
        end
      end
    end
  end

  describe "on a page" do
    set = '<w:spacing w:after="0" w:line="240" w:lineRule="auto"/>'

    it "makes its line as high as it is, above the baseline and below" do
      plain, high = [docx(p(r("Text"), set)), docx(p(r("Text ") + omath(quadratic), set))].map { |document|
        Norvel::Layout.of(document).sheets[0].lines[0]
      }
      formula = high.spans.last.object.formula
      expect(high.height).to be > plain.height
      expect([high.baseline - high.top, high.top + high.height - high.baseline])
        .to match [be >= formula.ascent - 0.01, be >= formula.descent - 0.01]
    end

    it "stands where the text has it: before, between and after words, and alone" do
      spans = ->(content) { Norvel::Layout.of(docx(p(content))).sheets[0].lines[0].spans }
      x = omath(mr("x"))
      shown = ->(content) { spans.call(content).map { |span| span.object ? :x : span.text.strip } }
      expect(shown.call(x + r("ends"))).to eq [:x, "ends"]
      expect(shown.call(r("begins ") + x)).to eq ["begins", :x]
      expect(shown.call(r("be ") + x + r(" tween"))).to eq ["be", :x, "tween"]
      expect(shown.call(x)).to eq [:x]
    end

    it "is never wider than its line: divided after signs that join, else smaller" do
      long, wide = [mr("x=") + mr("abcdefgh+" * 20) + mr("y"), me("f", num: mr("a" * 120), den: mr("b"))].map { |inside|
        Norvel::Layout.of(docx(p(omath_para(inside)))).sheets[0]
      }
      expect(long.lines.size).to be > 1
      expect([long, wide].flat_map(&:lines).map { |line| line.left + line.width }).to all be <= long.frame.right + 0.1
      expect(long.lines.first.spans.first.object.formula.marks.first.size)
        .to be > wide.lines.first.spans.first.object.formula.marks.first.size
    end

    it "is said to be set as letters where there are more than are set by their structure" do
      document = docx(p(omath(mr("x"))) + p(omath(mr("y"))))
      expect(Norvel::Layout.of(document).estimates).to eq []
      stub_const("Norvel::Layout::FormulaSetting::MOST", document.paragraphs.first.formulas.first.formula.size)
      again = Norvel::Layout.of(document.with)
      expect(again.estimates.join).to match(/One formula is set as its letters/)
      expect(again.sheets[0].lines.map { |line| line.spans.first.object.nil? }).to eq [false, true]
    end

    it "stands in the middle where it has a line of its own, or where it says" do
      left, middle = [omath_para(mr("x"), "left"), omath_para(mr("x"))].map { |content|
        Norvel::Layout.of(docx(p(content, '<w:jc w:val="both"/>'))).sheets[0].lines[0].spans[0].x
      }
      expect(middle).to be > left + 100
    end
  end
end
