# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # The font that formulas are set in, with its outlines, in ems.
      class MathsFace
        # An outline: commands in font units, [[:move, x, y], [:line, x, y], [:curve, x1, y1, x2, y2, x, y], [:close]];
        # box: what it covers, [left, bottom, right, top]
        Outline = Struct.new(:commands, :box)
        LAP = 20 # font units: so much parts reach over one another at least, or seams would show
        # Numbers of two bytes are signed (Type 2 charstrings, Adobe Technical Note 5177, 3.2); ttfunk 1.8 reads them as
        # if none were below zero.
        module SignedNumbers
          private

          def shortint
            @stack << read_bytes(2).pack("C2").unpack1("s>")
          end
        end

        NOWHERE = [0.0, 0.0, 0.0, 0.0].freeze

        # The one that ships with Norvel.
        def self.shipped
          @shipped ||= new(File.join(Fonts::FOLDER, Fonts::MATHS))
        end

        def initialize(path)
          require "ttfunk"
          TTFunk::Table::Cff::Charstring.prepend(SignedNumbers)
          @file = TTFunk::File.open(path)
          @units = @file.header.units_per_em.to_f
          @glyphs = @file.cmap.unicode.max_by { |table| table.code_map.size }.code_map
          @metrics = @file.horizontal_metrics
          table = @file.directory.tables["MATH"]
          @maths = MathsTable.read(@file.contents.string.byteslice(table[:offset], table[:length]))
          @charstrings = @file.cff.top_index[0].charstrings_index
          @outlines = {}
        end

        # Font units to the em.
        attr_reader :units

        # A length of the MATH table.
        #   MathsFace.shipped.constant(:axis_height) # => 0.25
        def constant(name)
          @maths.constants.fetch(name) / @units
        end

        # A part of the size, where that is a percentage.
        def percent(name)
          @maths.constants.fetch(name) / 100.0
        end

        # The number of a character's glyph, nil for none.
        def glyph(character)
          found = @glyphs[character.ord]
          found unless found.nil? || found.zero?
        end

        # The width of a glyph, of one em.
        def advance(glyph)
          @metrics.for(glyph).advance_width / @units
        end

        # How far it leans out at its right.
        def italic(glyph)
          @maths.italics.fetch(glyph, 0) / @units
        end

        # [left, bottom, right, top]
        def box(glyph)
          outline(glyph).box
        end

        # Two threads that read one come to the same.
        def outline(glyph)
          @outlines[glyph] ||= begin
            commands = @charstrings[glyph].path.commands
            Outline.new(commands, box_of(commands))
          end
        end

        # The smallest glyph of a character that is at least so high, or the highest: [[glyph, up from the lowest], …],
        # one where a single glyph is; parts one above the other else.
        def upright(glyph, height)
          stretched(@maths.upright[glyph], glyph, height)
        end

        # The same for widths: [[glyph, from the left], …]
        def across(glyph, width)
          stretched(@maths.across[glyph], glyph, width)
        end

        private

        def box_of(commands)
          places = commands.flat_map { |_, *numbers| numbers.each_slice(2).to_a }
          return NOWHERE if places.empty?
          across, up = places.transpose
          [across.min, up.min, across.max, up.max].map { |number| number / @units }
        end

        def stretched(stretch, glyph, size)
          return [[glyph, 0.0]] unless stretch
          found = stretch.sizes.find { |_, advance| advance / @units >= size - 0.001 }
          return [[found.first, 0.0]] if found
          return assembled(stretch.parts, size * @units) if stretch.parts
          [[stretch.sizes.last&.first || glyph, 0.0]]
        end

        # Parts that repeat stand as often as is needed, all reach over one another by as much (5.4.6).
        def assembled(parts, size)
          times = (0..200).find { |count| longest(row(parts, count)) >= size } || 200
          row = row(parts, times)
          joints = row.each_cons(2).map { |one, other| [one.finish, other.begin].min }
          spare = [longest(row) - size, 0].max
          part = (spare / [joints.sum, 1].max.to_f).clamp(0.0, 1.0)
          at = 0.0
          row.zip([*joints, 0]).map { |one, joint|
            place = at
            at += one.advance - LAP.clamp(joint * part, joint)
            [one.glyph, place / @units]
          }
        end

        def row(parts, times)
          parts.flat_map { |part| part.repeats ? [part] * times : [part] }
        end

        def longest(row)
          row.sum(&:advance) - (LAP * (row.size - 1))
        end
      end
    end
  end
end
