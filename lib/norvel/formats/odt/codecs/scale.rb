# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # How wide letters are drawn, in percent.
        class Scale < Attribute
          def read(attributes, _fonts)
            share = attributes[@name].to_s[/\A(\d{1,3})(?:\.\d+)?%/, 1]
            {val: share} if share
          end

          private

          def text(value)
            "#{value[:val].to_i}%"
          end
        end
      end
    end
  end
end
