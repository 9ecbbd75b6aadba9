# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # What no rule asks about and other formats carry in their own words (Styles::Properties::CARRIED): on or off.
        class Opaque < Attribute
          def initialize(name, on:, off:)
            super(name)
            @on = on
            @off = off
          end

          def read(attributes, _fonts)
            text = attributes[@name] or return
            return {} if text == @on
            {val: "0"} if text == @off
          end

          private

          def text(value)
            %w[0 false off].include?(value[:val]) ? @off : @on
          end
        end
      end
    end
  end
end
