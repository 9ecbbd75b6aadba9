# frozen_string_literal: true

# OpenDocument texts mixed by chance: styles with shares of their bases, automatic styles of every kind, nested spans,
# lists in lists, headings with and without styles of their own, tables, notes, fields, links, sections, white space.
class MixedOpen
  WORDS = Mixed::WORDS
  LETTERS = ['fo:font-weight="bold"', 'fo:font-style="italic"', 'style:text-underline-style="solid"',
    'fo:font-size="80%"',
    'fo:font-size="15pt"', 'fo:color="#c00000"', 'style:font-name="Sans"', 'fo:font-variant="small-caps"',
    'style:text-position="super 58%"',
    'fo:background-color="#ffff00"', 'fo:letter-spacing="0.5pt"', 'style:text-line-through-style="solid"',
    'fo:font-weight="normal"',
    'fo:language="de" fo:country="DE"', 'style:text-scale="95%"', 'fo:hyphenate="true"'].freeze
  LINES = ['fo:text-align="center"', 'fo:text-align="end"', 'fo:text-align="justify"', 'fo:margin-left="1cm"',
    'fo:text-indent="0.5cm"',
    'fo:margin-left="1cm" fo:text-indent="-1cm"', 'fo:margin-top="6pt" fo:margin-bottom="3pt"', 'fo:line-height="150%"',
    'fo:line-height="14pt"',
    'fo:keep-with-next="always"', 'fo:background-color="#eeeeee"', 'fo:break-before="page"', 'fo:margin="2mm"',
    'style:line-height-at-least="13pt"',
    'fo:border-bottom="0.5pt solid #000000" fo:padding-bottom="1pt"', 'fo:widows="2" fo:orphans="2"',
    'fo:margin-bottom="50%"',
    'fo:hyphenation-ladder-count="2"'].freeze

  def initialize(seed)
    @dice = Random.new(seed)
    @automatic = []
    @notes = 0
  end

  def open_document
    body = Array.new(15 + @dice.rand(25)) { block }.join
    OpenDocument.new(body, automatic: @automatic.join, styles:, masters:, meta: "<dc:title>Tides</dc:title>")
  end

  def document(name = "mixed.odt") = open_document.document(name)

  private

  def pick(list) = list[@dice.rand(list.size)]

  def chance?(share) = @dice.rand < share

  def words(count) = Array.new(count) { pick(WORDS) }.join(" ").capitalize

  def paragraph_style(parent = pick(["Standard", "Standard", "Text_20_body", "Text_20_body", "Quotations", "Note",
    nil]), more = "")
    return parent if more.empty? && chance?(0.5)
    lines = attributes(LINES.sample(1 + @dice.rand(2), random: @dice))
    letters = chance?(0.3) ? LETTERS.sample(1, random: @dice) : []
    tabs = chance?(0.15) ? '<style:tab-stops><style:tab-stop style:position="3cm" style:type="right"/>' \
      "</style:tab-stops>" : ""
    name = "P#{@automatic.size + 1}"
    @automatic << %(<style:style style:name="#{name}" ) +
      %(style:family="paragraph"#{%( style:parent-style-name="#{parent}") if parent} #{more}>) +
      %(<style:paragraph-properties #{lines.join(" ")}>#{tabs}</style:paragraph-properties>) +
      %(<style:text-properties #{letters.join(" ")}/></style:style>)
    name
  end

  def text_style
    return pick(%w[Emphasis Strong_20_Emphasis]) if chance?(0.3)
    name = "T#{@automatic.size + 1}"
    parent = chance?(0.2) ? ' style:parent-style-name="Emphasis"' : ""
    letters = attributes(LETTERS.sample(1 + @dice.rand(2), random: @dice))
    @automatic << %(<style:style style:name="#{name}" style:family="text"#{parent}>) +
      %(<style:text-properties #{letters.join(" ")}/></style:style>)
    name
  end

  # Each attribute once.
  def attributes(list) = list.join(" ").scan(/([\w:-]+)="([^"]*)"/).to_h.map { |name, text| %(#{name}="#{text}") }

  def span(inner) = %(<text:span text:style-name="#{text_style}">#{inner}</text:span>)

  def piece
    case @dice.rand(16)
    when 0, 1, 2 then span(words(2))
    when 3 then span("#{words(1)} #{span(words(2))} #{words(1)}")
    when 4 then %(  #{words(2)}  <text:s text:c="3"/> )
    when 5 then %(<text:tab/>#{words(1)}<text:line-break/>)
    when 6 then %(<text:a xlink:type="simple" ) +
      %(xlink:href="https://ravelmouth.example/">#{words(1)} #{span(words(1))}</text:a>)
    when 7 then note
    when 8 then %(<text:bookmark-start text:name="b#{@notes += 1}"/>#{words(2)}<text:bookmark-end ) +
      %(text:name="b#{@notes}"/>)
    when 9 then %(<text:page-number text:select-page="current">3</text:page-number>)
    when 10 then span(%(<text:sequence text:name="Table" text:formula="Table+1" style:num-format="1">4</text:sequence>))
    else words(2 + @dice.rand(6))
    end
  end

  def note
    %(<text:note text:id="n#{@notes += 1}" ) +
      %(text:note-class="#{pick(%w[footnote endnote])}"><text:note-citation>1</text:note-citation>) +
      %(<text:note-body><text:p text:style-name="Note">#{words(4)} #{span(words(1))}</text:p></text:note-body>) +
      %(</text:note>)
  end

  def line = Array.new(1 + @dice.rand(5)) { piece }.join(pick([" ", ""]))

  def paragraph(style = paragraph_style) = %(<text:p#{%( text:style-name="#{style}") if style}>#{line}</text:p>)

  def list(depth = 0)
    items = Array.new(1 + @dice.rand(3)) do
      inner = paragraph + (chance?(0.2) ? paragraph : "") + ((depth < 2 && chance?(0.3)) ? list(depth + 1) : "")
      %(<text:list-item#{' text:start-value="5"' if chance?(0.1)}>#{inner}</text:list-item>)
    end
    name = depth.zero? ? %( text:style-name="#{pick(%w[Steps Dots])}") : ""
    %(<text:list#{name}#{' text:continue-numbering="true"' if depth.zero? && chance?(0.2)}>#{items.join}</text:list>)
  end

  def block
    case @dice.rand(16)
    when 0 then %(<text:p text:style-name="#{paragraph_style("Standard")}"/>)
    when 1, 2 then heading
    when 3, 4 then list
    when 5 then %(<table:table table:name="t"><table:table-column table:number-columns-repeated="2"/>) +
      "<table:table-row>#{cell}#{cell}</table:table-row></table:table>"
    when 6 then %(<text:section text:name="s">#{paragraph}#{list}</text:section>)
    when 7 then %(<text:p ) +
      %(text:style-name="#{paragraph_style("Standard", 'style:master-page-name="Wide"')}">#{words(3)}</text:p>)
    when 8 then %(<text:p text:style-name="Heading_20_1">#{words(4)}</text:p>)
    else paragraph
    end
  end

  def heading
    level = 1 + @dice.rand(3)
    style = pick(["Heading_20_#{level}", "Heading_20_#{level}", "Heading_20_1", "Standard",
      paragraph_style("Heading_20_#{level}")])
    %(<text:h text:style-name="#{style}" ) +
      %(text:outline-level="#{level}"#{' text:is-list-header="true"' if chance?(0.15)}>#{line}</text:h>)
  end

  def cell = "<table:table-cell>#{paragraph}</table:table-cell>"

  def common(name, parent, lines: "", letters: "", more: "", display: nil, family: "paragraph")
    %(<style:style style:name="#{name}" style:family="#{family}"#{%( style:display-name="#{display}") if display}) +
      %(#{%( style:parent-style-name="#{parent}") if parent} #{more}>) +
      ((family == "paragraph") ? "<style:paragraph-properties #{lines}/>" : "") +
      %(<style:text-properties #{letters}/></style:style>)
  end

  def styles
    common("Text_20_body", "Standard", display: "Text body", lines: 'fo:margin-bottom="0.2cm" fo:line-height="115%"') +
      common("Quotations", "Standard", lines: 'fo:margin-left="1cm" fo:margin-right="1cm"') +
      common("Note", "Text_20_body", lines: 'fo:margin-bottom="50%"', letters: 'fo:font-size="85%"') +
      common("Heading", "Standard", lines: 'fo:keep-with-next="always" fo:margin-top="12pt"',
        letters: 'fo:font-size="14pt" style:font-name="Sans"') +
      (1..3).map { |n|
        common("Heading_20_#{n}", "Heading", display: "Heading #{n}",
          letters: %(fo:font-size="#{140 - (n * 15)}%" fo:font-weight="bold"),
          more: %(style:default-outline-level="#{n}"))
      }.join +
      common("Emphasis", nil, family: "text", letters: 'fo:font-style="italic"') +
      common("Strong_20_Emphasis", nil, family: "text", display: "Strong Emphasis", letters: 'fo:font-weight="bold"') +
      list_style("Steps") { |n|
        %(<text:list-level-style-number text:level="#{n}" ) +
          %(style:num-format="#{%w[1 a i][n - 1]}" style:num-suffix="." text:display-levels="#{pick([1,
            n])}">#{places(n)}</text:list-level-style-number>)
      } +
      list_style("Dots") { |n|
        %(<text:list-level-style-bullet text:level="#{n}" ) +
          %(text:bullet-char="•">#{places(n)}</text:list-level-style-bullet>)
      } +
      outline
  end

  def list_style(name)
    %(<text:list-style style:name="#{name}">#{(1..3).map { |n| yield n }.join}</text:list-style>)
  end

  def places(level)
    if chance?(0.3)
      return %(<style:list-level-properties text:space-before="#{level * 0.6}cm" ) +
          %(text:min-label-width="0.6cm"/>)
    end
    %(<style:list-level-properties text:list-level-position-and-space-mode="label-alignment">) +
      %(<style:list-level-label-alignment ) +
      %(text:label-followed-by="listtab" fo:margin-left="#{level * 0.7}cm" fo:text-indent="-0.5cm"/>) +
      %(</style:list-level-properties>)
  end

  def outline
    format = chance?(0.5) ? "1" : ""
    levels = (1..3).map do |n|
      %(<text:outline-level-style text:level="#{n}" style:num-format="#{format}" text:display-levels="#{n}"/>)
    end
    %(<text:outline-style style:name="Outline">#{levels.join}</text:outline-style>)
  end

  def masters
    OpenDocument::MASTER + %(<style:master-page style:name="Wide" style:page-layout-name="pm1"><style:footer>) +
      %(<text:p text:style-name="Standard">Page <text:page-number>1</text:page-number></text:p></style:footer>) +
      %(</style:master-page>)
  end
end
