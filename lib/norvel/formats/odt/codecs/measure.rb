# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # A length, or a percentage of what the parent style has (ISO/IEC 26300-1 18.3.18, 18.3.23). +shorthand+: the
        # attribute that speaks for all sides and lies under it; +word+: one that means none.
        class Measure < Attribute
          def initialize(name, shorthand: nil, word: nil, beside: [])
            super(name, beside:)
            @shorthand = shorthand
            @word = word
          end

          def read(attributes, _fonts)
            text = attributes[@name] || (@shorthand && attributes[@shorthand]) or return
            return 0.0 if text == @word
            Measure.length(text)
          end

          # Points, a share of the value below, or nil.
          def self.length(text)
            share = text[/\A\s*(-?\d{1,6}(?:\.\d{1,6})?)\s*%\s*\z/, 1]
            return Length.share_of(share.to_f) if share
            return if text.match?(/\A\s*-?\d+\s*\z/) && text.strip != "0"
            Length.from_file(text.strip, "pt")
          end

          # As files hold it: points with as many decimals as every unit of other formats needs.
          def self.text(points)
            return "#{Length.plain(points[:share])}%" if points.is_a?(Hash)
            "#{Length.plain(points.round(3))}pt"
          end

          private

          def text(value)
            Measure.text(value)
          end
        end
      end
    end
  end
end
