# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # w:color: the theme's colour wins, its cached value stands in val (17.3.2.6).
        class TextColour < Whole
          def read(element, part)
            part.theme.colour(part.attr(element, "val"), part.attr(element, "themeColor"),
              part.attr(element, "themeTint"), part.attr(element, "themeShade"))
          end

          def put(parent, value, part)
            node = fresh(parent, part)
            part.unset(node, "themeColor", "themeTint", "themeShade")
            part.set(node, "val", (value == "auto") ? value : value.delete("#").upcase)
          end
        end
      end
    end
  end
end
