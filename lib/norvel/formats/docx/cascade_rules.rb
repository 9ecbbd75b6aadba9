# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # How levels combine in WordprocessingML, for Styles::Cascade: toggle properties (ISO/IEC 29500-1 17.7.3), lengths
      # counted in lines and characters (17.3.1.12, 17.3.1.33), the place of numbering, and space between paragraphs.
      module CascadeRules
        LINE = 12.0 # points, for spaces counted in lines where the section has no text grid
        AUTOMATIC_SPACE = 14.0 # points, for beforeAutospacing and afterAutospacing: common practice
        TOGGLES = Styles::Properties.on(:run).select(&:toggle).map(&:name).freeze

        # Slots that supply a property instead of its own, the stronger first: when they do, and the value they give.
        Supplier = Struct.new(:slot, :supplies, :value)
        nonzero = ->(value, _) { value.is_a?(Integer) && value.nonzero? }
        given = ->(value, _) { !value.nil? }
        shaded = ->(value, seen) { value && [nil, "auto"].include?(seen[:highlight]) }
        complex = ->(_, seen) { seen[:complex_script] || seen[:run_right_to_left] }
        # An indent in characters is so many times the size of the paragraph's letters: common practice.
        characters = ->(value, size) { value * size / 100.0 }
        itself = ->(value, _) { value }
        spaces = lambda do |name|
          [Supplier.new(:"#{name}_auto", nonzero, ->(_, _) { AUTOMATIC_SPACE }),
            Supplier.new(:"#{name}_lines", given, ->(value, _) { value * LINE / 100.0 })]
        end
        SUPPLIERS = {
          indent_left: [Supplier.new(:indent_left_chars, nonzero, characters)],
          indent_right: [Supplier.new(:indent_right_chars, nonzero, characters)],
          first_line: [Supplier.new(:first_line_chars, nonzero, characters)],
          space_before: spaces["space_before"], space_after: spaces["space_after"],
          size: [Supplier.new(:size_complex, ->(value, seen) { value && complex[value, seen] }, itself)],
          bold: [Supplier.new(:bold_complex, complex, ->(value, _) { value || false })],
          italic: [Supplier.new(:italic_complex, complex, ->(value, _) { value || false })],
          highlight: [Supplier.new(:highlight_shade, shaded, itself)]
        }.freeze
        COUNTED = %i[indent_left_chars indent_right_chars first_line_chars].freeze
        SIZE = -> { Styles::Properties[:size].default }
        MIRRORED = {"left" => "right", "right" => "left"}.freeze

        module_function

        # The slot that supplies a property, and its value; nil where nothing is said. seen: {slot => value} of all
        # levels together.
        # size: that of the paragraph's letters, called when it is needed
        #   supply(:space_after, {space_after: 6.0, space_after_auto: 1}) # => [:space_after_auto, 14.0]
        def supply(name, seen, size = nil)
          supplier = SUPPLIERS.fetch(name, []).find { |one| one.supplies.call(seen[one.slot], seen) }
          return [name, seen[name]] unless supplier
          letters = (size || SIZE).call if COUNTED.include?(supplier.slot)
          [supplier.slot, supplier.value.call(seen[supplier.slot], letters)]
        end

        # Properties that several slots may supply.
        def supplied
          SUPPLIERS.keys
        end

        # Do tab stops and borders merge entry by entry with those below?
        def merges?(_slot)
          true
        end

        # Does a slot that is set twice go back?
        def toggle?(slot)
          TOGGLES.include?(slot)
        end

        # A toggle's value: direct if given; else the defaults, or the exclusive or of table, paragraph and character
        # styles, each chain by plain override. Returns [value, the layer that decided].
        def toggle(slot, layers)
          direct = layers.last
          return [direct.set[slot], direct] if direct.kind == :direct && direct.set.key?(slot)
          defaults = layers.first
          return [true, defaults] if defaults.kind == :defaults && defaults.set[slot]
          saying = layers.select { |layer| layer.set.key?(slot) }
          deciding = %i[table style character].filter_map { |kind| saying.reverse.find { |layer| layer.kind == kind } }
          on = deciding.select { |layer| layer.set[slot] }
          [on.size.odd?, on.last || deciding.last || (defaults if defaults.set.key?(slot))]
        end

        # The layers of a chain of styles with that of a list level just before the place that supplied the list: a
        # style, or :direct for the paragraph itself.
        def with_list(styles, direct, list, supplier)
          return [*styles, direct] unless list
          at = styles.index { |layer| layer.style.equal?(supplier) } || styles.size
          [*styles.first(at), list, *styles.drop(at), direct]
        end

        # The level in a list, nil for being in none. supplier: the style that supplied the list, nil for the paragraph.
        def level_in_list(level, _supplier, _direct)
          level
        end

        # What a look's values mean beyond each for itself: alignment in right-to-left text names the other side.
        def settle(values)
          values[:align] = MIRRORED.fetch(values[:align], values[:align]) if values[:right_to_left]
          values
        end

        # Space between two paragraphs, in points: the larger of what each asks for, their sum in documents that say so,
        # none between two of one style that want none.
        def space_between(above, below, same_style:, settings:)
          after = (same_style && above[:contextual_spacing]) ? 0.0 : above[:space_after]
          before = (same_style && below[:contextual_spacing]) ? 0.0 : below[:space_before]
          settings.sum_spaces ? after + before : [after, before].max
        end
      end
    end
  end
end
