# frozen_string_literal: true

module Norvel
  class Document
    # What is drawn of a shape, or around a box of text. A value.
    #   kind    "rectangle", "rounded", "ellipse", "line": from its left top to its right bottom; "group"
    #   rises   does a line go from its left bottom to its right top?
    #   fill    "#rrggbb", nil for none; line: the same
    #   weight  of its line, in points
    #   parts   of a group: [[Shape, left, top, width, height], …] as shares of its width and height; else nil
    Shape = Value.define(:kind, :rises, :fill, :line, :weight, :parts, rises: false, weight: 0.75) do
      # Is nothing drawn of it?
      def nothing?
        fill.nil? && line.nil?
      end

      # Is it of several shapes?
      def group?
        kind == "group"
      end

      # [[Shape, x, y, width, height], …] of a group in a box.
      def parts_in(x, y, width, height)
        parts.map do |shape, left, top, wide, tall|
          [shape, x + (left * width), y + (top * height), wide * width, tall * height]
        end
      end

      # How far its corners are round: a sixth of the shorter side, as ISO/IEC 29500-1 20.1.10.56 presets roundRect.
      def corner(width, height)
        (kind == "rounded") ? [width, height].min / 6 : 0.0
      end
    end
  end
end
