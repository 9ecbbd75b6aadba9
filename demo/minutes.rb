# frozen_string_literal: true

module Demo
  # Minutes of a meeting of the harbour authority, as OpenDocument: typed by a clerk who makes everything by hand.
  # Titles are bold lines, items are numbered by typing, blank lines make room, tabs make columns.
  class Minutes
    SPACES = Norvel::Formats::Odt::Names::SPACES.map { |prefix, uri| %(xmlns:#{prefix}="#{uri}") }.join(" ")
    HEAD = %(<?xml version="1.0" encoding="UTF-8"?>\n)
    FACES = %(<office:font-face-decls><style:font-face style:name="Serif" svg:font-family="'Liberation Serif'"/>) +
      %(<style:font-face style:name="Sans" svg:font-family="'Liberation Sans'"/></office:font-face-decls>)
    LETTERS = {"T1" => 'fo:font-weight="bold"', "T2" => 'fo:font-style="italic"',
               "T3" => 'fo:font-weight="bold" fo:color="#c00000"'}.freeze
    LINES = {
      "P1" => ['fo:text-align="center"', 'fo:font-size="18pt" fo:font-weight="bold" style:font-name="Sans"'],
      "P2" => ['fo:text-align="center"', 'fo:font-size="11pt"'],
      "P3" => ['fo:margin-top="0.1cm"', 'fo:font-size="13pt" fo:font-weight="bold"'],
      "P4" => ['fo:margin-top="0.1cm"', 'fo:font-size="13.5pt" fo:font-weight="bold"'],
      "P5" => ['fo:margin-left="1.25cm" fo:text-indent="-0.63cm"', ""],
      "P6" => ['fo:margin-left="1.27cm" fo:text-indent="-0.63cm"', ""], "P7" => ['fo:line-height="115%"', ""],
      "P8" => ['fo:text-align="justify" fo:text-indent="1cm"', ""]
    }.freeze
    PRESENT = [["Ottilie Brand", "harbour master, in the chair"], ["Jonas Aldermoor", "warden of the sluices"],
      ["Mirre Tolland", "keeper of the tide gauge"], ["Pieter Vane", "clerk"]].freeze
    DUES = [["Berth", "Dues now", "Dues from May"], ["Eastern quay", "14 crowns", "15 crowns"],
      ["Western stage", "9 crowns", "9 crowns"], ["Salt steps", "6 crowns", "7 crowns"]].freeze

    def bytes
      types = {"content.xml" => "text/xml", "styles.xml" => "text/xml", "meta.xml" => "text/xml"}
      entries = types.map do |path, type|
        %(<manifest:file-entry manifest:full-path="#{path}" manifest:media-type="#{type}"/>)
      end
      manifest = %(#{HEAD}<manifest:manifest #{SPACES} manifest:version="1.2"><manifest:file-entry ) +
        %(manifest:full-path="/" ) +
        %(manifest:media-type="#{Norvel::Formats::Odt::TYPE}"/>#{entries.join}</manifest:manifest>)
      Norvel::Formats::Archive.build({"content.xml" => content, "styles.xml" => styles, "meta.xml" => meta,
        "META-INF/manifest.xml" => manifest}, first: ["mimetype", Norvel::Formats::Odt::TYPE])
    end

    private

    def content
      looks = LETTERS.map { |name, set| automatic(name, "text", "", set) } +
        LINES.map { |name, (lines, set)| automatic(name, "paragraph", lines, set) }
      %(#{HEAD}<office:document-content #{SPACES} office:version="1.2">#{FACES}<office:automatic-styles>#{looks.join}) +
        "</office:automatic-styles><office:body><office:text>#{body}</office:text></office:body>" \
        "</office:document-content>"
    end

    def automatic(name, family, lines, letters)
      parent = ' style:parent-style-name="Standard"' if family == "paragraph"
      inside = (family == "paragraph") ? "<style:paragraph-properties #{lines}/>" : ""
      %(<style:style style:name="#{name}" ) +
        %(style:family="#{family}"#{parent}>#{inside}<style:text-properties #{letters}/></style:style>)
    end

    def p(text = "", style = "Standard") = %(<text:p text:style-name="#{style}">#{text}</text:p>)

    def bold(text) = %(<text:span text:style-name="T1">#{text}</text:span>)

    def body
      head + item("1. Minutes of the last meeting", "P3",
        ["The minutes of the meeting in January were read.  Nobody had " \
        "anything to add, and they were taken as they stand."]) +
        item("2. The upper sluice", "P4",
          ["The warden reported that the gate had been lifted and that the sill is sound. The " \
            "planks on the landward side are not: eleven of them have to go#{note}.",
            "The work takes nine days, the tides " \
            "permitting. #{bold("It was decided")} to close the sluice from the second Monday of March."]) +
        item("3. Dues", "P3", ["The clerk set out what the berths bring in and what their upkeep takes. " \
          "#{bold("It was decided")} to raise the dues as follows:"]) + table + p +
        item("4. The tide gauge", "P3",
          ["The keeper had moved the gauge by four metres, so that it stands dry at no state of " \
            "the tide. She asked for:"]) + asked + item("5. Any other business", "P4",
              ["Mr. Vane said that the harbour book is " \
              "full. A new one is to be bound, <text:span text:style-name=\"T2\">in the same format as the " \
              "old</text:span>.",
                "The next meeting is on the first Thursday of April."]) + p + p + p("Pieter Vane, clerk", "P8")
    end

    def head
      p("Harbour Authority of Ravelmouth", "P1") + p("Minutes of the meeting on 5 February 2026", "P2") + p + p +
        p(bold("Present:")) + PRESENT.map { |name, office| p("#{name}<text:tab/>#{office}") }.join +
        p("<text:span text:style-name=\"T3\">Apologies:</text:span> Ines Marrow, surveyor") + p + p
    end

    def item(title, style, paragraphs)
      p(title, style) + p + paragraphs.map { |text| p(text, "P7") + p }.join
    end

    def asked
      ["- a new float, of copper", "- two days of a carpenter", "- leave to read it by lamp in winter"]
        .map.with_index { |text, index| p(text, index.odd? ? "P6" : "P5") }.join + p
    end

    def note
      %(<text:note text:id="ftn1" text:note-class="footnote"><text:note-citation>1</text:note-citation>) +
        %(<text:note-body>) +
        %(<text:p text:style-name="Footnote">As the survey of 2019 foretold.</text:p></text:note-body></text:note>)
    end

    def table
      rows = DUES.map.with_index do |cells, index|
        row = cells.map { |text| "<table:table-cell>#{p(index.zero? ? bold(text) : text)}</table:table-cell>" }.join
        index.zero? ? "<table:table-header-rows><table:table-row>#{row}</table:table-row>" \
          "</table:table-header-rows>" : "<table:table-row>#{row}</table:table-row>"
      end
      %(<table:table table:name="Dues"><table:table-column table:number-columns-repeated="3"/>#{rows
        .join}</table:table>)
    end

    def styles
      %(#{HEAD}<office:document-styles #{SPACES} ) +
        %(office:version="1.2">#{FACES}<office:styles>#{common}</office:styles>) +
        %(<office:automatic-styles><style:page-layout style:name="pm1"><style:page-layout-properties ) +
        %(fo:page-width="21cm" ) +
        %(fo:page-height="29.7cm" fo:margin-top="2cm" fo:margin-bottom="1.5cm" fo:margin-left="2.2cm" ) +
        %(fo:margin-right="2cm"/>) +
        %(<style:footer-style><style:header-footer-properties fo:min-height="1cm"/></style:footer-style>) +
        %(</style:page-layout>) +
        %(</office:automatic-styles><office:master-styles><style:master-page style:name="Standard" ) +
        %(style:page-layout-name="pm1">) +
        %(<style:footer><text:p text:style-name="Footer">Page <text:page-number ) +
        %(text:select-page="current">1</text:page-number>) +
        "</text:p></style:footer></style:master-page></office:master-styles></office:document-styles>"
    end

    def common
      %(<style:default-style style:family="paragraph"><style:paragraph-properties style:tab-stop-distance="1.25cm"/>) +
        %(<style:text-properties fo:font-size="12pt" style:font-name="Serif" fo:language="en" fo:country="GB"/>) +
        %(</style:default-style>) +
        %(<style:style style:name="Standard" style:family="paragraph"/>) +
        %(<style:style style:name="Footer" style:family="paragraph" style:parent-style-name="Standard"/>) +
        %(<style:style style:name="Footnote" style:family="paragraph" style:parent-style-name="Standard">) +
        %(<style:text-properties ) +
        %(fo:font-size="10pt"/></style:style>)
    end

    def meta
      %(#{HEAD}<office:document-meta #{SPACES} office:version="1.2"><office:meta>) +
        "<meta:initial-creator>Pieter Vane</meta:initial-creator></office:meta></office:document-meta>"
    end
  end
end
