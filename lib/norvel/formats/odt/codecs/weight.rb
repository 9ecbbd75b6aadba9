# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # fo:font-weight: bold from 600 on.
        class Weight < Attribute
          def read(attributes, _fonts)
            text = attributes[@name] or return
            (text == "bold") || text.to_i >= 600
          end

          private

          def text(value)
            value ? "bold" : "normal"
          end
        end
      end
    end
  end
end
