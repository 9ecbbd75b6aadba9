# frozen_string_literal: true

# Formulas beside Chromium's, which sets MathML Core by the same font: how wide they are, and how high. Chromium rounds
# heights to whole pixels, and takes letters by their ink where it sets them under each other.
RSpec.describe "formulas beside a browser's" do
  before(:all) { Browser.boot }

  size = 100.0
  sum = "<munderover><mo>∑</mo><mi>i</mi><mi>n</mi></munderover>"
  widths = {
    "letters" => "<mi>x</mi><mi>y</mi><mn>12</mn>", "a word" => "<mi>sin</mi>",
    "a relation and a sum" => "<mi>a</mi><mo>+</mo><mi>b</mi><mo>=</mo><mn>3</mn>",
    "a product" => "<mi>a</mi><mo>×</mo><mi>b</mi><mo>⋅</mo><mi>c</mi>", "a sign before" => "<mo>−</mo><mi>a</mi>",
    "a subscript" => "<msub><mi>x</mi><mi>i</mi></msub>",
    "a subscript of one" => "<msub><mi>x</mi><msub><mi>i</mi><mn>1</mn></msub></msub>",
    "relations" => "<mi>a</mi><mo>≤</mo><mi>b</mi><mo>∈</mo><mi>C</mi>",
    "an arrow" => "<mi>x</mi><mo>→</mo><mn>0</mn>",
    "sets" => "<mi>A</mi><mo>∩</mo><mi>B</mi><mo>/</mo><mi>C</mi>", "a large sign" => "<mo>∑</mo><mi>x</mi>"
  }
  heights = {
    "a fraction" => "<mfrac><mi>a</mi><mrow><mi>b</mi><mo>+</mo><mi>c</mi></mrow></mfrac>",
    "a root" => "<msqrt><mi>a</mi></msqrt>",
    "a root of a fraction" => "<msqrt><mfrac><mi>a</mi><mi>b</mi></mfrac></msqrt>",
    "a superscript" => "<msup><mi>x</mi><mn>2</mn></msup>",
    "both scripts" => "<msubsup><mi>x</mi><mi>i</mi><mn>2</mn></msubsup>",
    "limits" => sum
  }
  font = "file://#{ChromiumLines::FONTS}/#{Norvel::Layout::Fonts::MATHS}"
  signs = "+-±÷−∧∨∩∪⊕/⁄%*·•∘⋅×⊗⋆∫∮∑∏⋃,;:!′∀∃¬°=<>≤≥≠≈∈⊂←→⇒"

  # {name => [width, height]} in CSS pixels.
  define_method(:browsers) do |formulas|
    path = File.join(Dir.mktmpdir, "formulas.html")
    rows = formulas.map { |name, content| %(<p><math displaystyle="true" data-name="#{name}">#{content}</math></p>) }
    File.write(path, <<~HTML)
      <meta charset="utf-8"><style>@font-face{font-family:F;src:url("#{font}")} math{font:#{size}px F}</style>
      #{rows.join}
    HTML
    page = Capybara.current_session
    page.visit "file://#{path}"
    page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      document.fonts.load("10px F").then(() => document.fonts.ready).then(() => done(Object.fromEntries(
        [...document.querySelectorAll("math")].map((one) => {
          const box = one.getBoundingClientRect();
          return [one.dataset.name, [box.width, box.height]];
        }))));
    JS
  end

  define_method(:ours) do |content|
    Norvel::Layout::Formulas.boxes(Norvel::Mathml.read(mathml(content)), size, display: true).first
  end

  it "are as wide" do
    found = browsers(widths)
    expect(widths.to_h { |name, content| [name, ours(content).width.round] })
      .to eq found.transform_values { |width, _| width.round }
  end

  it "are as high, but for what Chromium rounds" do
    found = browsers(heights)
    heights.each do |name, content|
      expect([name, ours(content).height]).to match [name, be_within(2.0).of(found[name][1])]
    end
  end

  it "leave as much room beside signs as MathML Core says (appendix B)" do
    beside = lambda do |sign, room = ""|
      %(<mi>a</mi><mo largeop="false" stretchy="false"#{room}>#{CGI.escapeHTML(sign)}</mo><mi>b</mi>)
    end
    with = browsers(signs.chars.to_h { |sign| [sign, beside.call(sign)] })
    without = browsers(signs.chars.to_h { |sign| [sign, beside.call(sign, ' lspace="0" rspace="0"')] })
    theirs = signs.chars.to_h { |sign| [sign, ((with[sign][0] - without[sign][0]) * 18 / size).round] }
    entries = signs.chars.to_h { |sign| [sign, Norvel::Mathml::Operators.of(sign)] }
    expect(entries.transform_values { |one| ((one.before + one.after) * 18).round }).to eq theirs
  end
end
