# frozen_string_literal: true

WebApp.boot

# What the helpers draw, without a browser.
RSpec.describe "drawings" do
  before { WebApp.clear }

  # An object with the helpers of a page of this document.
  def page_of(body, styles: "", **parts)
    bytes = package(body, styles:, **parts)
    helper = Object.new.extend(Page, Units, Putting, Against, Strokes, Gauge, GalleyRow, LookSheet, Spine, SurveyView,
      StyleLetters, StyleView, SpecimenView, ListView, PageSetView, StyleChanges)
    helper.instance_variable_set(:@manuscript, Manuscript.bring_in(bytes, filename: "drawn.docx"))
    helper.define_singleton_method(:params) { @params ||= {} }
    helper
  end

  describe Gauge do
    it "draws indents to scale: the measure of the section is the width" do
      helper = page_of(p(r("word " * 40), '<w:ind w:left="4680"/>') + section(left: 1440, right: 1440, footer: false))
      # A4 with one-inch margins has a measure of 451.3 pt; 234 pt are 51.85 % of it; the room is 80 units from 6.
      bar = helper.gauge(helper.document.paragraphs[0])[/g-line b" x="([\d.]+)"/, 1].to_f
      expect(bar).to be_within(0.15).of(6 + (80 * 234 / 451.3))
    end

    it "says its measures in words" do
      helper = page_of(p(r("x"), '<w:ind w:left="720" w:hanging="360"/><w:spacing w:after="120"/>'))
      expect(helper.gauge(helper.document.paragraphs[0]))
        .to include('aria-label="left indent 1.27 cm, first line -0.64 cm, space after 6 pt"')
    end

    it "dimensions only what is not nothing" do
      helper = page_of(p(r("x")) + p(r("y"), '<w:spacing w:before="240"/>'))
      none, some = helper.document.paragraphs.map { |paragraph| helper.gauge(paragraph) }
      expect([none.scan("g-dim").size, some.scan("g-dim").size]).to eq [0, 1]
    end

    it "draws a blank paragraph as one" do
      helper = page_of(p(""))
      expect(helper.gauge(helper.document.paragraphs[0])).to include("g-blank")
    end
  end

  describe Spine do
    it "gives every paragraph a band, all of them within the strip, in order" do
      helper = page_of((1..50).map { |n| p(r("word " * n)) }.join)
      bands = helper.spine_bands
      expect(bands.size).to eq 50
      expect(bands.map(&:top)).to eq bands.map(&:top).sort
      expect(bands.last.top + bands.last.height).to be_within(0.01).of(Spine::HEIGHT)
    end

    it "draws forms by role: one path a form" do
      helper = page_of(p(r("Head"), '<w:pStyle w:val="H1"/>') + p(r("Text")) + p(r("Quoted"), '<w:pStyle w:val="Q"/>'),
        styles: style("H1", "heading 1") + style("Q", "Quote"))
      expect(helper.spine_paths.keys).to match_array %w[h1 b q]
    end
  end

  describe LookSheet do
    it "gives equal looks one class, and each class a rule" do
      helper = page_of(p(r("a", "<w:b/>"), '<w:jc w:val="center"/>') * 2 + p(r("b")))
      rules = helper.look_rules(helper.document.paragraphs).lines.map(&:strip)
      expect(rules.size).to eq 6
      expect(rules.join).to include("text-align:center", "font-weight:700")
    end

    it "lets nothing out of its declaration" do
      helper = page_of(p(r("a", '<w:rFonts w:ascii="x;} body{display:none" w:hAnsi="y"/>')))
      expect(helper.look_rules(helper.document.paragraphs)).not_to match(/\}\s*body/)
    end

    it "measures in points of the screen" do
      helper = page_of(p(r("a", '<w:sz w:val="24"/>'),
        '<w:ind w:left="720"/><w:spacing w:line="480" w:lineRule="auto"/>'))
      expect(helper.look_rules(helper.document.paragraphs))
        .to include("font-size:calc(var(--pt)*12)", "padding-left:calc(var(--pt)*36)", "--lines:2.0",
          "line-height:var(--line,calc(var(--lines,1)*1.1499))")
    end
  end

  describe GalleyRow do
    it "shows what stands in the text and is not seen" do
      helper = page_of(p(r("\ta  b\u00A0c\nd") + note(1)), footnotes: footnote(1, "n"))
      html = helper.set_text(helper.document.paragraphs[0])
      expect(html).to include('class="tab"', 'class="spaces"', 'class="nobreak"', 'class="sign break"', 'class="note"')
    end

    it "escapes all text" do
      helper = page_of(p(r("<script>&amp;</script>")))
      expect(helper.set_text(helper.document.paragraphs[0])).to include("&lt;script&gt;")
    end

    it "tells ids shortly, and back" do
      helper = page_of((1..9).map { |n| p(r(n.to_s)) }.join)
      expect(helper.id_spans([1, 2, 3, 7, 9])).to eq "1-3,7,9"
      helper.params[:ids] = "1-3,7,9,4000"
      expect(helper.chosen_ids).to eq [1, 2, 3, 7, 9]
    end
  end

  describe SurveyView do
    it "draws values to scale, the most frequent the largest" do
      helper = page_of(p(r("word " * 9, '<w:sz w:val="20"/>')) * 4 + p(r("word " * 9, '<w:sz w:val="24"/>')) +
        p(r("word " * 9, '<w:sz w:val="40"/>')))
      dots = helper.strip(:size).scan(/cx="([\d.]+)" cy="\d+" r="([\d.]+)"/).map { |pair| pair.map(&:to_f) }
      left, middle, right = dots.map(&:first)
      expect((middle - left) / (right - left)).to be_within(0.01).of(0.2)
      expect(dots.map(&:last)).to eq dots.map(&:last).sort.reverse
    end

    it "has no strip for one value" do
      helper = page_of(p(r("x")) * 3)
      expect(helper.strip(:size)).to be_nil
    end
  end

  describe StyleView do
    let(:styles) do
      style("Body", "Body Text", based_on: "Normal", ppr: '<w:ind w:firstLine="720"/>') +
        style("Inset", "Inset", based_on: "Body") + style("Spare", "Spare")
    end
    let(:helper) { page_of(p(r("x"), '<w:pStyle w:val="Inset"/>'), styles:) }

    it "draws the tree of what is based on what, unused ones folded" do
      expect(helper.lineage.rows.map { |leaf| [leaf.group? ? leaf.thing : helper.leaf_name(leaf), leaf.depth] })
        .to eq [["Paragraphs", 0], ["Normal", 0], ["Body Text", 1], ["Inset", 2], ["Pages", 0], ["Section 1", 0]]
      expect(helper.lineage(all: true).rows.select(&:style?).map { |leaf| leaf.thing.name }).to include("Spare")
      expect(helper.unused_styles.map(&:name)).to eq ["Spare"]
    end

    it "says where a value comes from" do
      inset = helper.document.styles["Inset"]
      expect(helper.style_value(inset, Norvel::Styles::Properties[:first_line])).to eq ["1.27 cm", "Body Text"]
      expect(helper.style_value(helper.document.styles["Body"], Norvel::Styles::Properties[:first_line]))
        .to eq ["1.27 cm", nil]
    end

    it "understands what was typed, and leaves alone what was not" do
      inset = helper.document.styles["Inset"]
      helper.params[:values] = {"first_line" => "1.27 cm", "size" => "14", "nonsense" => "1", "bold" => ""}
      expect(helper.typed_values(inset)).to eq({size: 14.0})
      helper.params[:inherit] = ["first_line"]
      expect(helper.typed_values(inset)).to eq({size: 14.0, first_line: nil})
    end

    # Source: WCAG 2.2, 1.4.3.
    it "says whether a colour can be read" do
      pale = page_of(p(r("x"), '<w:pStyle w:val="P"/>'), styles: style("P", "Pale", rpr: '<w:color w:val="777777"/>'))
      expect(pale.contrast_words(pale.document.styles["P"])).to eq "4.4 : 1 on white, too little"
    end
  end
end
