# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Namespaces, content types and the order of elements. Source: ISO/IEC 29500-1 (schemas), 29500-4, 29500-2.
      module Names
        TRANSITIONAL = "http://schemas.openxmlformats.org/wordprocessingml/2006/main"
        STRICT = "http://purl.oclc.org/ooxml/wordprocessingml/main"
        WORDS = [TRANSITIONAL, STRICT].freeze
        CORE = "http://schemas.openxmlformats.org/package/2006/metadata/core-properties"
        DUBLIN_CORE = "http://purl.org/dc/elements/1.1/"
        PACKAGE_RELS = "http://schemas.openxmlformats.org/package/2006/relationships"
        OFFICE_RELS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships"
        STRICT_RELS = "http://purl.oclc.org/ooxml/officeDocument/relationships"
        RELATIONS = [OFFICE_RELS, STRICT_RELS].freeze
        COMPATIBILITY = "http://schemas.openxmlformats.org/markup-compatibility/2006"
        CONTENT_TYPES = "http://schemas.openxmlformats.org/package/2006/content-types"
        PICTURE_URI = "http://schemas.openxmlformats.org/drawingml/2006/picture"
        TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml."
        CORE_TYPE = "application/vnd.openxmlformats-package.core-properties+xml"
        CORE_REL = "http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties"

        # What a Choice of mc:AlternateContent may require and still be read.
        UNDERSTOOD = %w[wps wpg wpc wp14 w14 w15 w16 w16se cx a14 wpi].freeze

        # The places of children in their parents: a writer inserts at the schema's place.
        ORDER = {
          "pPr" => %w[pStyle keepNext keepLines pageBreakBefore framePr widowControl numPr suppressLineNumbers pBdr shd
            tabs suppressAutoHyphens kinsoku wordWrap
            overflowPunct topLinePunct autoSpaceDE autoSpaceDN bidi adjustRightInd snapToGrid spacing ind
            contextualSpacing mirrorIndents suppressOverlap jc
            textDirection textAlignment textboxTightWrap outlineLvl divId cnfStyle rPr sectPr pPrChange],
          "rPr" => %w[ins del moveFrom moveTo rStyle rFonts b bCs i iCs caps smallCaps strike dstrike outline shadow
            emboss imprint noProof snapToGrid vanish webHidden
            color spacing w kern position sz szCs highlight u effect bdr shd fitText vertAlign rtl cs em lang
            eastAsianLayout specVanish oMath rPrChange],
          "style" => %w[name aliases basedOn next link autoRedefine hidden uiPriority semiHidden unhideWhenUsed qFormat
            locked personal personalCompose personalReply
            rsid pPr rPr tblPr trPr tcPr tblStylePr],
          "sectPr" => %w[headerReference footerReference footnotePr endnotePr type pgSz pgMar paperSrc pgBorders
            lnNumType pgNumType cols formProt vAlign noEndnote
            titlePg textDirection bidi rtlGutter docGrid printerSettings sectPrChange],
          "numPr" => %w[ilvl numId], "pBdr" => %w[top left bottom right between bar], "tabs" => %w[tab],
          "styles" => %w[docDefaults latentStyles style], "docDefaults" => %w[rPrDefault pPrDefault],
          "rPrDefault" => %w[rPr], "pPrDefault" => %w[pPr],
          "tr" => %w[tblPrEx trPr tc],
          "trPr" => %w[cnfStyle divId gridBefore gridAfter wBefore wAfter cantSplit trHeight tblHeader tblCellSpacing jc
            hidden ins del trPrChange],
          "p" => %w[pPr], "r" => %w[rPr], "lvl" => %w[start numFmt lvlRestart pStyle isLgl suff lvlText lvlPicBulletId
            legacy lvlJc pPr rPr],
          "docVars" => %w[docVar], "body" => %w[p tbl sdt customXml sectPr],
          "numbering" => %w[numPicBullet abstractNum num numIdMacAtCleanup], "abstractNum" => %w[nsid multiLevelType
            tmpl name styleLink numStyleLink lvl], "num" => %w[abstractNumId lvlOverride]
        }.freeze

        # Built-in styles stand in the file under names that people see otherwise. Their ids are localized: only names
        # count.
        SHOWN = {
          "caption" => "Caption", "header" => "Header", "footer" => "Footer", "footnote text" => "Footnote Text",
          "footnote reference" => "Footnote Reference",
          "endnote text" => "Endnote Text", "endnote reference" => "Endnote Reference", "page number" => "Page Number",
          "line number" => "Line Number",
          "table of figures" => "Table of Figures", "table of authorities" => "Table of Authorities",
          "index heading" => "Index Heading",
          "annotation text" => "Annotation Text", "annotation reference" => "Annotation Reference",
          "annotation subject" => "Annotation Subject"
        }.freeze

        HEAD = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n)

        module_function

        # A part with nothing in it but its root.
        def empty(root)
          %(#{HEAD}<w:#{root} xmlns:w="#{TRANSITIONAL}"/>)
        end

        # The name a person sees: "heading 1" is shown as "Heading 1".
        def shown(name)
          case name
          when /\Aheading ([1-9])\z/i then "Heading #{$1}"
          when /\Atoc ([1-9])\z/i then "TOC #{$1}"
          when /\Aindex ([1-9])\z/i then "Index #{$1}"
          else SHOWN.fetch(name, name)
          end
        end

        # The name that stands in the file for a shown name.
        def stored(name)
          case name
          when /\A(?:Heading|TOC|Index) [1-9]\z/ then name.downcase
          else SHOWN.key(name) || name
          end
        end
      end
    end
  end
end
