# frozen_string_literal: true

module Norvel
  module Layout
    # How high a line is, and where in it the letters stand (ISO/IEC 29500-1 17.3.1.33). A line set single takes the
    # font's ascent, descent and gap; multiples add their room below, a fixed height shares it out (CSS 2.1 10.8.1), a
    # least height puts it above.
    module LineHeight
      LEAST = 1.0 # points: no line is nothing, so that pages end
      SLACK = 0.001 # of a row
      MOST_ROWS = 2_000

      module_function

      # [height, from its top to the baseline], in points. +tall+: of the highest object in the line, nil for none;
      # +grid+: the pitch that lines stand on, nil for none
      #   LineHeight.of({rule: "exact", value: 24.0}, 10.7, 3.1) # => [24.0, …]
      def of(spacing, ascent, descent, tall = nil, grid: nil)
        ascent, descent = on_grid(ascent, descent, grid) if grid && spacing[:rule] != "exact"
        natural = ascent + descent
        value = spacing[:value]
        height, baseline = case spacing[:rule]
        when "exact" then [value, ((value - natural) / 2) + ascent]
        when "at_least" then [[value, natural].max, [value - natural, 0.0].max + ascent]
        else [natural * value, ascent - [natural * (1 - value), 0.0].max]
        end
        height, baseline = raised(height, baseline, tall) if tall && spacing[:rule] != "exact"
        [[height, LEAST].max, baseline]
      end

      # A line takes as many whole rows of the grid as it needs and stands in the middle of them (ISO/IEC 29500-1
      # 17.6.5; where in them: from memory).
      def on_grid(ascent, descent, pitch)
        natural = ascent + descent
        rows = ((natural / pitch) - SLACK).ceil.clamp(1, MOST_ROWS)
        spare = [(rows * pitch) - natural, 0.0].max
        [ascent + (spare / 2), descent + (spare / 2)]
      end

      # An object stands on the baseline.
      def raised(height, baseline, tall)
        more = [tall - baseline, 0.0].max
        [height + more, baseline + more]
      end
      private_class_method :on_grid, :raised
    end
  end
end
