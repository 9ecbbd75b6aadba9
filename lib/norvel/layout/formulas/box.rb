# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # Letters of a formula: x from its left, down from its baseline to theirs, in points.
      Letters = Struct.new(:x, :down, :text, :size)
      # A glyph that no character names, drawn by its outline.
      Shape = Struct.new(:x, :down, :glyph, :size)
      # A rule: of a fraction, over a root; x and down of its left top.
      Bar = Struct.new(:x, :down, :width, :height)

      # A part of a formula as it is set, in points from its left and its baseline.
      #   ascent, descent  up and down from the baseline to its ink
      #   italic           how far its last glyph leans out at its right
      #   marks            [Letters, Shape or Bar, …]
      #   single           is it one glyph, which scripts stand nearer to?
      Box = Struct.new(:width, :ascent, :descent, :italic, :marks, :single, keyword_init: true) do
        # A box with nothing in it, so many points wide.
        def self.empty(width = 0.0)
          new(width:, ascent: 0.0, descent: 0.0, italic: 0.0, marks: [], single: false)
        end

        # Boxes side by side or one over the other: [[Box, x, down], …]
        def self.of(placed, width:)
          new(width:, italic: 0.0, single: false,
            ascent: placed.map { |box, _, down| box.ascent - down }.max || 0.0,
            descent: placed.map { |box, _, down| box.descent + down }.max || 0.0,
            marks: placed.flat_map { |box, x, down| box.moved(x, down) })
        end

        # From top to bottom, in points.
        def height
          ascent + descent
        end

        # Its marks from another place.
        def moved(across, down)
          marks.map do |mark|
            mark.dup.tap do |one|
              one.x += across
              one.down += down
            end
          end
        end
      end
    end
  end
end
