# frozen_string_literal: true

module Demo
  # A notice of one page that runs to two, because of blank paragraphs that were left over.
  class Notice
    include Markup

    def bytes
      body = p(r("Closing of the upper sluice", '<w:b/><w:sz w:val="40"/>'), '<w:jc w:val="center"/>') + (p("") * 3) +
        p(r("The upper sluice at Ravelmouth is closed from the second Monday of March for repair of its gate. The " \
          "work takes nine days, the tides permitting.")) + (p("") * 2) +
        p(r("Boats wait at the eastern quay. ") + r("Nobody may pass the chain.", "<w:b/>")) + (p("") * 2) +
        p(r("\tThe ferry goes from the western stage until further notice.  It carries no carts.")) + (p("") * 2) +
        p(r("Harbour Authority\nRavelmouth")) + (p("") * 30) + section(footer: false)
      styles = defaults("Calibri", 24) + style("Normal", "Normal", default: true,
        ppr: '<w:spacing w:after="200" w:line="276" w:lineRule="auto"/>') +
        style("DefaultParagraphFont", "Default Paragraph Font", type: "character", default: true)
      Package.new(body:, styles:).bytes
    end
  end
end
