# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # How each property stands in pPr and rPr: ISO/IEC 29500-1 17.3.1 and 17.3.2.
      module PropertyTable
        C = Codecs
        ALIGNMENTS = {
          "left" => "left", "right" => "right", "center" => "center", "both" => "justify", "start" => "left",
          "end" => "right",
          "distribute" => "justify"
        }.freeze
        POSITIONS = {"superscript" => "super", "subscript" => "sub", "baseline" => "normal"}.freeze

        PARAGRAPH = {
          align: C::Word.new("jc", ALIGNMENTS, strict: {"left" => "start", "right" => "end"}),
          indent_left: C::Measure.new("ind", "left", "start", beaten_by: %w[leftChars startChars]),
          indent_left_chars: C::Count.new("ind", "leftChars", "startChars"),
          indent_right: C::Measure.new("ind", "right", "end", beaten_by: %w[rightChars endChars]),
          indent_right_chars: C::Count.new("ind", "rightChars", "endChars"),
          first_line: C::FirstLine.new, first_line_chars: C::FirstLineCharacters.new, line_spacing: C::LineSpacing.new,
          space_before: C::Measure.new("spacing", "before", beaten_by: %w[beforeLines beforeAutospacing]),
          space_before_lines: C::Count.new("spacing", "beforeLines"),
          space_before_auto: C::Count.new("spacing", "beforeAutospacing"),
          space_after: C::Measure.new("spacing", "after", beaten_by: %w[afterLines afterAutospacing]),
          space_after_lines: C::Count.new("spacing", "afterLines"),
          space_after_auto: C::Count.new("spacing", "afterAutospacing"),
          contextual_spacing: C::Flag.new("contextualSpacing"), keep_with_next: C::Flag.new("keepNext"),
          keep_together: C::Flag.new("keepLines"), widow_control: C::Flag.new("widowControl"),
          page_break_before: C::Flag.new("pageBreakBefore"), shading: C::Shading.new("shd"),
          borders: C::Borders.new("pBdr"),
          tabs: C::Tabs.new("tabs"), outline_level: C::OutlineLevel.new("outlineLvl"),
          list_id: C::ListPart.new("numId"),
          list_level: C::ListPart.new("ilvl"), right_to_left: C::Flag.new("bidi")
        }.freeze

        RUN = {
          font: C::Font.new("rFonts"), size: C::Number.new("sz", "half_point"), bold: C::Flag.new("b"),
          italic: C::Flag.new("i"),
          underline: C::Text.new("u", absent: "none"), strike: C::Flag.new("strike"), caps: C::Flag.new("caps"),
          small_caps: C::Flag.new("smallCaps"), color: C::TextColour.new("color"),
          highlight: C::Highlight.new("highlight"),
          highlight_shade: C::Shading.new("shd"), letter_spacing: C::Number.new("spacing", "twip"),
          position: C::Word.new("vertAlign", POSITIONS), size_complex: C::Number.new("szCs", "half_point"),
          bold_complex: C::Flag.new("bCs"), italic_complex: C::Flag.new("iCs"), hidden: C::Flag.new("vanish"),
          language: C::Text.new("lang"), complex_script: C::Flag.new("cs"), run_right_to_left: C::Flag.new("rtl"),
          raised: C::Number.new("position", "half_point")
        }.freeze

        carried = Styles::Properties::CARRIED.transform_values do |names|
          names.to_h { |name| [name, C::Opaque.new(name)] }
        end
        # {place => {slot => codec}}: what is not in it is not carried.
        CODECS = {paragraph: PARAGRAPH, run: RUN}.to_h do |place, codecs|
          [place, codecs.merge(carried[place].transform_keys { |name| :"#{name}_#{place}" }).freeze]
        end.freeze

        # {place => {element => [[slot, codec], …]}}: what an element says.
        BY_ELEMENT = CODECS.transform_values { |codecs| codecs.group_by { |_, codec| codec.element }.freeze }.freeze
      end
    end
  end
end
