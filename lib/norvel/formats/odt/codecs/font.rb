# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # style:font-name names a font face that is declared in the part; fo:font-family says the family itself. The
        # first wins at one level.
        class Font < Attribute
          def initialize
            super("fo:font-family", beside: %w[style:font-name style:font-family-generic style:font-pitch
              style:font-style-name style:font-charset])
          end

          def read(attributes, fonts)
            name = attributes["style:font-name"]
            family = (name && fonts[name]) || attributes[@name] || name
            Font.family(family) if family
          end

          # The first family of a list, without its quotes.
          def self.family(text)
            found = text.split(",").first.to_s.strip.delete("'\"").strip
            found unless found.empty?
          end

          private

          def text(value)
            value.include?(" ") ? "'#{value}'" : value
          end
        end
      end
    end
  end
end
