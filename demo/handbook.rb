# frozen_string_literal: true

module Demo
  # A staff handbook of the harbour authority, half in styles and half by hand.
  class Handbook
    include Markup

    PARTS = ["Coming aboard", "Hours and tides", "The quay and its cranes", "Keeping the log",
      "When the channel closes", "Leave and letters"].freeze

    def initialize
      @prose = Prose.new(1902)
    end

    def bytes
      body = p(r("Handbook for the staff of the Harbour Authority"), '<w:pStyle w:val="Title"/>') +
        PARTS.each_with_index.map { |title, index| index.even? ? styled(title) : by_hand(title, index) }.join + section
      Package.new(body:, styles:, footer: page_number, title: "Handbook for the staff of the Harbour Authority").bytes
    end

    private

    def styles
      defaults("Calibri", 22) + style("Normal", "Normal", default: true,
        ppr: '<w:spacing w:after="160" w:line="259" w:lineRule="auto"/>') +
        style("DefaultParagraphFont", "Default Paragraph Font", type: "character", default: true) +
        style("Title", "Title", based_on: "Normal", next_id: "BodyText", rpr: '<w:b/><w:sz w:val="48"/>') +
        style("BodyText", "Body Text", based_on: "Normal",
          ppr: '<w:spacing w:after="160" w:line="276" w:lineRule="auto"/>') +
        style("Heading1", "heading 1", based_on: "Normal", next_id: "BodyText",
          ppr: '<w:keepNext/><w:spacing w:before="360" w:after="160"/><w:outlineLvl w:val="0"/>',
          rpr: '<w:b/><w:sz w:val="36"/>') +
        style("Heading2", "heading 2", based_on: "Heading1", next_id: "BodyText",
          ppr: '<w:spacing w:before="240" w:after="100"/><w:outlineLvl w:val="1"/>', rpr: '<w:sz w:val="28"/>') +
        style("Heading3", "heading 3", based_on: "Heading1", next_id: "BodyText", ppr: '<w:outlineLvl w:val="2"/>',
          rpr: '<w:sz w:val="22"/>') + style("Emphasis", "Emphasis", type: "character", rpr: "<w:i/>")
    end

    def styled(title)
      p(r(title), '<w:pStyle w:val="Heading1"/>') + Array.new(3) { |n|
        p(r(@prose.heading),
          %(<w:pStyle w:val="Heading#{(n == 2 && title == PARTS[2]) ? 3 : 2}"/>)) +
          Array.new(3) { p(r(@prose.paragraph(2..4)), '<w:pStyle w:val="BodyText"/>') }.join
      }.join
    end

    def by_hand(title, number)
      p(r(title, '<w:b/><w:sz w:val="36"/>')) + p("") +
        Array.new(3) {
          p(r(@prose.heading, '<w:b/><w:sz w:val="28"/>')) +
            Array.new(2) {
              p(r(@prose.paragraph(2..4),
                @prose.chance?(0.3) ? '<w:rFonts w:ascii="Arial" w:hAnsi="Arial"/><w:sz w:val="20"/>' : ""),
                '<w:spacing w:after="0"/>') + p("")
            }.join
        }.join +
        Array.new(3) { |n| p(r("#{n + 1}. #{@prose.sentence}"), '<w:ind w:left="360" w:hanging="360"/>') }.join +
        ((number == 3) ? p(r("Watch the tide table.  It is not a suggestion.", "<w:u w:val=\"single\"/>")) : "")
    end
  end
end
