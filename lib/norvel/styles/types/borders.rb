# frozen_string_literal: true

module Norvel
  module Styles
    module Types
      # The lines around a paragraph, by side: {top: BorderLine, …}. People say "above 0.5 pt, below double 1 pt
      # #1f3864".
      class Borders < Any
        SIDES = {top: "above", bottom: "below", left: "left", right: "right", between: "between", bar: "bar"}.freeze
        BOX = %i[top bottom left right].freeze
        KINDS = %w[single double triple dotted dashed thick wave].freeze # ISO/IEC 29500-1 17.18.2
        SPACE = Hash.new(1.0).merge(left: 4.0, right: 4.0).freeze # points to the text: common practice
        WIDTHS = 0.25..12.0 # points
        STEP = 8 # widths count in eighths of a point

        def spoken(value, _unit = "pt")
          lines = seen(value)
          return "none" if lines.empty?
          if BOX.all? { |side| lines.key?(side) && words(lines[side]) == words(lines[:top]) } && lines.size == 4
            return "box #{words(lines[:top])}"
          end
          lines.map { |side, line| "#{SIDES.fetch(side)} #{words(line)}" }.join(", ")
        end

        # Raises Refused.
        def typed(text)
          return {} if text.to_s.strip.downcase == "none"
          text.to_s.downcase.split(/\s*[,;]\s+|\s*;\s*/).each_with_object({}) do |part, lines|
            side, *words = part.strip.split
            sides(side).each { |name| lines[name] = line(words, name) }
          end
        end

        def same?(one, other)
          seen(one) == seen(other)
        end

        # Those that are drawn, in the order of SIDES.
        def seen(value)
          lines = (value || {}).reject { |_, line| line.none? }
          SIDES.keys.filter_map { |side| [side, lines[side]] if lines.key?(side) }.to_h
        end
        alias_method :effective, :seen

        # What has to be set over +inherited+ for +wanted+ to be seen.
        def over(inherited, wanted)
          wanted ||= {}
          off = (seen(inherited).keys - wanted.keys).to_h { |side| [side, BorderLine.none] }
          wanted.reject { |side, line| (inherited || {})[side] == line }.merge(off)
        end

        # The sides of a box that are seen: {top: BorderLine, …}
        def drawn(value)
          seen(value).slice(*BOX)
        end

        private

        def words(line)
          kind = line.kind unless line.kind == "single"
          [kind, "#{Norvel::Length.plain(line.width.round(2))} pt", Norvel::Colour.hex(line.color)].compact.join(" ")
        end

        def sides(word)
          return BOX if word == "box"
          side = SIDES.key(word) and return [side]
          raise Refused, "“#{word}” is not a side: type box, above, below, left, right or between, like “below 0.5 pt”."
        end

        def line(words, side)
          kind = words.find { |word| KINDS.include?(word) } || "single"
          color = words.find { |word| word.start_with?("#") }&.then { |word| Colour.new.typed(word) }
          rest = words.reject { |word| KINDS.include?(word) || word.start_with?("#") }.join(" ")
          points = rest.empty? ? 0.5 : Norvel::Length.typed(rest)
          raise Refused, "A line is between 0.25 pt and 12 pt thick." unless WIDTHS.cover?(points)
          BorderLine.new(kind:, width: (points * STEP).round / STEP.to_f, space: SPACE[side], color: color || "auto")
        end
      end
    end
  end
end
