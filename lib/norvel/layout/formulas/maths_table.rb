# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # What a font says of setting formulas (ISO/IEC 14496-22 5.4, the MATH table), in font units.
      #   constants   {name => units}; percents among them are whole numbers
      #   italics     {glyph => how far it leans out at its right}
      #   upright, across: {glyph => Stretch} of glyphs that grow in height, or width
      MathsTable = Value.define(:constants, :italics, :upright, :across) do
        # The values of MathConstants in their order: two percents, two lengths, then lengths with a correction for
        # devices, and a percent.
        const_set(:FIRST, %i[script_percent script_script_percent delimited_least display_operator_least].freeze)
        const_set(:LENGTHS, %i[leading axis_height accent_base_height flattened_accent_base_height sub_shift_down
          sub_top_most sub_baseline_drop sup_shift_up sup_shift_up_cramped sup_bottom_least sup_baseline_drop
          sub_sup_gap sup_bottom_most_with_sub space_after_script upper_limit_gap upper_limit_rise lower_limit_gap
          lower_limit_drop stack_top_up stack_top_display_up stack_bottom_down stack_bottom_display_down stack_gap
          stack_display_gap stretch_top_up stretch_bottom_down stretch_gap_above stretch_gap_below numerator_up
          numerator_display_up denominator_down denominator_display_down numerator_gap numerator_display_gap
          fraction_rule denominator_gap denominator_display_gap skewed_across skewed_down overbar_gap overbar_rule
          overbar_extra underbar_gap underbar_rule underbar_extra radical_gap radical_display_gap radical_rule
          radical_extra degree_before degree_after].freeze)
      end

      # sizes: [[glyph, advance], …] from small to large; parts: [Part, …] that make one of any size, nil for none
      Stretch = Value.define(:sizes, :parts)
      # One part of a glyph of any size: begin, finish: how far others may reach over its ends; repeats: may it stand
      # several times?
      Part = Value.define(:glyph, :begin, :finish, :advance, :repeats)

      # How it is read.
      class MathsTable
        class << self
          # bytes: of the table
          def read(bytes)
            @bytes = bytes
            constants, info, variants = words(4, 3)
            new(constants: constants(constants), italics: italics(info), **variants(variants))
          end

          private

          def words(at, count)
            @bytes.byteslice(at, count * 2).unpack("n#{count}")
          end

          def signed(at)
            @bytes.byteslice(at, 2).unpack1("s>")
          end

          def constants(at)
            first = FIRST.each_with_index.to_h { |name, index| [name, signed(at + (index * 2))] }
            lengths = LENGTHS.each_with_index.to_h { |name, index| [name, signed(at + 8 + (index * 4))] }
            {**first, **lengths, degree_raise_percent: signed(at + 8 + (LENGTHS.size * 4))}.freeze
          end

          def italics(at)
            from = at + words(at, 1).first
            covered, count = words(from, 2)
            coverage(from + covered).first(count).each_with_index
              .to_h { |glyph, index| [glyph, signed(from + 4 + (index * 4))] }.freeze
          end

          # Glyphs in the order of what is said of them (5.1.2, coverage).
          def coverage(at)
            format, count = words(at, 2)
            return words(at + 4, count) if format == 1
            words(at + 4, count * 3).each_slice(3).flat_map { |first, last, _| (first..last).to_a }
          end

          def variants(at)
            _, upright, across, tall, wide = words(at, 5)
            places = words(at + 10, tall + wide)
            {upright: stretches(at, upright, places.first(tall)), across: stretches(at, across, places.drop(tall))}
          end

          def stretches(at, covered, places)
            coverage(at + covered).zip(places).to_h { |glyph, place| [glyph, stretch(at + place)] }.freeze
          end

          def stretch(at)
            parts, count = words(at, 2)
            Stretch.new(sizes: words(at + 4, count * 2).each_slice(2).to_a.freeze,
              parts: (parts(at + parts) unless parts.zero?))
          end

          def parts(at)
            words(at + 6, words(at + 4, 1).first * 5).each_slice(5).map { |glyph, first, last, advance, flags|
              Part.new(glyph:, begin: first, finish: last, advance:, repeats: flags.odd?)
            }.freeze
          end
        end
      end
    end
  end
end
