# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # w:shd as one colour: the fill, the pattern's colour when solid, their mixture for a percentage (17.3.5).
        class Shading < Whole
          def read(element, part)
            fill = part.theme.colour(part.attr(element, "fill"), part.attr(element, "themeFill"),
              part.attr(element, "themeFillTint"), part.attr(element, "themeFillShade")) || "auto"
            pattern = part.attr(element, "val") || "clear"
            return fill if %w[clear nil].include?(pattern)
            fore = Colour.hex(part.attr(element, "color")) || "#000000"
            return fore if pattern == "solid"
            share = pattern[/\Apct(\d+)\z/, 1] or return fill
            Colour.mixed(fore, (fill == "auto") ? "#ffffff" : fill, [share.to_i, 100].min / 100.0)
          end

          def put(parent, value, part)
            fresh(parent, part).attribute_nodes.each(&:remove)
            node = fresh(parent, part)
            {"val" => "clear", "color" => "auto", "fill" => (value == "auto") ? value : value.delete("#").upcase}
              .each { |key, text|
              part.set(node, key, text)
            }
          end
        end
      end
    end
  end
end
