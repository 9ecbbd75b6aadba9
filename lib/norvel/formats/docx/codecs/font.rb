# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # The Latin font; a theme font beats a plain one at the same level (17.3.2.26).
        class Font < Whole
          PLAIN = %w[ascii hAnsi cs].freeze
          THEMED = %w[asciiTheme hAnsiTheme cstheme].freeze

          def read(element, part)
            themed = part.attr(element, "asciiTheme")
            (themed && part.theme.font(themed)) || part.attr(element, "ascii")
          end

          def put(parent, value, part)
            node = fresh(parent, part)
            part.unset(node, *THEMED)
            PLAIN.each { |name| part.set(node, name, value) }
          end
        end
      end
    end
  end
end
