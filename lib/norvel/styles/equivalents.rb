# frozen_string_literal: true

module Norvel
  module Styles
    # What one and the same style is called where files of one kind are written and of the other (ISO/IEC 29500-1 names
    # its built-in styles; OpenDocument has none: common practice).
    module Equivalents
      # {name in WordprocessingML => name in OpenDocument}
      NAMES = {
        "Normal" => "Standard", "Body Text" => "Text body", "TOC Heading" => "Contents Heading",
        **(1..9).to_h { |level| ["TOC #{level}", "Contents #{level}"] }, "Table of Figures" => "Illustration Index 1",
        "Footnote Text" => "Footnote", "Endnote Text" => "Endnote", "Footnote Reference" => "Footnote anchor",
        "Endnote Reference" => "Endnote anchor", "Quote" => "Quotations", "Bibliography" => "Bibliography 1",
        "Hyperlink" => "Internet link", "FollowedHyperlink" => "Visited Internet Link",
        "Strong" => "Strong Emphasis", "List Bullet" => "List 1", "List Number" => "Numbering 1",
        "HTML Preformatted" => "Preformatted Text"
      }.freeze
      OPEN_BASE = "Standard" # the base style of files with the second kind of names
      OTHERS = (NAMES.to_a + NAMES.invert.to_a).to_h { |one, other| [one.downcase, other] }.freeze

      # The other name of a style, nil for none.
      def self.other(name)
        OTHERS[name.downcase]
      end
    end
  end
end
