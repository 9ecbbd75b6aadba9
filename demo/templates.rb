# frozen_string_literal: true

require_relative "build"

module Demo
  # The templates that ship: plain .docx files with styles, page set-up and one sample paragraph of each style.
  # `ruby demo/templates.rb` writes them to templates/.
  module Templates
    extend Markup

    SERIF = '<w:rFonts w:ascii="Times New Roman" w:hAnsi="Times New Roman" w:cs="Times New Roman"/>'
    SANS = '<w:rFonts w:ascii="Calibri" w:hAnsi="Calibri" w:cs="Calibri"/>'

    module_function

    def size(points)
      %(<w:sz w:val="#{(points * 2).to_i}"/><w:szCs w:val="#{(points * 2).to_i}"/>)
    end

    def line(lines, before: 0, after: 0)
      %(<w:spacing w:before="#{before * 20}" w:after="#{after * 20}" w:line="#{(lines * 240).to_i}" w:lineRule="auto"/>)
    end

    def heading(level, ppr, rpr)
      style("Heading#{level}", "heading #{level}", based_on: "Normal", next_id: "BodyText",
        ppr: "<w:keepNext/><w:keepLines/>#{ppr}<w:outlineLvl w:val=\"#{level - 1}\"/>", rpr:)
    end

    # Ravelmouth Graduate Office: double-spaced serif, first-line indents.
    def thesis
      font = SERIF
      [{left: 2155, right: 1417, top: 1417, bottom: 1417}, defaults("Times New Roman", 24), [
        style("Normal", "Normal", default: true, ppr: line(1)),
        style("BodyText", "Body Text", based_on: "Normal",
          ppr: "<w:widowControl/>#{line(2)}<w:ind w:firstLine=\"720\"/>"),
        style("Title", "Title", based_on: "Normal", next_id: "BodyText",
          ppr: "#{line(1, after: 24)}<w:jc w:val=\"center\"/>", rpr: "#{font}<w:b/>#{size(22)}"),
        heading(1, "#{line(1, before: 24, after: 12)}<w:jc w:val=\"center\"/>", "<w:b/>#{size(16)}"),
        heading(2, line(1, before: 18, after: 6), "<w:b/>#{size(14)}"),
        heading(3, line(1, before: 12, after: 6), "<w:b/><w:i/>#{size(12)}"),
        style("BlockQuote", "Block Quote", based_on: "Normal", next_id: "BodyText",
          ppr: "#{line(1, before: 6, after: 12)}<w:ind w:left=\"720\" w:right=\"720\"/>", rpr: size(11)),
        style("Caption", "caption", based_on: "Normal", next_id: "BodyText", ppr: line(1, before: 6, after: 12),
          rpr: "<w:i/>#{size(11)}"), style("TableText", "Table Text", based_on: "Normal", ppr: line(1), rpr: size(10)),
        style("Bibliography", "Bibliography", based_on: "Normal",
          ppr: "#{line(1, after: 12)}<w:ind w:left=\"720\" w:hanging=\"720\"/>"),
        style("ListParagraph", "List Paragraph", based_on: "Normal",
          ppr: "#{line(1.5)}<w:ind w:left=\"720\" w:hanging=\"360\"/>")
      ]]
    end

    # Ravelmouth Harbour Authority: sans, space between paragraphs.
    def report
      [{left: 1417, right: 1417, top: 1134, bottom: 1134}, defaults("Calibri", 22), [
        style("Normal", "Normal", default: true, ppr: line(1)),
        style("BodyText", "Body Text", based_on: "Normal", ppr: "<w:widowControl/>#{line(1.15, after: 8)}"),
        style("Title", "Title", based_on: "Normal", next_id: "BodyText", ppr: line(1, after: 18),
          rpr: "<w:b/>#{size(24)}"), heading(1, line(1, before: 18, after: 8),
            "<w:b/><w:color w:val=\"1D4E6B\"/>#{size(18)}"),
        heading(2, line(1, before: 14, after: 5), "<w:b/><w:color w:val=\"1D4E6B\"/>#{size(14)}"),
        heading(3, line(1, before: 12, after: 4), "<w:b/>#{size(11)}"),
        style("BlockQuote", "Block Quote", based_on: "BodyText", next_id: "BodyText",
          ppr: "<w:ind w:left=\"567\" w:right=\"567\"/>", rpr: size(10)),
        style("Caption", "caption", based_on: "Normal", ppr: line(1, before: 4, after: 10),
          rpr: "<w:color w:val=\"475462\"/>#{size(9.5)}"),
        style("TableText", "Table Text", based_on: "Normal", rpr: size(10)),
        style("Bibliography", "Bibliography", based_on: "BodyText", ppr: '<w:ind w:left="567" w:hanging="567"/>'),
        style("ListParagraph", "List Paragraph", based_on: "BodyText", ppr: '<w:ind w:left="567" w:hanging="283"/>')
      ]]
    end

    # A notice of one page, large enough to be read at a gate.
    def notice
      [{left: 1701, right: 1701, top: 1701, bottom: 1134}, defaults("Calibri", 28), [
        style("Normal", "Normal", default: true, ppr: line(1.15, after: 12)),
        style("BodyText", "Body Text", based_on: "Normal"),
        style("Title", "Title", based_on: "Normal", next_id: "BodyText",
          ppr: "#{line(1, after: 30)}<w:jc w:val=\"center\"/>", rpr: "<w:b/><w:caps/>#{size(34)}"),
        heading(1, line(1, before: 18, after: 6), "<w:b/>#{size(20)}"),
        heading(2, line(1, before: 12, after: 6), "<w:b/>#{size(16)}"),
        heading(3, line(1, before: 12, after: 6), "<w:b/>#{size(14)}"),
        style("BlockQuote", "Block Quote", based_on: "Normal", ppr: '<w:ind w:left="567"/>'),
        style("Caption", "caption", based_on: "Normal", rpr: size(11)),
        style("TableText", "Table Text", based_on: "Normal", rpr: size(12)),
        style("Bibliography", "Bibliography", based_on: "Normal", rpr: size(11)),
        style("ListParagraph", "List Paragraph", based_on: "Normal",
          ppr: '<w:ind w:left="567" w:hanging="283"/>')
      ]]
    end

    def bytes(kind)
      margins, defaults, styles = public_send(kind)
      samples = styles.map do |xml|
        [xml[/w:styleId="([^"]+)"/, 1], Norvel::Formats::Docx::Names.shown(xml[/<w:name w:val="([^"]+)"/, 1])]
      end
      body = samples.map { |id, name| p(r("#{name}: this paragraph shows the style."), %(<w:pStyle w:val="#{id}"/>)) }
        .join
      plain = Package.new(body: body + section(footer: false, **margins), styles: defaults + styles.join +
        style("DefaultParagraphFont", "Default Paragraph Font", type: "character", default: true)).bytes
      (kind == :notice) ? plain : with_lists(plain)
    end

    # Two lists with a paragraph style each, and the page set-up under a name.
    def with_lists(bytes)
      document = Norvel::Formats.read(bytes, name: "template.docx")
      {"Bullets" => ["bullets", "List Bullet"], "Numbers" => ["numbers", "List Number"]}.each do |list, (form, name)|
        document = Norvel::Edits::DefineListStyle.new(list, form).change(document)
        document = Norvel::Edits::DefineStyle.new(name, based_on: "BodyText").change(document)
        document = Norvel::Edits::ListOfStyle.new(document.styles.named(name).id, document.styles.named(list)
          .paragraph[:list_id]).change(document)
      end
      Norvel::Formats::Template.bytes(Norvel::Edits::DefinePageStyle.new("Text pages", 1).change(document))
    end
  end
end

if $PROGRAM_NAME == __FILE__
  require_relative "../lib/norvel"
  {"ravelmouth-thesis" => :thesis, "ravelmouth-report" => :report, "short-notice" => :notice}.each { |name, kind|
    File.binwrite(File.expand_path("../templates/#{name}.docx", __dir__), Demo::Templates.bytes(kind))
  }
end
