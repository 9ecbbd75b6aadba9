# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # How a part of a formula is set: the size of the formula in points, how deep in scripts it stands, and whether it
      # has room as on a line of its own.
      Style = Struct.new(:base, :level, :display) do
        # Sizes of scripts and their scripts are told by the font.
        def size
          @size ||= base * [1.0, face.percent(:script_percent), face.percent(:script_script_percent)][[level, 2].min]
        end

        # A length of the font in points.
        def length(name)
          face.constant(name) * size
        end

        # The style of scripts within it.
        def scripts
          Style.new(base, level + 1, false)
        end

        # What stands in a line, at the same size.
        def in_line
          display ? Style.new(base, level, false) : self
        end

        # Above and below the rule of a fraction: a line of its own gives them their size.
        def parts
          display ? in_line : scripts
        end

        private

        def face
          MathsFace.shipped
        end
      end
    end
  end
end
