# frozen_string_literal: true

module Norvel
  module Styles
    # The property table: reader, writer, cascade, provenance, rules, forms and JSON are driven by it. A new property is a new entry.
    # docx: ISO/IEC 29500-1 17.3.1 and 17.3.2; odt: ISO/IEC 26300-1 (ODF 1.2) 20; defaults: 29500-1, where an absence is described.
    module Properties
      C = Formats::Docx::Codecs

      ALIGNMENTS = {"left" => "left", "right" => "right", "center" => "centred", "justify" => "justified"}.freeze
      SINGLE = {rule: "multiple", value: 1.0}.freeze
      LENGTH = Types::Length.new
      POINTS = Types::Points.new
      FLAG = Types::Flag.new
      COLOUR = Types::Colour.new
      ANY = Types::Any.new

      @all = []

      class << self
        attr_reader :all

        def [](name)
          @by_name.fetch(name.to_sym)
        end

        def key?(name)
          @by_name.key?(name.to_sym)
        end

        # Those that the command line's JSON and the rules speak of, in the order of the table.
        def public_on(place)
          @public.fetch(place)
        end

        # Those that forms show and that make a look another one for a reader.
        def shown_on(place)
          @shown.fetch(place)
        end

        def on(place)
          @on.fetch(place)
        end

        # The codecs that read an element of pPr or rPr: {"spacing" => [property, …]}.
        def by_element(place)
          @by_element.fetch(place)
        end

        # All slots that belong to a property: first_line has first_line and first_line_chars.
        def slots_of(key)
          @slots.fetch(key.to_sym)
        end

        # The property with this key in the command line's JSON.
        def from_json(json)
          @all.find { |property| property.json == json.to_sym }
        end

        private

        def paragraph(name, type, **entry)
          add(name:, on: :paragraph, type:, clear: :look, **entry)
        end

        def run(name, type, **entry)
          add(name:, on: :run, type:, clear: :look, **entry)
        end

        def carried(place, *elements, **entry)
          elements.each { |element| add(name: :"#{element}_#{place}", on: place, type: ANY, clear: :look, docx: C::Carried.new(element), **entry) }
        end

        def add(**entry)
          entry[:json] = :"#{entry[:name]}#{"_pt" if entry[:type].is_a?(Types::Length)}" if entry[:group] && !entry.key?(:json)
          @all << Property.new(**entry).freeze
        end

        def settle
          @all.freeze
          @by_name = @all.to_h { |p| [p.name, p] }.freeze
          @on = @all.group_by(&:on).freeze
          @public = @on.transform_values { |list| list.select(&:public?).freeze }.freeze
          @shown = @on.transform_values { |list| list.select(&:shown?).freeze }.freeze
          @by_element = @on.transform_values { |list| list.select(&:docx).group_by { |p| p.docx.element }.freeze }.freeze
          @slots = @all.group_by(&:key).transform_values { |list| list.map(&:name).freeze }.freeze
        end
      end

      # --- paragraph: line ---
      paragraph :align, Types::Choice.new(ALIGNMENTS), default: "left", label: "Alignment", group: :line,
        docx: C::Word.new("jc", {"left" => "left", "right" => "right", "center" => "center", "both" => "justify", "start" => "left", "end" => "right", "distribute" => "justify"}, strict: {"left" => "start", "right" => "end"}),
        odt: %w[fo:text-align], css: ->(v) { {"text-align" => v} }
      paragraph :indent_left, LENGTH, default: 0.0, label: "Left indent", group: :line, docx: C::Measure.new("ind", "left", "start", beaten_by: %w[leftChars startChars]), odt: %w[fo:margin-left]
      paragraph :indent_left_chars, ANY, part_of: :indent_left, docx: C::Count.new("ind", "leftChars", "startChars")
      paragraph :indent_right, LENGTH, default: 0.0, label: "Right indent", group: :line, docx: C::Measure.new("ind", "right", "end", beaten_by: %w[rightChars endChars]), odt: %w[fo:margin-right]
      paragraph :indent_right_chars, ANY, part_of: :indent_right, docx: C::Count.new("ind", "rightChars", "endChars")
      paragraph :first_line, LENGTH, default: 0.0, label: "First line", group: :line, docx: C::FirstLine.new, odt: %w[fo:text-indent]
      paragraph :first_line_chars, ANY, part_of: :first_line, docx: C::FirstLineCharacters.new
      paragraph :line_spacing, Types::LineSpacing.new, default: SINGLE, label: "Line spacing", group: :line, docx: C::LineSpacing.new, odt: %w[fo:line-height style:line-height-at-least]
      # --- paragraph: block ---
      paragraph :space_before, LENGTH, default: 0.0, label: "Space before", group: :block, docx: C::Measure.new("spacing", "before", beaten_by: %w[beforeLines beforeAutospacing]), odt: %w[fo:margin-top]
      paragraph :space_before_lines, ANY, part_of: :space_before, docx: C::Count.new("spacing", "beforeLines")
      paragraph :space_before_auto, ANY, part_of: :space_before, docx: C::Count.new("spacing", "beforeAutospacing")
      paragraph :space_after, LENGTH, default: 0.0, label: "Space after", group: :block, docx: C::Measure.new("spacing", "after", beaten_by: %w[afterLines afterAutospacing]), odt: %w[fo:margin-bottom]
      paragraph :space_after_lines, ANY, part_of: :space_after, docx: C::Count.new("spacing", "afterLines")
      paragraph :space_after_auto, ANY, part_of: :space_after, docx: C::Count.new("spacing", "afterAutospacing")
      paragraph :contextual_spacing, FLAG, default: false, label: "No space between its own", group: :block, docx: C::Flag.new("contextualSpacing"), odt: %w[style:contextual-spacing]
      paragraph :keep_with_next, FLAG, default: false, label: "Keep with next", group: :block, docx: C::Flag.new("keepNext"), odt: %w[fo:keep-with-next]
      paragraph :keep_together, FLAG, default: false, label: "Keep together", group: :block, docx: C::Flag.new("keepLines"), odt: %w[fo:keep-together]
      paragraph :widow_control, FLAG, default: true, label: "Widows and orphans", group: :block, docx: C::Flag.new("widowControl"), odt: %w[fo:widows fo:orphans]
      paragraph :page_break_before, FLAG, default: false, label: "Page break before", group: :block, clear: :keep, docx: C::Flag.new("pageBreakBefore"), odt: %w[fo:break-before]
      paragraph :shading, COLOUR, default: "auto", label: "Shading", group: :block, docx: C::Shading.new("shd"), odt: %w[fo:background-color], css: ->(v) { (v == "auto") ? {} : {"background-color" => v} }
      paragraph :borders, Types::Borders.new, label: "Borders", group: :block, json: nil, merges: true, docx: C::Children.new("pBdr"), odt: %w[fo:border], css: ->(v) { Types::Borders.new.css(v) }
      paragraph :tabs, Types::TabStops.new, label: "Tab stops", group: :line, json: nil, merges: true, docx: C::Children.new("tabs", key: "pos"), odt: %w[style:tab-stops]
      # --- paragraph: structure ---
      paragraph :outline_level, Types::Level.new, default: 0, label: "Outline level", group: :structure, clear: :keep, docx: C::OutlineLevel.new("outlineLvl"), odt: %w[text:outline-level]
      paragraph :list_id, ANY, part_of: :list, clear: :keep, docx: C::ListPart.new("numId")
      paragraph :list_level, ANY, part_of: :list, clear: :keep, docx: C::ListPart.new("ilvl")
      paragraph :right_to_left, FLAG, default: false, label: "Right to left", clear: :keep, docx: C::Flag.new("bidi"), odt: %w[style:writing-mode]
      carried :paragraph, "suppressAutoHyphens", "suppressLineNumbers", "mirrorIndents", "snapToGrid", "textAlignment", "adjustRightInd", "autoSpaceDE", "autoSpaceDN", "kinsoku", "wordWrap", "overflowPunct", "topLinePunct"

      # --- run: letter ---
      run :font, ANY, default: "Times New Roman", label: "Font", group: :letter, docx: C::Font.new("rFonts"), odt: %w[style:font-name fo:font-family]
      run :size, POINTS, default: 10.0, label: "Size", group: :letter, docx: C::Number.new("sz", "half_point"), odt: %w[fo:font-size]
      run :bold, FLAG, default: false, label: "Bold", group: :letter, toggle: true, clear: :emphasis, docx: C::Flag.new("b"), odt: %w[fo:font-weight], css: ->(v) { {"font-weight" => v ? "700" : "400"} }
      run :italic, FLAG, default: false, label: "Italic", group: :letter, toggle: true, clear: :emphasis, docx: C::Flag.new("i"), odt: %w[fo:font-style], css: ->(v) { {"font-style" => v ? "italic" : "normal"} }
      run :underline, Types::Underline.new, default: "none", label: "Underline", group: :letter, clear: :emphasis, docx: C::Text.new("u", absent: "none"), odt: %w[style:text-underline-style]
      run :strike, FLAG, default: false, label: "Struck through", group: :letter, toggle: true, docx: C::Flag.new("strike"), odt: %w[style:text-line-through-style]
      run :caps, FLAG, default: false, label: "Capitals", group: :letter, toggle: true, docx: C::Flag.new("caps"), odt: %w[fo:text-transform], css: ->(v) { v ? {"text-transform" => "uppercase"} : {} }
      run :small_caps, FLAG, default: false, label: "Small capitals", group: :letter, toggle: true, docx: C::Flag.new("smallCaps"), odt: %w[fo:font-variant], css: ->(v) { v ? {"font-variant-caps" => "small-caps"} : {} }
      run :color, COLOUR, default: "auto", label: "Colour", group: :letter, docx: C::TextColour.new("color"), odt: %w[fo:color style:use-window-font-color], css: ->(v) { (v == "auto") ? {} : {"color" => v} }
      run :highlight, COLOUR, default: "auto", label: "Highlight", group: :letter, docx: C::Highlight.new("highlight"), odt: %w[fo:background-color], css: ->(v) { (v == "auto") ? {} : {"background-color" => v} }
      run :highlight_shade, COLOUR, part_of: :highlight, docx: C::Shading.new("shd")
      run :letter_spacing, POINTS, default: 0.0, label: "Letter spacing", group: :letter, docx: C::Number.new("spacing", "twip"), odt: %w[fo:letter-spacing]
      run :position, Types::Choice.new({"normal" => "on the line", "super" => "superscript", "sub" => "subscript"}), default: "normal", label: "Position", group: :letter, clear: :keep,
        docx: C::Word.new("vertAlign", {"superscript" => "super", "subscript" => "sub", "baseline" => "normal"}), odt: %w[style:text-position]
      run :size_complex, POINTS, part_of: :size, docx: C::Number.new("szCs", "half_point")
      run :bold_complex, FLAG, part_of: :bold, toggle: true, clear: :emphasis, docx: C::Flag.new("bCs")
      run :italic_complex, FLAG, part_of: :italic, toggle: true, clear: :emphasis, docx: C::Flag.new("iCs")
      run :hidden, FLAG, default: false, label: "Hidden", toggle: true, clear: :keep, docx: C::Flag.new("vanish"), odt: %w[text:display]
      run :language, Types::Language.new, label: "Language", group: :letter, json: nil, clear: :keep, docx: C::Text.new("lang"), odt: %w[fo:language fo:country]
      run :complex_script, FLAG, default: false, label: "Complex script", clear: :keep, docx: C::Flag.new("cs")
      run :run_right_to_left, FLAG, default: false, label: "Right to left", clear: :keep, docx: C::Flag.new("rtl")
      run :raised, POINTS, label: "Raised", docx: C::Number.new("position", "half_point"), odt: %w[style:text-position]
      carried :run, "dstrike", "w", "kern", "outline", "shadow", "emboss", "imprint", "effect", "bdr", "em", "fitText"
      carried :run, "noProof", "webHidden", "specVanish", clear: :keep

      settle
    end
  end
end
