# frozen_string_literal: true

require "cgi"

module Demo
  # WordprocessingML by hand: paragraphs and runs with whatever is set on them.
  module Markup
    module_function

    def esc(text)
      CGI.escapeHTML(text)
    end

    # A run; tabs and line breaks in the text become their elements.
    def r(text, properties = "")
      inside = text.split(/([\t\n])/).reject(&:empty?)
        .map { |piece|
        {"\t" => "<w:tab/>", "\n" => "<w:br/>"}
          .fetch(piece) { %(<w:t xml:space="preserve">#{esc(piece)}</w:t>) }
      }.join
      %(<w:r>#{"<w:rPr>#{properties}</w:rPr>" unless properties.empty?}#{inside}</w:r>)
    end

    def p(runs, properties = "")
      %(<w:p>#{"<w:pPr>#{properties}</w:pPr>" unless properties.empty?}#{runs}</w:p>)
    end

    def table(rows, properties = "", cell: "")
      columns = rows.first.size
      %(<w:tbl><w:tblPr><w:tblW w:w="0" w:type="auto"/><w:tblBorders><w:top w:val="single" w:sz="4" w:space="0" ) +
        %(w:color="auto"/><w:bottom w:val="single" w:sz="4" w:space="0" w:color="auto"/>) +
        %(</w:tblBorders>#{properties}</w:tblPr><w:tblGrid>#{'<w:gridCol w:w="2400"/>' * columns}</w:tblGrid>) +
        rows.each_with_index.map { |row, index| row(row, index.zero? ? "<w:b/>#{cell}" : cell) }.join + "</w:tbl>"
    end

    # A row of a table, its words set with these properties.
    def row(texts, rpr)
      cells = texts.map do |text|
        %(<w:tc><w:tcPr><w:tcW w:w="2400" w:type="dxa"/></w:tcPr>#{p(r(text, rpr))}</w:tc>)
      end
      "<w:tr>#{cells.join}</w:tr>"
    end

    def image(id)
      width, height = 4_064_000, 1_524_000
      %(<w:r><w:drawing><wp:inline distT="0" distB="0" distL="0" distR="0"><wp:extent cx="#{width}" cy="#{height}"/>) +
        %(<wp:docPr id="#{id}" name="Picture #{id}"/><a:graphic><a:graphicData ) +
        %(uri="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:pic><pic:nvPicPr><pic:cNvPr id="#{id}" ) +
        %(name="tide.png"/><pic:cNvPicPr/></pic:nvPicPr><pic:blipFill><a:blip r:embed="rId4"/><a:stretch>) +
        %(<a:fillRect/></a:stretch></pic:blipFill><pic:spPr><a:xfrm><a:off x="0" y="0"/><a:ext cx="#{width}" ) +
        %(cy="#{height}"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom></pic:spPr></pic:pic>) +
        %(</a:graphicData></a:graphic></wp:inline></w:drawing></w:r>)
    end

    def note(id)
      %(<w:r><w:rPr><w:vertAlign w:val="superscript"/></w:rPr><w:footnoteReference w:id="#{id}"/></w:r>)
    end

    def footnote(id, text)
      %(<w:footnote w:id="#{id}"><w:p><w:r><w:rPr><w:vertAlign w:val="superscript"/></w:rPr><w:footnoteRef/>) +
        %(</w:r>#{r(" #{text}", '<w:sz w:val="18"/>')}</w:p></w:footnote>)
    end

    def page_number
      p(%(<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText xml:space="preserve"> PAGE </w:instrText>) +
        %(</w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r>#{r("1")}<w:r><w:fldChar w:fldCharType="end"/></w:r>),
        '<w:jc w:val="center"/>')
    end

    def section(top: 1440, right: 1440, bottom: 1440, left: 1440, footer: true)
      reference = '<w:footerReference w:type="default" r:id="rId3"/>' if footer
      %(<w:sectPr>#{reference}<w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="#{top}" w:right="#{right}" ) +
        %(w:bottom="#{bottom}" w:left="#{left}" w:header="708" w:footer="708" w:gutter="0"/></w:sectPr>)
    end

    def style(id, name, based_on: nil, next_id: nil, ppr: "", rpr: "", type: "paragraph", default: false)
      names = [%(<w:name w:val="#{name}"/>), (%(<w:basedOn w:val="#{based_on}"/>) if based_on),
        (%(<w:next w:val="#{next_id}"/>) if next_id), "<w:qFormat/>"]
      set = {"w:pPr" => ppr, "w:rPr" => rpr}.reject { |_, inside| inside.empty? }
        .map { |element, inside| "<#{element}>#{inside}</#{element}>" }
      %(<w:style w:type="#{type}"#{' w:default="1"' if default} w:styleId="#{id}">#{[*names, *set].join}</w:style>)
    end

    def defaults(font, half_points)
      %(<w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:ascii="#{font}" w:hAnsi="#{font}" w:cs="#{font}"/><w:sz ) +
        %(w:val="#{half_points}"/><w:szCs w:val="#{half_points}"/></w:rPr></w:rPrDefault><w:pPrDefault/>) +
        %(</w:docDefaults>)
    end
  end
end
