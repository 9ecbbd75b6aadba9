# frozen_string_literal: true

# What ISO/IEC 26300-1 says of a text, read. Clauses beside the checks are of that standard, 1.2.
RSpec.describe "An OpenDocument text" do
  def style(name, family: "paragraph", parent: nil, lines: nil, letters: nil, more: "", inside: "")
    parent = %( style:parent-style-name="#{parent}") if parent
    lines = "<style:paragraph-properties #{lines}>#{inside}</style:paragraph-properties>" if lines
    letters = "<style:text-properties #{letters}/>" if letters
    %(<style:style style:name="#{name}" style:family="#{family}"#{parent} #{more}>#{lines}#{letters}</style:style>)
  end

  def read(body, **parts) = OpenDocument.new(body, **parts).document

  def texts(document) = document.paragraphs.map(&:text)

  def look(document, number = 1) = document.look(document.paragraphs[number - 1])

  def letters(document, number = 1) = document.paragraphs[number - 1].runs.map do |run|
    [run.text, document.run_look(run, document.paragraphs[number - 1])]
  end

  def p(text, style = "Standard") = %(<text:p text:style-name="#{style}">#{text}</text:p>)

  describe "white space (6.1.2)" do
    {
      "  at the ends  " => "at the ends", "two  become\n\t one" => "two become one", "a<text:s/>b" => "a b",
      "a <text:s text:c=\"2\"/>b" => "a   b",
      "a<text:tab/>b<text:line-break/>c" => "a\tb\nc", "<text:span>a </text:span><text:span> b</text:span>" => "a b",
      "<text:s text:c=\"3\"/>first" => "   first", "a <text:tab/> b" => "a \tb"
    }.each do |inside, text|
      it("reads #{inside.inspect} as #{text.inspect}") { expect(texts(read(p(inside)))).to eq [text] }
    end

    it "does not count more spaces than a text has" do
      expect(texts(read(p('a<text:s text:c="2000000000"/>b'))).first.size).to be < 20_000
    end
  end

  describe "styles (16.2)" do
    it "take the nearest value on the way from the default style over bases to the automatic one" do
      document = read(p("words", "P1"), styles: style("Base", lines: 'fo:margin-left="1cm" fo:margin-top="2mm"') +
        style("Mine", parent: "Base", lines: 'fo:margin-top="3mm"'),
        automatic: style("P1", parent: "Mine", lines: 'fo:text-align="end"'))
      expect(look(document).values.values_at(:indent_left, :space_before, :align)).to eq [28.3465, 8.5039, "right"]
      expect(document.style_name(document.paragraphs.first)).to eq "Mine"
      expect(document.paragraphs.first.direct.keys).to eq [:align]
    end

    it "are shares of their bases, in styles and on words" do
      document = read(p("large <text:span text:style-name=\"T1\">small</text:span>", "Mine"),
        styles: style("Base", letters: 'fo:font-size="20pt"', lines: 'fo:margin-bottom="10pt"') +
        style("Mine", parent: "Base", letters: 'fo:font-size="150%"', lines: 'fo:margin-bottom="50%"'),
        automatic: style("T1", family: "text", letters: 'fo:font-size="50%"'))
      expect(look(document)[:space_after]).to eq 5.0
      expect(letters(document).map { |_, seen| seen[:size] }).to eq [30.0, 15.0]
    end

    it "follow their base when that changes" do
      document = read(p("words", "Mine"), styles: style("Base", letters: 'fo:font-size="20pt"') +
        style("Mine", parent: "Base", letters: 'fo:font-size="50%"'))
      changed = Norvel::Edits::ChangeStyle.new("Base", size: 30.0).apply(document).after
      expect(changed.letter_look(changed.paragraphs.first)[:size]).to eq 15.0
      again = Norvel::Formats.read(Norvel::Formats.write(changed).bytes, name: "x")
      expect(again.letter_look(again.paragraphs.first)[:size]).to eq 15.0
    end

    it "are called by their display names, or by their decoded keys" do
      document = read(p("a", "Heading_20_1") + p("b", "_31_st_20_one"),
        styles: style("Heading_20_1", more: 'style:display-name="Heading 1"') + style("_31_st_20_one"))
      expect(document.paragraphs.map { |one| document.style_name(one) }).to eq ["Heading 1", "1st one"]
    end

    it "may be based on themselves in a circle, or on nothing that is there" do
      document = read(p("a", "A") + p("b", "C"), styles: style("A", parent: "B") +
        style("B", parent: "A", letters: 'fo:font-size="9pt"') + style("C", parent: "None"))
      expect(letters(document).first.last[:size]).to eq 9.0
      expect(document.styles.circular).to contain_exactly("A", "B")
    end

    it "have pools of their own in text and heads (3.15.3)" do
      masters = '<style:master-page style:name="Standard" style:page-layout-name="pm1"><style:footer><text:p ' \
        'text:style-name="P1">foot</text:p></style:footer></style:master-page>'
      document = read(p("text", "P1"), automatic: style("P1", lines: 'fo:text-align="center"'),
        pages: OpenDocument::LAYOUT + style("P1", lines: 'fo:text-align="end"'), masters:)
      expect(look(document)[:align]).to eq "center"
      expect(document.look(document.stories.first.paragraphs.first)[:align]).to eq "right"
    end

    it "do not toggle: bold words in a bold paragraph are bold (16.2, in contrast to ISO/IEC 29500-1 17.7.3)" do
      document = read(p("<text:span text:style-name=\"Strong\">words</text:span>", "Bold"),
        styles: style("Bold", letters: 'fo:font-weight="bold"') + style("Strong", family: "text",
          letters: 'fo:font-weight="bold"'))
      expect(letters(document).first.last[:bold]).to be true
    end

    it "of spans go from the outside in, a style of words beating what stands around it" do
      document = read(p('<text:span text:style-name="T1">a <text:span text:style-name="Soft">b <text:span ' \
        'text:style-name="T2">c</text:span></text:span></text:span>'),
        styles: style("Soft", family: "text", letters: 'fo:font-weight="normal" fo:font-style="italic"'),
        automatic: style("T1", family: "text", letters: 'fo:font-weight="bold" fo:color="#ff0000"') +
        style("T2", family: "text", letters: 'fo:font-weight="bold"'))
      expect(letters(document).map { |text, seen| [text.strip, seen[:bold], seen[:italic], seen[:color]] })
        .to eq [["a", true, false, "#ff0000"], ["b", false, true, "#ff0000"], ["c", true, true, "#ff0000"]]
    end

    it "may be told with other prefixes" do
      bytes = OpenDocument.new(p("words", "P1"), automatic: style("P1", lines: 'fo:text-align="center"')).flat
        .gsub("xmlns:text=", "xmlns:t=").gsub(/(<\/?|\s)text:/, '\1t:').gsub("xmlns:fo=", "xmlns:f=")
        .gsub(" fo:", " f:")
      document = Norvel::Formats.read(bytes, name: "other.fodt")
      expect([texts(document), look(document)[:align]]).to eq [["words"], "center"]
    end
  end

  # 20.175 (fo:text-align) to 20.433; how values are written there.
  describe "values" do
    {
      'fo:text-align="justify"' => [:align, "justify"], 'fo:text-align="end"' => [:align, "right"],
      'fo:margin-left="1in"' => [:indent_left, 72.0],
      'fo:margin="1cm"' => [:indent_right, 28.3465], 'fo:text-indent="-5mm"' => [:first_line, -14.1732],
      'fo:line-height="150%"' => [:line_spacing, {rule: "multiple", value: 1.5}],
      'fo:line-height="14pt"' => [:line_spacing, {rule: "exact", value: 14.0}],
      'style:line-height-at-least="13pt"' => [:line_spacing, {rule: "at_least", value: 13.0}],
      'fo:line-height="normal"' => [:line_spacing, {rule: "multiple", value: 1.0}],
      'fo:keep-with-next="always"' => [:keep_with_next, true],
      'fo:keep-together="always"' => [:keep_together, true], 'fo:widows="2" fo:orphans="2"' => [:widow_control, true],
      'fo:widows="0" fo:orphans="2"' => [:widow_control, false],
      'fo:break-before="page"' => [:page_break_before, true], 'fo:background-color="#EEEEEE"' => [:shading, "#eeeeee"],
      'fo:background-color="transparent"' => [:shading, "auto"],
      'style:writing-mode="rl-tb"' => [:right_to_left, true],
      'style:contextual-spacing="true"' => [:contextual_spacing, true]
    }.each do |attributes, (name, value)|
      it "reads #{attributes}" do
        expect(look(read(p("words", "P1"), automatic: style("P1", lines: attributes)))[name]).to eq value
      end
    end

    {
      'fo:font-weight="700"' => [:bold, true], 'fo:font-weight="500"' => [:bold, false],
      'fo:font-style="oblique"' => [:italic, true], 'fo:font-size="10.3pt"' => [:size, 10.3],
      'style:text-underline-style="solid" style:text-underline-type="double"' => [:underline, "double"],
      'style:text-underline-style="none"' => [:underline, "none"],
      'style:text-underline-style="solid" style:text-underline-mode="skip-white-space"' => [:underline, "words"],
      'style:text-underline-style="wave"' => [:underline, "wave"],
      'style:text-line-through-style="solid"' => [:strike, true], 'fo:text-transform="uppercase"' => [:caps, true],
      'fo:font-variant="small-caps"' => [:small_caps, true],
      'style:use-window-font-color="true" fo:color="#ff0000"' => [:color, "auto"],
      'fo:background-color="#ffff00"' => [:highlight, "#ffff00"],
      'fo:letter-spacing="1pt"' => [:letter_spacing, 1.0], 'style:text-position="super 58%"' => [:position, "super"],
      'style:text-position="-33% 58%"' => [:position, "sub"],
      'style:text-position="20% 100%"' => [:position, "normal"],
      'fo:language="en" fo:country="GB"' => [:language, "en-GB"],
      'fo:language="sr" fo:script="Latn" fo:country="RS"' => [:language, "sr-Latn-RS"],
      'text:display="none"' => [:hidden, true], 'style:font-name="Sans"' => [:font, "Liberation Sans"],
      %(fo:font-family="'EB Garamond', serif") => [:font, "EB Garamond"]
    }.each do |attributes, (name, value)|
      it "reads #{attributes}" do
        expect(letters(read(p("words", "P1"), automatic: style("P1", letters: attributes))).first.last[name])
          .to eq value
      end
    end

    it "reads tab stops from the margin, though they are told from the indent (17.8)" do
      stops = '<style:tab-stops><style:tab-stop style:position="2cm" style:type="right" style:leader-style="dotted" ' \
        'style:leader-text="."/></style:tab-stops>'
      document = read(p("words", "P1"), automatic: style("P1", lines: 'fo:margin-left="1cm"', inside: stops))
      expect(Norvel::Styles::Types::TabStops.new.seen(look(document)[:tabs]))
        .to eq [Norvel::Styles::TabStop.new(place: 85.05, align: "right", leader: "dots")]
    end

    it "passes over what is no value" do
      document = read(p("words", "P1"),
        automatic: style("P1", lines: 'fo:margin-left="wide" fo:text-align="middle" fo:line-height="99999999%"',
          letters: 'fo:font-size="huge%" fo:color="red"'))
      expect(look(document)[:indent_left]).to eq 0.0
      expect(letters(document).first.last.values.values_at(:size, :color)).to eq [12.0, "auto"]
    end

    it "means letters of 12 pt and no control of widows where nothing is said" do
      bare = OpenDocument.new(p("words"), styles: "").bytes
      document = Norvel::Formats.read(bare, name: "x.odt")
      expect(look(document)[:widow_control]).to be false
    end
  end

  describe "headings (5.1.2)" do
    let(:styles) do
      style("Heading_20_1", more: 'style:default-outline-level="1"') + style("Heading_20_2",
        more: 'style:default-outline-level="2"')
    end

    def levels(document) = document.paragraphs.map { |one| document.look(one)[:outline_level] }

    it "are headings by their element, not by their style" do
      document = read('<text:h text:outline-level="1" text:style-name="Heading_20_1">a</text:h>' +
        p("b", "Heading_20_1") +
        '<text:h text:outline-level="2" text:style-name="Heading_20_1">c</text:h><text:h ' \
        'text:style-name="Standard">d</text:h>', styles:)
      expect(levels(document)).to eq [1, 0, 2, 1]
      expect(document.paragraphs.first.direct).to be_empty
    end

    it "are numbered by the outline (16.34), unless they are headers" do
      outline = '<text:outline-style style:name="Outline"><text:outline-level-style text:level="1" ' \
        'style:num-format="1" style:num-suffix="."/>' \
        '<text:outline-level-style text:level="2" style:num-format="a" text:display-levels="2"/></text:outline-style>'
      headings = [1, 2, 2, 1].map do |level|
        %(<text:h text:outline-level="#{level}" text:style-name="Heading_20_#{level}">x</text:h>)
      end
      document = read(headings.join +
        '<text:h text:outline-level="1" text:is-list-header="true" text:style-name="Heading_20_1">y</text:h>' +
        p("z", "Heading_20_1"), styles: styles + outline)
      expect(document.paragraphs.map { |one| document.markers[one.id] }).to eq ["1.", "1.a", "1.b", "2.", nil, nil]
    end

    it "may begin at another number" do
      outline = '<text:outline-style style:name="Outline"><text:outline-level-style text:level="1" ' \
        'style:num-format="1"/></text:outline-style>'
      body = '<text:h text:outline-level="1" text:style-name="Heading_20_1" text:restart-numbering="true" ' \
        'text:start-value="4">x</text:h>' \
        '<text:h text:outline-level="1" text:style-name="Heading_20_1">y</text:h>'
      expect(read(body, styles: styles + outline).markers.values).to eq %w[4 5]
    end
  end

  describe "lists (5.3)" do
    let(:automatic) do
      levels = (1..3).map do |level|
        %(<text:list-level-style-number text:level="#{level}" ) +
          %(style:num-format="#{%w[1 a i][level - 1]}" style:num-suffix=".">#{places(level)}) +
          "</text:list-level-style-number>"
      end
      dots = (1..3).map { |level| %(<text:list-level-style-bullet text:level="#{level}" text:bullet-char="–"/>) }
      %(<text:list-style style:name="L1">#{levels.join}</text:list-style><text:list-style style:name="L2">#{dots
        .join}</text:list-style>)
    end

    def places(level)
      %(<style:list-level-properties text:list-level-position-and-space-mode="label-alignment">) +
        %(<style:list-level-label-alignment text:label-followed-by="listtab" fo:margin-left="#{level}cm" ) +
        %(fo:text-indent="-0.5cm"/></style:list-level-properties>)
    end

    def list(items, name = "L1", more = "") = %(<text:list text:style-name="#{name}" #{more}>#{items.join}</text:list>)

    def item(inside, more = "") = "<text:list-item #{more}>#{inside}</text:list-item>"

    def markers(document) = document.paragraphs.map { |one| document.markers[one.id] }

    it "count by their nesting, and stand where their level says" do
      document = read(list([item(p("a") + "<text:list>#{item(p("b"))}#{item(p("c"))}</text:list>"), item(p("d"))]),
        automatic:)
      expect(markers(document)).to eq %w[1. a. b. 2.]
      expect(document.paragraphs.map { |one| document.look(one)[:indent_left].round }).to eq [28, 57, 57, 28]
    end

    it "begin anew each, go on when told, and start where an entry says" do
      document = read(list([item(p("a")), item(p("b"))]) + list([item(p("c"))]) + p("between") +
        list([item(p("d"))], "L1", 'text:continue-numbering="true"') +
        list([item(p("e"), 'text:start-value="7"'), item(p("f"))]), automatic:)
      expect(markers(document)).to eq ["1.", "2.", "1.", nil, "2.", "7.", "8."]
    end

    it "go on from a list that is named" do
      document = read(list([item(p("a"))], "L1", 'xml:id="one"') + list([item(p("b"))]) +
        list([item(p("c"))], "L1", 'text:continue-list="one"'), automatic:)
      expect(markers(document)).to eq ["1.", "1.", "2."]
    end

    it "have one marker an entry" do
      document = read(list([item(p("a") + p("more of a")), "<text:list-header>#{p("no marker")}</text:list-header>",
        item(p("b"))]), automatic:)
      expect(markers(document)).to eq ["1.", nil, nil, "2."]
      expect(document.look(document.paragraphs[1])[:indent_left].round).to eq 28
    end

    it "may have lists of another kind in them" do
      document = read(list([item(p("a") + list([item(p("b"))], "L2")), item(p("c"))]), automatic:)
      expect(markers(document)).to eq ["1.", "–", "2."]
    end

    it "may be those of the styles of their paragraphs" do
      styles = style("Step", more: 'style:list-style-name="Steps"') + automatic.sub("L1", "Steps")
      document = read("<text:list>#{item(p("a", "Step"))}</text:list>#{p("alone", "Step")}", styles:)
      expect(markers(document)).to eq ["1.", nil]
    end

    it "tell their places in the older way, too (16.35)" do
      old = '<text:list-style style:name="L1"><text:list-level-style-number text:level="1" style:num-format="1">' \
        '<style:list-level-properties text:space-before="1cm" text:min-label-width="0.5cm"/>' \
        "</text:list-level-style-number></text:list-style>"
      document = read(list([item(p("a"))]), automatic: old)
      expect(look(document).values.values_at(:indent_left, :first_line).map { |one| one.round(1) }).to eq [42.5, -14.2]
    end
  end

  describe "pages (16.5, 16.9)" do
    let(:pages) do
      OpenDocument::LAYOUT + '<style:page-layout style:name="pm2" style:page-usage="mirrored">' \
        '<style:page-layout-properties fo:page-width="29.7cm" fo:page-height="21cm" fo:margin="2cm" ' \
        'style:num-format="i">' \
        '<style:columns fo:column-count="2" fo:column-gap="1cm"/></style:page-layout-properties><style:header-style>' \
        '<style:header-footer-properties fo:min-height="1cm"/></style:header-style></style:page-layout>'
    end
    let(:masters) do
      OpenDocument::MASTER + '<style:master-page style:name="Wide_20_page" style:display-name="Wide page" ' \
        'style:page-layout-name="pm2"><style:header><text:p>head</text:p></style:header>' \
        "<style:header-left><text:p>left head</text:p></style:header-left></style:master-page>"
    end
    let(:document) do
      read(p("a") + p("b", "P1") + p("c"), pages:, masters:,
        automatic: style("P1", parent: "Standard", more: 'style:master-page-name="Wide_20_page"',
          lines: 'style:page-number="3"'))
    end

    it "begin another section where a paragraph names another master" do
      expect(document.paragraphs.map(&:section)).to eq [1, 2, 2]
      expect(document.sections.map { |one| [one.landscape?, one.columns, one.number_format, one.number_start] })
        .to eq [[false, 1, "decimal", nil], [true, 2, "lower_roman", 3]]
    end

    it "have the room of a head above the text" do
      expect([document.sections.last.header, document.sections.last.margin_top].map { |one| one.round(1) })
        .to eq [56.7, 85.0]
    end

    it "show the heads of their masters, left pages their own" do
      expect(document.stories.map { |one| [one.kind, one.which, one.section, one.text] })
        .to eq [["header", "default", 2, "head"], ["header", "even", 2, "left head"]]
      expect(document.settings.even_and_odd).to be true
    end

    it "are the page styles that a person sees" do
      expect(document.page_styles.map(&:name)).to eq ["Standard", "Wide page"]
      expect(document.page_styles.last).to be_worn_by(document.sections.last)
    end

    it "may have a first page that hands over to the next" do
      masters = '<style:master-page style:name="First" style:page-layout-name="pm1" style:next-style-name="Standard">' \
        "<style:footer><text:p>first foot</text:p></style:footer></style:master-page>" \
        '<style:master-page style:name="Standard" style:page-layout-name="pm1"><style:footer><text:p>foot</text:p>' \
        "</style:footer></style:master-page>"
      document = read(p("a", "P1"), masters:, automatic: style("P1", more: 'style:master-page-name="First"'))
      expect(document.sections.first.title_page).to be true
      expect(%w[first default].map { |which| document.head(1, "footer", which).text }).to eq ["first foot", "foot"]
    end
  end

  describe "what stands in the text" do
    it "reads notes apart from it (6.3)" do
      document = read(p('a<text:note text:note-class="endnote"><text:note-citation>i</text:note-citation>' \
        "<text:note-body><text:p>the note</text:p></text:note-body></text:note>b"))
      expect(texts(document)).to eq ["ab"]
      expect(document.stories.map { |one| [one.kind, one.text] }).to eq [["endnote", "the note"]]
      expect(Norvel::Seal.of(document).counts).to eq(note_mark: 1)
    end

    it "reads comments as comments, with who made them (14.1)" do
      document = read(p('a <office:annotation office:name="c1"><dc:creator>Mirre</dc:creator><text:p>why?</text:p>' \
        '</office:annotation>b<office:annotation-end office:name="c1"/> c'))
      expect(texts(document)).to eq ["a b c"]
      expect(document.stories.map { |one| [one.kind, one.author, one.text] }).to eq [["comment", "Mirre", "why?"]]
    end

    it "does not read what was deleted (5.5)" do
      document = read("<text:tracked-changes><text:changed-region><text:deletion><text:p>gone</text:p>" \
        "</text:deletion></text:changed-region></text:tracked-changes>" +
        p("kept <text:change text:change-id=\"c\"/>here"))
      expect(texts(document)).to eq ["kept here"]
    end

    it "reads fields as the text that was computed last" do
      document = read(p('Page <text:page-number text:select-page="current">4</text:page-number>, Figure ' \
        '<text:sequence text:name="Figure" style:num-format="1">2</text:sequence>, see <text:bookmark-ref ' \
        'text:ref-name="x" text:reference-format="page">9</text:bookmark-ref>'))
      expect(texts(document)).to eq ["Page 4, Figure 2, see 9"]
      fields = document.paragraphs.first.runs.flat_map(&:within)
      computed = Norvel::Document::Computed
      expect(fields.map(&:computes))
        .to eq [computed::PageNumber.new, computed::Sequence.new(name: "Figure", numerals: "decimal"),
          computed::PageReference.new(bookmark: "x")]
    end

    it "reads links and bookmarks" do
      document = read(p('<text:a xlink:href="https://ravelmouth.example/">out</text:a> <text:a ' \
        'xlink:href="#here">in</text:a> <text:bookmark text:name="here"/>'))
      expect(Norvel::Seal.of(document).counts).to eq(link: 2, bookmark: 2)
    end

    it "goes through sections, indexes and numbered paragraphs" do
      document = read("<text:section text:name=\"s\">#{p("a")}</text:section><text:table-of-content>" \
        "<text:table-of-content-source text:outline-level=\"2\"/><text:index-body>" \
        "<text:index-title>#{p("Contents")}</text:index-title>#{p("entry")}</text:index-body></text:table-of-content>" \
        "<text:numbered-paragraph text:list-id=\"n\">#{p("b")}</text:numbered-paragraph>")
      expect(texts(document)).to eq %w[a Contents entry b]
      expect(document.paragraphs[1].anchors.map { |one| one.object.computes })
        .to eq [Norvel::Document::Computed::Contents.new(levels: 1..2)]
    end

    it "reads images with what is said of them" do
      frame = '<draw:frame text:anchor-type="as-char" svg:width="2cm" svg:height="1cm"><draw:image ' \
        'xlink:href="Pictures/a.png"/><svg:desc>A gauge</svg:desc></draw:frame>'
      document = read(p(frame), files: {"Pictures/a.png" => "png"})
      expect(document.pictures.map { |one| [one.description, one.path, one.width.round, one.floating] })
        .to eq [["A gauge", "Pictures/a.png", 57, false]]
    end

    it "reads boxes after the paragraph that holds them" do
      document = read(p("before<draw:frame><draw:text-box>#{p("in the box")}</draw:text-box></draw:frame>") +
        p("after"))
      expect(document.paragraphs.map { |one| [one.text, one.part] })
        .to eq [["before", :body], ["in the box", :textbox], ["after", :body]]
    end
  end

  describe "tables (9.1)" do
    it "have rows that repeat, cells that span, and cells that stand for several" do
      body = '<table:table table:name="t"><table:table-column table:number-columns-repeated="3"/>' \
        "<table:table-header-rows><table:table-row>" \
        "<table:table-cell table:number-columns-spanned=\"2\">#{p("a")}</table:table-cell><table:covered-table-cell/>" \
        "<table:table-cell>#{p("b")}</table:table-cell></table:table-row></table:table-header-rows>" \
        "<table:table-row table:number-rows-repeated=\"2\"><table:table-cell " \
        "table:number-columns-repeated=\"3\">#{p("c")}</table:table-cell></table:table-row></table:table>"
      document = read(body)
      table = document.tables.first
      expect([table.header_rows, table.rows.size, table.grid.size]).to eq [1, 3, 3]
      expect(texts(document)).to eq ["a", "b"] + (["c"] * 6)
      expect(document.paragraphs.map(&:part).uniq).to eq [:table]
    end

    it "have cells that go on over rows" do
      body = "<table:table><table:table-column/><table:table-row><table:table-cell " \
        "table:number-rows-spanned=\"2\">#{p("tall")}</table:table-cell></table:table-row><table:table-row>" \
        "<table:covered-table-cell/></table:table-row></table:table>"
      expect(read(body).tables.first.rows.map { |row| row.cells.map { |cell| [cell.rows, cell.continued] } })
        .to eq [[[2, false]], [[1, true]]]
    end
  end

  it "says who wrote it: the first of them, not the last (4.3.2)" do
    meta = "<dc:title>Tides</dc:title><meta:initial-creator>Mirre</meta:initial-creator>" \
      "<dc:creator>Clerk</dc:creator><dc:language>en-GB</dc:language><meta:keyword>a</meta:keyword>" \
      "<meta:keyword>b</meta:keyword>"
    expect(read(p("x"), meta:).info).to include(title: "Tides", author: "Mirre", language: "en-GB", keywords: "a, b")
  end

  it "is the same as one file" do
    parts = {automatic: style("P1", lines: 'fo:text-align="center"'), meta: "<dc:title>Tides</dc:title>"}
    made = OpenDocument.new(p("a", "P1") + p("b"), **parts)
    flat = Norvel::Formats.read(made.flat, name: "x.fodt")
    expect(SameDocument.new(made.document, flat).differences).to be_empty
    expect([flat.format, flat.info[:title]]).to eq %w[fodt Tides]
  end

  it "is a template by its mark" do
    template = OpenDocument.new(p("a"), type: Norvel::Formats::Odt::TEMPLATE_TYPE)
    expect(texts(template.document("x.ott"))).to eq ["a"]
  end
end
