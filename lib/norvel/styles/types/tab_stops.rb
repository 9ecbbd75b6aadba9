# frozen_string_literal: true

module Norvel
  module Styles
    module Types
      # Tab stops by their place, in points from the margin: {425.25 => TabStop, …}. People say "6 cm, right 15 cm with
      # dots".
      class TabStops < Any
        LEADERS = ["dots", "dashes", "a line", "middle dots", "a heavy line"].freeze
        STOP = /\A(?:(left|right|centred|centered|center|decimal|bar)\s+)?(-?[\d.,]+\s*[a-z]*?)(?:\s+with\s+(.+))?\z/
        CENTRED = {"centered" => "centred", "center" => "centred"}.freeze
        STEP = 20 # places count in twentieths of a point

        # A place as one of those that files can hold.
        def self.place(points)
          (points * STEP).round / STEP.to_f
        end

        def spoken(value, unit = "pt")
          stops = seen(value)
          return "none" if stops.empty?
          said = stops.map do |stop|
            place = Norvel::Length.spoken(stop.place, unit)
            [(stop.align unless stop.align == "left"), place, stop.leader && "with #{stop.leader}"].compact.join(" ")
          end
          said.join(", ")
        end

        # Raises Refused.
        def typed(text)
          return {} if text.to_s.strip.downcase == "none"
          text.to_s.downcase.split(/\s*[,;]\s+|\s*;\s*/).to_h do |part|
            align, length, leader = STOP.match(part.strip)&.captures
            raise Refused, "“#{part}” is not a tab stop: type it like 6 cm, or right 15 cm with dots." unless length
            place = TabStops.place(Norvel::Length.typed(length.strip))
            [place, TabStop.new(place:, align: CENTRED.fetch(align, align || "left"), leader: leader(leader))]
          end
        end

        def same?(one, other)
          seen(one) == seen(other)
        end

        # Those that are there, without the marks of others that are not.
        def effective(value)
          (value || {}).reject { |_, stop| stop.clear? }
        end

        # What a reader sees of them: [TabStop, …] from left to right.
        def seen(value)
          effective(value).values.sort_by(&:place)
        end

        # What has to be set over +inherited+ for +wanted+ to be seen: others are cleared, place by place.
        def over(inherited, wanted)
          wanted ||= {}
          below = effective(inherited)
          off = (below.keys - wanted.keys).to_h { |place| [place, TabStop.new(place:, align: "clear")] }
          wanted.reject { |place, stop| below[place] == stop }.merge(off)
        end

        private

        def leader(words)
          return unless words
          name = words.strip
          LEADERS.find { |one| [one, one.delete_prefix("a ")].include?(name) } or
            raise Refused, "“#{words}” is not a leader: use #{LEADERS.join(", ")}."
        end
      end
    end
  end
end
