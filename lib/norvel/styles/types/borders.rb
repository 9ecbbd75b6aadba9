# frozen_string_literal: true

module Norvel
  module Styles
    module Types
      # The lines around a paragraph (ISO/IEC 29500-1 17.3.1.24), by side: {top: {val: "single", sz: "4", space: "1",
      # color: "auto"}}, as the file has them: sz in eighths of a point, space in points. People say "above 0.5 pt,
      # below double 1 pt #1f3864".
      class Borders < Any
        SIDES = {top: "above", bottom: "below", left: "left", right: "right", between: "between", bar: "bar"}.freeze
        BOX = %i[top bottom left right].freeze
        KINDS = %w[single double triple dotted dashed thick wave].freeze # 17.18.2
        GONE = %w[none nil].freeze
        SPACE = Hash.new("1").merge(left: "4", right: "4").freeze # points to the text: common practice
        WIDTHS = 0.25..12.0 # points

        def spoken(value, _unit = "pt")
          lines = seen(value)
          return "none" if lines.empty?
          if BOX.all? { |side| lines.key?(side) && line(lines[side]) == line(lines[:top]) } && lines.size == 4
            return "box #{line(lines[:top])}"
          end
          lines.map { |side, attributes| "#{SIDES.fetch(side)} #{line(attributes)}" }.join(", ")
        end

        def typed(text)
          return {} if text.to_s.strip.downcase == "none"
          text.to_s.downcase.split(/\s*[,;]\s+|\s*;\s*/).each_with_object({}) do |part, lines|
            side, *words = part.strip.split
            sides(side).each { |name| lines[name] = attributes(words, name) }
          end
        end

        def same?(one, other)
          seen(one) == seen(other)
        end

        # Those that are drawn, in the order of SIDES.
        def seen(value)
          lines = (value || {}).reject { |_, attributes| GONE.include?(attributes[:val]) }
          SIDES.keys.filter_map { |side| [side, lines[side]] if lines.key?(side) }.to_h
        end
        alias_method :effective, :seen

        OFF = {val: "none", sz: "0", space: "0", color: "auto"}.freeze

        # What has to be set over +inherited+ for +wanted+ to be seen.
        def over(inherited, wanted)
          wanted ||= {}
          off = (seen(inherited).keys - wanted.keys).to_h { |side| [side, OFF] }
          wanted.reject { |side, attributes| (inherited || {})[side] == attributes }.merge(off)
        end

        # The sides that are seen: {"top" => [kind, width in points, colour or nil], …}
        def drawn(value)
          seen(value).slice(*BOX).transform_values do |attributes|
            [attributes[:val], width(attributes), Norvel::Colour.hex(attributes[:color])]
          end
        end

        private

        def width(attributes)
          attributes[:sz].to_i / 8.0
        end

        def line(attributes)
          colour = Norvel::Colour.hex(attributes[:color])
          kind = attributes[:val] unless attributes[:val] == "single"
          [kind, "#{Norvel::Length.plain(width(attributes).round(2))} pt", colour].compact.join(" ")
        end

        def sides(word)
          return BOX if word == "box"
          side = SIDES.key(word) and return [side]
          raise Refused, "“#{word}” is not a side: type box, above, below, left, right or between, like “below 0.5 pt”."
        end

        def attributes(words, side)
          kind = words.find { |word| KINDS.include?(word) } || "single"
          colour = words.find { |word| word.start_with?("#") }&.then { |word| Colour.new.typed(word) }
          rest = words.reject { |word| KINDS.include?(word) || word.start_with?("#") }.join(" ")
          points = rest.empty? ? 0.5 : Norvel::Length.typed(rest)
          raise Refused, "A line is between 0.25 pt and 12 pt thick." unless WIDTHS.cover?(points)
          tone = colour ? colour.delete("#").upcase : "auto"
          {val: kind, sz: (points * 8).round.to_s, space: SPACE[side], color: tone}
        end
      end
    end
  end
end
