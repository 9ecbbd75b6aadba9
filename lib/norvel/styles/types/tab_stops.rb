# frozen_string_literal: true

module Norvel
  module Styles
    module Types
      # Tab stops (ISO/IEC 29500-1 17.3.1.37), by their place in twips from the margin as the file has it:
      # {"8505": {val: "right", pos: "8505", leader: "dot"}}. People say "6 cm, right 15 cm with dots".
      class TabStops < Any
        ALIGNMENTS = {"left" => "left", "start" => "left", "num" => "left", "right" => "right", "end" => "right",
                      "center" => "centred", "decimal" => "decimal", "bar" => "bar"}.freeze
        LEADERS = {"dot" => "dots", "hyphen" => "dashes", "underscore" => "a line", "middleDot" => "middle dots",
                   "heavy" => "a heavy line"}.freeze
        STOP = /\A(?:(left|right|centred|centered|center|decimal|bar)\s+)?(-?[\d.,]+\s*[a-z]*?)(?:\s+with\s+(.+))?\z/

        def spoken(value, unit = "pt")
          stops = seen(value)
          return "none" if stops.empty?
          said = stops.map do |points, alignment, leader|
            place = Norvel::Length.spoken(points, unit)
            [(alignment unless alignment == "left"), place, leader && "with #{leader}"].compact.join(" ")
          end
          said.join(", ")
        end

        def typed(text)
          return {} if text.to_s.strip.downcase == "none"
          text.to_s.downcase.split(/\s*[,;]\s+|\s*;\s*/).to_h do |part|
            alignment, length, leader = STOP.match(part.strip)&.captures
            raise Refused, "“#{part}” is not a tab stop: type it like 6 cm, or right 15 cm with dots." unless length
            stop(alignment, Norvel::Length.typed(length.strip), leader)
          end
        end

        def same?(one, other)
          seen(one) == seen(other)
        end

        # Those that are there, without the marks of others that are not.
        def effective(value)
          (value || {}).reject { |_, stop| stop[:val] == "clear" }
        end

        # What a reader sees of them: [points, alignment, leader or nil], from left to right.
        def seen(value)
          effective(value).values
            .map { |stop|
            [Norvel::Length.from_file(stop[:pos].to_s, "twip") || 0.0,
              ALIGNMENTS.fetch(stop[:val], "left"), LEADERS[stop[:leader]]]
          }.sort_by(&:first)
        end

        # What has to be set over +inherited+ for +wanted+ to be seen: others are cleared, place by place.
        def over(inherited, wanted)
          wanted ||= {}
          below = effective(inherited)
          off = (below.keys - wanted.keys).to_h { |place| [place, {val: "clear", pos: place.to_s}] }
          wanted.reject { |place, stop| seen({place => below[place]}.compact) == seen({place => stop}) }.merge(off)
        end

        private

        def stop(alignment, points, leader)
          word = leader && (LEADERS.key(leader.strip) || LEADERS.key(leader.strip.delete_prefix("a ")) ||
            raise(Refused, "“#{leader}” is not a leader: use #{LEADERS.values.join(", ")}."))
          place = Norvel::Length.whole(points, "twip").to_s
          found = {"centered" => "center", "centred" => "center"}.fetch(alignment, alignment || "left")
          [place.to_sym, {val: found, pos: place, leader: word}.compact]
        end
      end
    end
  end
end
