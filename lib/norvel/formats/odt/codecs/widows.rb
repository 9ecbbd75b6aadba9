# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # fo:widows and fo:orphans: both at two lines or more is control of them.
        class Widows < Attribute
          def initialize
            super("fo:widows", beside: %w[fo:orphans])
          end

          def read(attributes, _fonts)
            lines = attributes.values_at(*names).compact
            lines.all? { |text| text.to_i >= 2 } if lines.any?
          end

          def write(value)
            number = if value.nil?
              nil
            else
              (value ? "2" : "0")
            end
            {"fo:widows" => number, "fo:orphans" => number}
          end
        end
      end
    end
  end
end
