# frozen_string_literal: true

module Norvel
  class Document
    # What is drawn of a shape, or around a box of text. A value.
    #   kind    "rectangle", "rounded", "ellipse", "line": from its left top to its right bottom; a polygon of
    #           Shape::POLYGONS; "group"
    #   rises   does a line go from its left bottom to its right top?
    #   fill    "#rrggbb", nil for none; line: the same
    #   weight  of its line, in points
    #   heads   at which of its ends a line has the head of an arrow: "start" at its left, "end"; nil for none
    #   parts   of a group: [[Shape, left, top, width, height], …] as shares of its width and height; else nil
    Shape = Value.define(:kind, :rises, :fill, :line, :weight, :heads, :parts, rises: false, weight: 0.75) do
      # The ends that have heads, as heads holds them, of a line that may be told from right to left.
      def self.heads(*ends, leftwards: false)
        ends = ends.map { |which| (which == "start") ? "end" : "start" } if leftwards
        ends.sort.reverse.freeze if ends.any?
      end

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

      # The corners of a polygon in a box so wide and high, [[x, y], …]; nil for what is none.
      def corners(width, height)
        self.class::POLYGONS[kind]&.call(width, height, [width, height].min)
      end

      # [[x1, y1], [x2, y2]] of a line in a box so wide and high.
      def ends(width, height)
        rises ? [[0.0, height], [width, 0.0]] : [[0.0, 0.0], [width, height]]
      end

      # The corners of the heads of a line: triangles three times as long and wide as it is thick (common practice).
      def head_corners(width, height)
        from, to = ends(width, height)
        (heads || []).map { |which| (which == "end") ? arrow(from, to) : arrow(to, from) }
      end

      # How far its corners are round: a sixth of the shorter side, as ISO/IEC 29500-1 20.1.10.56 presets roundRect.
      def corner(width, height)
        (kind == "rounded") ? [width, height].min / 6 : 0.0
      end

      private

      def arrow(from, tip)
        across, down = tip[0] - from[0], tip[1] - from[1]
        far = Math.hypot(across, down)
        return [tip] * 3 if far.zero?
        size = 3 * [weight, 1.0].max
        back = [tip[0] - (across / far * size), tip[1] - (down / far * size)]
        side = [down / far * size / 2, -across / far * size / 2]
        [tip, [back[0] + side[0], back[1] + side[1]], [back[0] - side[0], back[1] - side[1]]]
      end
    end

    # {kind => its corners in a box: ->(width, height, the shorter side)}, as ISO/IEC 29500-1 20.1.10.56 presets them
    # (from memory).
    Shape::POLYGONS = {
      "triangle" => ->(w, h, _) { [[w / 2, 0], [w, h], [0, h]] },
      "right_triangle" => ->(w, h, _) { [[0, 0], [w, h], [0, h]] },
      "diamond" => ->(w, h, _) { [[w / 2, 0], [w, h / 2], [w / 2, h], [0, h / 2]] },
      "parallelogram" => ->(w, h, s) { [[s / 4, 0], [w, 0], [w - (s / 4), h], [0, h]] },
      "hexagon" => ->(w, h, s) { [[s / 4, 0], [w - (s / 4), 0], [w, h / 2], [w - (s / 4), h], [s / 4, h], [0, h / 2]] },
      "pentagon" => ->(w, h, s) { [[0, 0], [w - (s / 2), 0], [w, h / 2], [w - (s / 2), h], [0, h]] },
      "chevron" => ->(w, h, s) {
        [[0, 0], [w - (s / 2), 0], [w, h / 2], [w - (s / 2), h], [0, h], [s / 2, h / 2]]
      },
      "right_arrow" => ->(w, h, s) {
        [[0, h / 4], [w - (s / 2), h / 4], [w - (s / 2), 0], [w, h / 2], [w - (s / 2), h], [w - (s / 2), h * 3 / 4],
          [0, h * 3 / 4]]
      },
      "left_arrow" => ->(w, h, s) { Shape::POLYGONS["right_arrow"].call(w, h, s).map { |x, y| [w - x, y] } },
      "down_arrow" => ->(w, h, s) { Shape::POLYGONS["right_arrow"].call(h, w, s).map(&:reverse) },
      "up_arrow" => ->(w, h, s) { Shape::POLYGONS["down_arrow"].call(w, h, s).map { |x, y| [x, h - y] } }
    }.freeze
  end
end
