# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # How each property stands in style:paragraph-properties and style:text-properties: ISO/IEC 26300-1 17.6,
      # 16.27.29.
      module PropertyTable
        C = Codecs
        ALIGNMENTS = {"start" => "left", "end" => "right", "center" => "center", "justify" => "justify",
                      "left" => "left", "right" => "right"}.freeze
        ON = {"true" => true, "false" => false}.freeze
        KEPT = {"always" => true, "auto" => false}.freeze
        DIRECTIONS = {"lr-tb" => false, "rl-tb" => true, "lr" => false, "rl" => true}.freeze

        PARAGRAPH = {
          align: C::Word.new("fo:text-align", ALIGNMENTS, beside: %w[fo:text-align-last]),
          indent_left: C::Measure.new("fo:margin-left", shorthand: "fo:margin"),
          indent_right: C::Measure.new("fo:margin-right", shorthand: "fo:margin"),
          first_line: C::Measure.new("fo:text-indent", beside: %w[style:auto-text-indent]),
          line_spacing: C::LineSpacing.new,
          space_before: C::Measure.new("fo:margin-top", shorthand: "fo:margin"),
          space_after: C::Measure.new("fo:margin-bottom", shorthand: "fo:margin"),
          contextual_spacing: C::Word.new("style:contextual-spacing", ON),
          keep_with_next: C::Word.new("fo:keep-with-next", KEPT),
          keep_together: C::Word.new("fo:keep-together", KEPT),
          widow_control: C::Widows.new,
          page_break_before: C::Word.new("fo:break-before", {"page" => true, "auto" => false}),
          page_break_after: C::Word.new("fo:break-after", {"page" => true, "auto" => false}),
          shading: C::Colour.new("fo:background-color", none: "transparent"), borders: C::Borders.new,
          right_to_left: C::Word.new("style:writing-mode", DIRECTIONS),
          suppressLineNumbers_paragraph: C::Opaque.new("text:number-lines", on: "false", off: "true")
        }.freeze

        RUN = {
          font: C::Font.new, size: C::Size.new,
          bold: C::Weight.new("fo:font-weight"),
          italic: C::Word.new("fo:font-style", {"italic" => true, "normal" => false, "oblique" => true}),
          underline: C::Underline.new, strike: C::Strike.new,
          caps: C::Word.new("fo:text-transform", {"uppercase" => true, "none" => false}),
          small_caps: C::Word.new("fo:font-variant", {"small-caps" => true, "normal" => false}),
          color: C::TextColour.new, highlight: C::Colour.new("fo:background-color", none: "transparent"),
          letter_spacing: C::Measure.new("fo:letter-spacing", word: "normal"),
          position: C::Position.new("style:text-position"), size_complex: C::Measure.new("style:font-size-complex"),
          bold_complex: C::Weight.new("style:font-weight-complex"),
          italic_complex: C::Word.new("style:font-style-complex", {"italic" => true, "normal" => false}),
          hidden: C::Word.new("text:display", {"none" => true, "true" => false}), language: C::Language.new,
          hyphenated: C::Word.new("fo:hyphenate", ON),
          w_run: C::Scale.new("style:text-scale"), kern_run: C::Kerning.new("style:letter-kerning"),
          outline_run: C::Opaque.new("style:text-outline", on: "true", off: "false"),
          emboss_run: C::Opaque.new("style:font-relief", on: "embossed", off: "none"),
          shadow_run: C::Opaque.new("fo:text-shadow", on: "1pt 1pt", off: "none")
        }.freeze

        CODECS = {paragraph: PARAGRAPH, run: RUN}.freeze
        ELEMENTS = {paragraph: "style:paragraph-properties", run: "style:text-properties"}.freeze
        OTHERS = {paragraph: :others_paragraph, run: :others_run}.freeze

        # What stands in these elements and is no look: where pages begin, which language letters of other scripts are.
        STRUCTURE = %w[style:page-number fo:margin style:language-asian style:country-asian
          style:language-complex style:country-complex style:script-asian style:script-complex
          style:rfc-language-tag-asian style:rfc-language-tag-complex style:tab-stop-distance].freeze

        OWNED = CODECS.transform_values do |codecs|
          (codecs.values.flat_map(&:names) + STRUCTURE).to_h { |name| [name, true] }.freeze
        end.freeze
      end
    end
  end
end
