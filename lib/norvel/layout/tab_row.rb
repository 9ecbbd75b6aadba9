# frozen_string_literal: true

module Norvel
  module Layout
    # The tab stops of a paragraph, measured from the left margin in points: those that were set, the hanging indent
    # (ISO/IEC 29500-1 17.3.1.37), and default ones beyond them at even distances.
    class TabRow
      MOST_BEYOND = 2000.0 # points that a stop may stand beyond the line

      # stops: [Styles::TabStop, …] from left to right; hanging: the indent of lines after the first,
      # where the first begins to the left of it, else nil
      def initialize(stops, hanging, default)
        @stops = stops.reject { |stop| stop.align == "bar" }
        @hanging = hanging
        @default = (default > 1) ? default : 36.0
      end

      # The width of a tab that begins at +from+; the block gives the width of what follows it, and of its part before
      # a decimal sign. Nil where the next stop is not on this line.
      def width(from, right_edge)
        stop = stop(from)
        place, alignment = stop.place, stop.align
        return if place > right_edge + 0.5 && !set?(place)
        return [place - from, 0.0].max if alignment == "left"
        whole, before = yield
        back = {"right" => whole, "centred" => whole / 2, "decimal" => before}.fetch(alignment)
        place = [place, right_edge].min if alignment == "right"
        [place - back - from, 0.0].max
      end

      # The Styles::TabStop that a tab at a place goes to.
      def stop(from)
        set = @stops.find { |stop| stop.place > from + 0.05 }
        return plain(@hanging) if @hanging && @hanging > from + 0.05 && (set.nil? || set.place > @hanging)
        set || plain((((from + 0.05) / @default).floor + 1) * @default)
      end

      private

      def plain(place)
        Styles::TabStop.new(place:)
      end

      # Stops that someone set beyond the line's end hold too.
      def set?(place)
        place < MOST_BEYOND && @stops.any? { |stop| stop.place == place && stop.align != "left" }
      end
    end
  end
end
