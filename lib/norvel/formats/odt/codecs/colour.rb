# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # A colour; +none+: the word that stands for no colour of its own.
        class Colour < Attribute
          def initialize(name, none:, beside: [])
            super(name, beside:)
            @none = none
          end

          def read(attributes, _fonts)
            text = attributes[@name] or return
            (text == @none) ? "auto" : Norvel::Colour.hex(text)
          end

          private

          def text(value)
            (value == "auto") ? @none : value
          end
        end
      end
    end
  end
end
