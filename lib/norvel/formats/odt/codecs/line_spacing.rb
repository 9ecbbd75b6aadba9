# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # fo:line-height as a percentage, "normal" or a length; style:line-height-at-least; style:line-spacing, extra
        # room between lines, has no twin and is told as lines at least so much taller than 12 pt letters need.
        class LineSpacing < Attribute
          NATURAL = 12.0 * 1.2 # points: a line of 12 pt letters, common practice

          def initialize
            super("fo:line-height", beside: %w[style:line-height-at-least style:line-spacing])
          end

          def read(attributes, _fonts)
            height, least, extra = attributes.values_at(*names)
            return {rule: "at_least", value: points(least)} if least && points(least)
            return spacing_of(height) if height
            {rule: "at_least", value: (NATURAL + points(extra)).round(4)} if extra && points(extra)
          end

          def write(value)
            gone = names.to_h { |name| [name, nil] }
            return gone if value.nil?
            case value[:rule]
            when "multiple" then gone.merge("fo:line-height" => "#{Length.plain((value[:value] * 100).round(2))}%")
            when "exact" then gone.merge("fo:line-height" => Measure.text(value[:value]))
            else gone.merge("style:line-height-at-least" => Measure.text(value[:value]))
            end
          end

          private

          def spacing_of(text)
            return {rule: "multiple", value: 1.0} if text == "normal"
            share = text[/\A\s*(\d{1,6}(?:\.\d{1,6})?)\s*%/, 1]
            return {rule: "multiple", value: (share.to_f / 100).clamp(0.01, 100.0).round(4)} if share
            {rule: "exact", value: points(text).abs} if points(text)
          end

          def points(text)
            found = Measure.length(text)
            found if found.is_a?(Float)
          end
        end
      end
    end
  end
end
