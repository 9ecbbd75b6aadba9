# frozen_string_literal: true

module Demo
  # The harbour authority's template for reports: a title page with what is to be filled in, a declaration, a contents
  # list that says it will be made, pages in roman numerals before the first chapter, references after the last.
  class HouseTemplate
    include Markup

    NAME = "Harbour Authority report"

    def bytes
      Package.new(body: front + text + counted, styles:, footer: page_number).bytes
    end

    private

    def front
      lines = [["[Title of the report]", "Title"], ["Harbour Authority of Ravelmouth", "Cover"],
        ["by [your name], [your department]", "Cover"], ["[day and month] 2026", "Cover"]]
      lines.map { |words, style| p(r(words), named(style)) }.join +
        p(r("Declaration"), named("Heading1")) +
        p(r("This report rests on the registers that are named in it, and on what I saw myself."), named("BodyText")) +
        p(r("Contents"), named("Heading1")) + contents + p("", roman)
    end

    def contents
      sign = ->(kind) { %(<w:r><w:fldChar w:fldCharType="#{kind}"/></w:r>) }
      p(sign["begin"] + %(<w:r><w:instrText xml:space="preserve"> TOC \\o "1-2" \\h </w:instrText></w:r>) +
        sign["separate"] + r("The list is made when the text is in.") + sign["end"], named("BodyText"))
    end

    def text
      p(r("Your first chapter"), named("Heading1")) + p(r("Write here."), named("BodyText")) +
        p(r("References"), named("Heading1")) + p(r("[Your sources, by author]"), named("BodyText"))
    end

    def roman
      section.sub("</w:sectPr>", '<w:pgNumType w:fmt="lowerRoman"/></w:sectPr>')
    end

    def counted = section.sub("</w:sectPr>", '<w:pgNumType w:start="1"/></w:sectPr>')

    def named(style) = %(<w:pStyle w:val="#{style}"/>)

    def styles
      defaults("Liberation Serif", 24) + style("Normal", "Normal", default: true) +
        style("BodyText", "Body Text", based_on: "Normal",
          ppr: '<w:spacing w:after="160" w:line="320" w:lineRule="auto"/>') +
        style("Title", "Title", based_on: "Normal",
          ppr: '<w:spacing w:before="3600" w:after="480"/><w:jc w:val="center"/>', rpr: '<w:b/><w:sz w:val="48"/>') +
        style("Cover", "Cover", based_on: "Normal", ppr: '<w:spacing w:after="160"/><w:jc w:val="center"/>') +
        style("Heading1", "heading 1", based_on: "Normal", next_id: "BodyText",
          ppr: '<w:keepNext/><w:pageBreakBefore/><w:spacing w:after="240"/><w:outlineLvl w:val="0"/>',
          rpr: '<w:b/><w:sz w:val="34"/>') +
        style("Heading2", "heading 2", based_on: "Normal", next_id: "BodyText",
          ppr: '<w:keepNext/><w:spacing w:before="320" w:after="120"/><w:outlineLvl w:val="1"/>',
          rpr: '<w:b/><w:sz w:val="27"/>') +
        style("DefaultParagraphFont", "Default Paragraph Font", type: "character", default: true)
    end
  end
end
