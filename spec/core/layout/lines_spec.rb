# frozen_string_literal: true

# Paragraphs set in lines.
RSpec.describe Norvel::Layout::TextSetting do
  include Values

  def wide = {width: 612.0, height: 792.0}

  def laid(body, page: {}, **parts) = Norvel::Layout.of(made(body, page: {**wide, **page}, **parts))

  def lines(body, **parts) = laid(body, **parts).sheets.flat_map(&:lines)

  def t(text, **more) = r(text, font: "Times New Roman", size: 12.0, **more)

  def stop(place, align, leader = nil)
    {tabs: {place => Norvel::Styles::TabStop.new(place:, align:, leader:)}}
  end

  let(:times) do
    Norvel::Layout::Letters.new(Norvel::Styles::Look.new({font: "Times New Roman", size: 12.0, position: "normal",
      letter_spacing: 0.0}))
  end

  it "holds every letter of a paragraph, once and in order, whatever it is made of" do
    Norvel::Layout.of(thesis).sheets.flat_map(&:lines).group_by { |line| line.block.paragraph }.first(300)
      .each do |paragraph, found|
      plain = ->(text) { text.gsub(/[\s\d]+/, "") }
      expect(plain[found.map(&:text).join]).to eq plain[paragraph.text]
    end
  end

  it "keeps a word together that is set in several kinds of letters" do
    body = p(t("#{"word " * 15}un") + t("believ", italic: true) + t("able and more"))
    expect(lines(body).map(&:text)).to all(satisfy { |text| !text.match?(/un\z|unbeliev\z/) })
    expect(lines(body).map(&:text).join(" ")).to include "unbelievable"
  end

  it "lets trailing spaces hang, and measures leading ones" do
    found = lines(p(t("   indented by spaces   ")))
    expect(found[0].width).to be_within(0.01).of(times.width("indented") + times.width("by") + times.width("spaces") +
      (5 * times.space))
  end

  it "cuts a word that is wider than its line, and ends" do
    found = lines(p(t("a" * 500)))
    expect(found.map(&:text).join).to eq "a" * 500
    expect(found.map(&:width).max).to be <= 468.02
  end

  it "aligns lines in their measure" do
    text = t("some words")
    width = times.width("some") + times.space + times.width("words")
    {"left" => 72.0, "right" => 540.0 - width, "center" => 306.0 - (width / 2)}.each do |align, left|
      expect(lines(p(text, align:))[0].left).to be_within(0.01).of(left)
    end
    justified = lines(p(t("word " * 60), align: "justify"))
    expect(justified[0...-1].map { |line| line.width.round(2) }).to all(eq 468.0)
    expect(justified.last.width).to be < 468
  end

  it "indents the first line, and hangs the others" do
    first, second = lines(p(t("word " * 60), indent_left: 36.0, first_line: 18.0))
    expect([first.left, second.left]).to eq [126.0, 108.0]
    first, second = lines(p(t("word " * 60), indent_left: 36.0, first_line: -36.0))
    expect([first.left, second.left]).to eq [72.0, 108.0]
  end

  describe "tabs" do
    let(:tab) { t("\t") }

    def spans(body) = lines(body)[0].spans

    it "go to default stops, to those that are set, and to the hanging indent" do
      expect(spans(p(t("a") + tab + t("b"))).last.x).to be_within(0.01).of(108.0)
      expect(spans(p(t("a") + tab + t("b"), **stop(100.0, "left"))).last.x)
        .to be_within(0.01).of(172.0)
      expect(spans(p(t("a") + tab + t("b"), indent_left: 20.0, first_line: -20.0)).last.x)
        .to be_within(0.01).of(92.0)
    end

    it "set what follows to the left of right stops, and around centred and decimal ones" do
      found = spans(p(t("a") + tab + t("word"), **stop(300.0, "right"))).last
      expect(found.x + found.width).to be_within(0.01).of(372.0)
      found = spans(p(t("a") + tab + t("word"), **stop(300.0, "centred"))).last
      expect(found.x + (found.width / 2)).to be_within(0.01).of(372.0)
      found = spans(p(t("a") + tab + t("12.75"), **stop(300.0, "decimal"))).last
      expect(found.x + times.width("12")).to be_within(0.01).of(372.0)
    end

    it "draw leaders up to where the text begins" do
      found = spans(p(t("Chapter") + tab + t("12"), **stop(468.0, "right", "dots")))
      leader = found.find(&:leader)
      expect(leader.text).to match(/\A\.{50,}\z/)
      expect(leader.x + leader.width).to be_within(3.1).of(found.last.x)
    end
  end

  it "sets spacing, capitals, raised letters as they take room" do
    width = ->(text = "spaced", **more) { lines(p(t(text, **more)))[0].width }
    expect(width[letter_spacing: 2.0]).to be_within(0.01).of(times.width("spaced") + 12)
    expect(width[caps: true]).to be_within(0.01).of(times.width("SPACED"))
    expect(width["Spaced", small_caps: true]).to be_within(0.01).of(times.width("S") + (times.width("PACED") * 0.8))
    expect(width[position: "super"]).to be_within(0.01).of(times.width("spaced") * 0.66)
    expect(width[w_run: {val: "150"}]).to be_within(0.01).of(times.width("spaced") * 1.5)
    expect(lines(p(t("seen ") + t("unseen", hidden: true)))[0].text).to eq "seen"
    unseen = p(t("unseen", hidden: true), mark: {hidden: true})
    expect(lines(p(t("one")) + unseen + p(t("two"))).map(&:text)).to eq %w[one two]
  end

  it "kerns where the file asks for it: from a size on in a .docx, altogether in an .odt" do
    width = ->(**more) { lines(p(t("AVATAR", **more)))[0].width }
    expect(width[kern_run: {val: "20"}]).to be < width[] - 3
    expect(width[kern_run: {val: "40"}]).to eq width[]
    open = ->(said) {
      OpenDocument.new('<text:p text:style-name="P1">AVATAR</text:p>',
        automatic: %(<style:style style:name="P1" style:family="paragraph"><style:text-properties ) +
        %(fo:font-size="12pt" style:letter-kerning="#{said}"/></style:style>)).document
    }
    expect(Norvel::Layout.of(open["true"]).sheets[0].lines[0].width).to be < Norvel::Layout.of(open["false"]).sheets[0]
      .lines[0].width - 3
    expect(Norvel::Layout.of(reread(open["true"])).sheets[0].lines[0].width)
      .to eq Norvel::Layout.of(open["true"]).sheets[0].lines[0].width
  end

  # Source: 29500-1 17.3.1.33; published-values 2.3.
  it "makes lines as high as their rule says" do
    height = ->(rule, value) { lines(p(t("one"), line_spacing: {rule:, value:}))[0].height }
    natural = 12 * 1.1499
    expect(height["multiple", 1.0]).to be_within(0.01).of(natural)
    expect(height["multiple", 2.0]).to be_within(0.02).of(natural * 2)
    expect(height["exact", 24.0]).to eq 24.0
    expect(height["at_least", 12.0]).to be_within(0.01).of(natural)
    expect(height["at_least", 20.0]).to eq 20.0
  end

  it "takes the larger of two spaces, their sum where the file says so, none between its own" do
    gap = lambda do |sum_spaces: false, **more|
      settings = Norvel::Document::Settings.new(sum_spaces:)
      one, two = lines(p(t("one"), space_after: 10.0, space_before: 0.0, **more) +
        p(t("two"), space_before: 5.0, space_after: 0.0), settings:)
      (two.top - one.top - one.height).round(2)
    end
    expect([gap[], gap[sum_spaces: true], gap[contextual_spacing: true]]).to eq [10.0, 15.0, 5.0]
  end

  it "puts markers of lists before their text and not into it" do
    level = Norvel::Document::ListLevel.new(text: "%1.", paragraph: set(indent_left: 36.0, first_line: -18.0))
    numbering = Norvel::Document::Numbering.new({0 => Norvel::Document::Numbering::Definition.new({0 => level})},
      {1 => Norvel::Document::Numbering::List.new(0)})
    found = lines(p(t("entry " * 40), list_id: 1, list_level: 0), numbering:)
    expect(found[0].text).to start_with "entry"
    expect(found[0].spans.map { |span| [span.text[0, 5], span.x.round] }).to include(["1.", 90], ["entry", 108])
    expect(found[1].left).to eq 108.0
  end

  it "is set from its own side where it reads from right to left" do
    found = lines(p(t("word " * 50), right_to_left: true, indent_left: 36.0))
    expect(found[0].left + found[0].width).to be_within(3.2).of(540.0 - 36.0)
  end

  # Source: published-values 5.3 (hyphen.tex by way of the gem text-hyphen).
  it "divides words where Liang's patterns do, and only where the document asks for it" do
    {"hyphenation" => "hy-phen-ation", "algorithm" => "al-go-rithm", "typography" => "ty-pog-ra-phy"}
      .each do |word, divided|
      places = Norvel::Layout::Hyphenation.places(word, "en-US")
      parts = [0, *places, word.size].each_cons(2).map { |from, to| word[from...to] }
      expect(parts.join("-")).to eq divided
    end
    expect(%w[a I it].flat_map { |word| Norvel::Layout::Hyphenation.places(word, "en-US") }).to be_empty
    expect(Norvel::Layout::Hyphenation.places("hyphenation", "xx-unknown")).to eq []
    long = p(t("concatenation of typographical requirements " * 12, language: "en-US"), indent_right: 300.0)
    expect(lines(long).map(&:text)).to all(satisfy { |text| !text.end_with?("-") })
    asked = made(long, page: wide, settings: Norvel::Document::Settings.new(hyphenated: true))
    found = Norvel::Layout.of(asked).sheets.flat_map(&:lines)
    expect(found.count { |line| line.text.end_with?("-") }).to be > 3
    expect(found.map(&:text).join(" ").gsub("- ", "")).to eq asked.paragraphs[0].text.strip
  end

  # ISO/IEC 26300-1 20.196: fo:hyphenate, of letters.
  it "divides words of OpenDocument where their style says so, and goes along to the other format and back" do
    style = ->(name, on) {
      %(<style:style style:name="#{name}" style:family="paragraph"><style:text-properties fo:hyphenate="#{on}" ) +
        'fo:language="en" fo:country="GB"/></style:style>'
    }
    text = "Administrationally extraordinary representatives acknowledged incomprehensibilities internationally. " * 3
    document = OpenDocument.new(%w[Yes No].map { |name| %(<text:p text:style-name="#{name}">#{text}</text:p>) }.join,
      styles: style["Yes", true] + style["No", false]).document
    docx = Norvel::Formats.read(Norvel::Formats.write(document, as: "docx").bytes, name: "a.docx")
    back = Norvel::Formats.read(Norvel::Formats.write(docx, as: "odt").bytes, name: "a.odt")
    divided = [document, docx, back].map do |one|
      lines = Norvel::Layout.of(one).sheets[0].lines.group_by { |line| line.block.paragraph.id }.values
      lines.map { |list| list.any? { |line| line.text.strip.end_with?("-") } }
    end
    expect(divided).to eq [[true, false]] * 3
  end

  it "shows a soft hyphen only where a line ends at it" do
    found = lines(p(t("#{"word " * 14}Schiff\u00ADfahrts\u00ADgesellschaft")))
    expect(found.map(&:text).join).to match(/-/)
    expect(lines(p(t("Schiff\u00ADfahrt")))[0].text).to eq "Schifffahrt"
  end

  it "says where lines are an estimate: fonts that do not ship, signs that no face has" do
    pages = laid(p(r("set in something", font: "Georgia")) + p(t("漢字")))
    expect(pages.estimates.join).to include "“Georgia” does not ship", "No face that ships has 漢 字"
    expect(pages.estimated?(pages.sheets[0])).to be true
    expect(laid(p(t("plain"))).estimates).to eq []
  end

  # ISO/IEC 29500-1 17.6.5: what a section may ask for and the layout does more simply.
  it "says that pages are an estimate where a section has a grid that letters stand on" do
    pages = laid(p(t("plain")), page: {line_grid: {type: "linesAndChars", pitch: 18.0, characters: 200}})
    expect(pages.estimates).to match [/\ASection 1 .*a grid that letters stand on/]
    expect(pages.estimated?(pages.sheets[0])).to be true
  end

  # ISO/IEC 29500-1 17.6.5 and 17.3.1.32: lines take whole rows of the grid, but for exact ones and paragraphs that do
  # not snap to it; 17.3.1.33 for multiples of them.
  it "sets lines on the grid that a section has" do
    grid = {line_grid: {type: "lines", pitch: 18.0, characters: nil}}
    tall = ->(**direct) {
      pages = laid(p(t("plain"), **direct) * 2, page: grid)
      expect(pages.estimates).to eq []
      pages.sheets[0].lines.map(&:baseline).then { |one, other| (other - one).round(2) }
    }
    expect(tall.call).to eq 18.0
    expect(tall.call(line_spacing: {rule: "multiple", value: 1.5})).to eq 27.0
    expect(tall.call(line_spacing: {rule: "exact", value: 15.0})).to eq 15.0
    expect(tall.call(line_spacing: {rule: "at_least", value: 30.0})).to eq 30.0
    expect(tall.call(snapToGrid_paragraph: {val: "0"})).to be < 16
    large = laid(p(r("large", size: 30.0)) * 2, page: grid).sheets[0].lines.map(&:baseline)
    expect(large[1] - large[0]).to eq 36.0
  end

  # What is drawn stretches every space there is: CSS 2.1 16.4 word-spacing, ISO 32000-1 9.3.3 Tw.
  it "fills justified lines by each of their spaces, at their begin and several in a row too" do
    words = "   the keeper  of the gate wrote   down each tide that came over the sill in that winter. " * 3
    set = lines(p(t(words), align: "justify"))
    drawn = set.map do |line|
      line.spans.sum { |span| span.letters.width(span.text) + (span.text.count(" ") * span.stretch) }
    end
    expect(drawn).to match(set.map { |line| be_within(0.01).of(line.width) })
    expect(set[0].width).to be_within(0.01).of(468)
  end

  it "calls a page no estimate for a grid that asks for nothing" do
    grid = Demo::Markup.section(footer: false).sub("</w:sectPr>", '<w:docGrid w:linePitch="360"/></w:sectPr>')
    expect(Norvel::Layout.of(docx(Demo::Markup.p(Demo::Markup.r("plain")) + grid)).estimates).to eq []
  end

  it "breaks long texts as Unicode does: between words of one text, over their spaces (property)" do
    signs = ["a", "b1", "-", "—", "(", ")", "“", "”", "!", "5%", "/", " ", "  ", "x", ".", "…", "$", "\u00A0"]
    PropCheck.forall(PropCheck::Generators.array(PropCheck::Generators.one_of(*signs
      .map { |sign| PropCheck::Generators.constant(sign) }), min: 2, max: 12)).with_config(n_runs: 300) do |parts|
      text = parts.join.strip
      next if text.empty?
      copy = Norvel::Layout::SetItems.new(times)
      copy.words(text, times)
      copy.finish
      open = (0...(copy.size - 1)).reject { |item| copy.endings[item] == Norvel::Layout::SetItems::GLUED }
        .map { |item| copy.starts[item + 1] }
      raise text.inspect unless open == Norvel::Layout::LineBreak.opportunities(text)
    end
  end
end
