# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # Are pairs of letters kerned (ISO/IEC 26300-1 20.274)? On is told as the least size, in half points, from which
        # they are.
        class Kerning < Attribute
          LEAST = {"true" => "1", "false" => "0"}.freeze

          def read(attributes, _fonts)
            least = LEAST[attributes[@name]]
            {val: least} if least
          end

          private

          def text(value)
            value[:val].to_i.positive?.to_s
          end
        end
      end
    end
  end
end
