# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # A line through words, of whatever style.
        class Strike < Attribute
          def initialize
            super("style:text-line-through-style", beside: %w[style:text-line-through-type])
          end

          def read(attributes, _fonts)
            style, type = attributes.values_at(*names)
            return if style.nil? && type.nil?
            style != "none" && type != "none"
          end

          private

          def text(value)
            value ? "solid" : "none"
          end
        end
      end
    end
  end
end
