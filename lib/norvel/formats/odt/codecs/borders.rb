# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # Lines around a paragraph, side by side (20.176 fo:border, 20.209 fo:padding).
        class Borders < Attribute
          SIDES = %w[top bottom left right].freeze
          KINDS = {"solid" => "single", "double" => "double", "dotted" => "dotted", "dashed" => "dashed",
                   "groove" => "single", "ridge" => "single", "inset" => "single", "outset" => "single"}.freeze
          WIDTHS = {"thin" => 0.75, "medium" => 1.5, "thick" => 2.25}.freeze # points: common practice
          LINE_WIDTHS = ["style:border-line-width", *SIDES.map { |side| "style:border-line-width-#{side}" }].freeze

          def initialize
            super("fo:border", beside: [*SIDES.map { |side| "fo:border-#{side}" }, "fo:padding",
              *SIDES.map { |side| "fo:padding-#{side}" }, *LINE_WIDTHS])
          end

          def read(attributes, _fonts)
            found = SIDES.filter_map do |side|
              text = attributes["fo:border-#{side}"] || attributes["fo:border"] or next
              [side.to_sym, line(text, attributes["fo:padding-#{side}"] || attributes["fo:padding"])]
            end
            found.to_h if found.any?
          end

          def write(value)
            gone = names.to_h { |name| [name, nil] }
            return gone if value.nil?
            value.slice(*SIDES.map(&:to_sym)).inject(gone) { |all, (side, line)| all.merge(written(side, line)) }
          end

          private

          def line(text, padding)
            words = text.split
            return Styles::BorderLine.none if words.include?("none") || words.include?("hidden")
            width = words.filter_map { |word| WIDTHS[word] || Length.from_file(word, "pt") }.first || 0.75
            colour = words.filter_map { |word| Norvel::Colour.hex(word) if word.start_with?("#") }.first
            space = (padding && Length.from_file(padding, "pt")) || 0.0
            Styles::BorderLine.new(kind: KINDS.fetch(words.find { |word| KINDS.key?(word) }, "single"),
              width: (width * 8).round / 8.0, space: space.round(2), color: colour || "auto")
          end

          def written(side, line)
            return {"fo:border-#{side}" => "none", "fo:padding-#{side}" => nil} if line.none?
            colour = Norvel::Colour.hex(line.color) || "#000000"
            {"fo:border-#{side}" => "#{Measure.text(line.width)} #{KINDS.key(line.kind) || "solid"} #{colour}",
             "fo:padding-#{side}" => Measure.text(line.space)}
          end
        end
      end
    end
  end
end
