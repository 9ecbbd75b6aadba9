# frozen_string_literal: true

module Norvel
  module Styles
    # The property table, neutral of formats: name, type, default, label, group. Cascade, provenance, rules, forms and
    # JSON are driven by it. How a property stands in a format is that format's own table (formats/docx/property_table,
    # formats/html/stylesheet). A new property is one entry here and one in each format that carries it.
    # Defaults: ISO/IEC 29500-1, where an absence is described.
    module Properties
      ALIGNMENTS = {"left" => "left", "right" => "right", "center" => "centred", "justify" => "justified"}.freeze
      POSITIONS = {"normal" => "on the line", "super" => "superscript", "sub" => "subscript"}.freeze
      SINGLE = {rule: "multiple", value: 1.0}.freeze
      LENGTH = Types::Length.new
      SPACE = Types::Length.new(0.0..Types::Length::WIDEST)
      POINTS = Types::Points.new
      SIZE = Types::Points.new(1.0..1638.0) # as half points in files: 2 to 3276 (common practice)
      FLAG = Types::Flag.new
      COLOUR = Types::Colour.new
      ANY = Types::Any.new

      # What no one sees in forms and every format may carry as it came: told whole, in the format's own words.
      CARRIED = {
        paragraph: %w[suppressAutoHyphens suppressLineNumbers mirrorIndents snapToGrid textAlignment adjustRightInd
          autoSpaceDE
          autoSpaceDN kinsoku wordWrap overflowPunct topLinePunct],
        run: %w[dstrike w kern outline shadow emboss imprint effect bdr em fitText noProof webHidden specVanish]
      }.freeze
      # Those of them that say more than a look.
      CARRIED_KEPT = %w[noProof webHidden specVanish].freeze

      @all = []

      class << self
        attr_reader :all

        # The Property of a name. Raises KeyError.
        #   Styles::Properties[:space_after].label # => "Space after"
        def [](name)
          @by_name.fetch(name.to_sym)
        end

        # Is there a property of this name?
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

        # Those of paragraphs (:paragraph) or of letters (:run).
        def on(place)
          @on.fetch(place)
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

        def carried
          CARRIED.each do |place, names|
            names.each do |name|
              add(name: :"#{name}_#{place}", on: place, type: ANY, clear: CARRIED_KEPT.include?(name) ? :keep : :look)
            end
          end
        end

        def add(**entry)
          unit = "_pt" if entry[:type].is_a?(Types::Length)
          entry[:json] = :"#{entry[:name]}#{unit}" if entry[:group] && !entry.key?(:json)
          @all << Property.new(**entry).freeze
        end

        def settle
          @all.freeze
          @by_name = @all.to_h { |property| [property.name, property] }.freeze
          @on = @all.group_by(&:on).freeze
          @public = @on.transform_values { |list| list.select(&:public?).freeze }.freeze
          @shown = @on.transform_values { |list| list.select(&:shown?).freeze }.freeze
          @slots = @all.group_by(&:key).transform_values { |list| list.map(&:name).freeze }.freeze
        end
      end

      # --- paragraph: line ---
      paragraph :align, Types::Choice.new(ALIGNMENTS), default: "left", label: "Alignment", group: :line
      paragraph :indent_left, LENGTH, default: 0.0, label: "Left indent", group: :line
      paragraph :indent_left_chars, ANY, part_of: :indent_left
      paragraph :indent_right, LENGTH, default: 0.0, label: "Right indent", group: :line
      paragraph :indent_right_chars, ANY, part_of: :indent_right
      paragraph :first_line, LENGTH, default: 0.0, label: "First line", group: :line
      paragraph :first_line_chars, ANY, part_of: :first_line
      paragraph :line_spacing, Types::LineSpacing.new, default: SINGLE, label: "Line spacing", group: :line
      # --- paragraph: block ---
      paragraph :space_before, SPACE, default: 0.0, label: "Space before", group: :block
      paragraph :space_before_lines, ANY, part_of: :space_before
      paragraph :space_before_auto, ANY, part_of: :space_before
      paragraph :space_after, SPACE, default: 0.0, label: "Space after", group: :block
      paragraph :space_after_lines, ANY, part_of: :space_after
      paragraph :space_after_auto, ANY, part_of: :space_after
      paragraph :contextual_spacing, FLAG, default: false, label: "No space between its own", group: :block
      paragraph :keep_with_next, FLAG, default: false, label: "Keep with next", group: :block
      paragraph :keep_together, FLAG, default: false, label: "Keep together", group: :block
      paragraph :widow_control, FLAG, default: true, label: "Widows and orphans", group: :block
      paragraph :page_break_before, FLAG, default: false, label: "Page break before", group: :block, clear: :keep
      # Of a format that says it so; where it can't be said, what follows begins a page.
      paragraph :page_break_after, FLAG, default: false, clear: :keep
      paragraph :shading, COLOUR, default: "auto", label: "Shading", group: :block
      paragraph :borders, Types::Borders.new, label: "Borders", group: :block, json: nil, merges: true
      paragraph :tabs, Types::TabStops.new, label: "Tab stops", group: :line, json: nil, merges: true
      # --- paragraph: structure ---
      paragraph :outline_level, Types::Level.new, default: 0, label: "Outline level", group: :structure, clear: :keep
      paragraph :list_id, ANY, part_of: :list, clear: :keep
      paragraph :list_level, ANY, part_of: :list, clear: :keep
      # Does it belong to the entry of the list above it, without a marker of its own?
      paragraph :list_continues, ANY, part_of: :list, clear: :keep
      paragraph :right_to_left, FLAG, default: false, label: "Right to left", clear: :keep

      # --- run: letter ---
      run :font, ANY, default: "Times New Roman", label: "Font", group: :letter
      run :size, SIZE, default: 10.0, label: "Size", group: :letter
      run :bold, FLAG, default: false, label: "Bold", group: :letter, toggle: true, clear: :emphasis
      run :italic, FLAG, default: false, label: "Italic", group: :letter, toggle: true, clear: :emphasis
      run :underline, Types::Underline.new, default: "none", label: "Underline", group: :letter, clear: :emphasis
      run :strike, FLAG, default: false, label: "Struck through", group: :letter, toggle: true
      run :caps, FLAG, default: false, label: "Capitals", group: :letter, toggle: true
      run :small_caps, FLAG, default: false, label: "Small capitals", group: :letter, toggle: true
      run :color, COLOUR, default: "auto", label: "Colour", group: :letter
      run :highlight, COLOUR, default: "auto", label: "Highlight", group: :letter
      run :highlight_shade, COLOUR, part_of: :highlight
      run :letter_spacing, POINTS, default: 0.0, label: "Letter spacing", group: :letter
      run :position, Types::Choice.new(POSITIONS), default: "normal", label: "Position", group: :letter, clear: :keep
      run :size_complex, SIZE, part_of: :size
      run :bold_complex, FLAG, part_of: :bold, toggle: true, clear: :emphasis
      run :italic_complex, FLAG, part_of: :italic, toggle: true, clear: :emphasis
      run :hidden, FLAG, default: false, label: "Hidden", toggle: true, clear: :keep
      run :language, Types::Language.new, label: "Language", group: :letter, json: nil, clear: :keep
      run :complex_script, FLAG, default: false, label: "Complex script", clear: :keep
      run :run_right_to_left, FLAG, default: false, label: "Right to left", clear: :keep
      run :raised, POINTS, label: "Raised"
      run :hyphenated, FLAG, json: nil, clear: :keep # where a format says it of letters, not of the whole

      # What the file says besides in words that only its own format knows.
      paragraph :others_paragraph, ANY
      run :others_run, ANY

      carried
      settle
    end
  end
end
