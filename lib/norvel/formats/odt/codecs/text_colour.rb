# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # fo:color, beaten by style:use-window-font-color, which is the automatic colour.
        class TextColour < Attribute
          def initialize
            super("fo:color", beside: %w[style:use-window-font-color])
          end

          def read(attributes, _fonts)
            return "auto" if attributes["style:use-window-font-color"] == "true"
            Norvel::Colour.hex(attributes[@name]) if attributes[@name]
          end

          def write(value)
            return super unless value == "auto"
            {"fo:color" => nil, "style:use-window-font-color" => "true"}
          end

          private

          def text(value)
            value
          end
        end
      end
    end
  end
end
