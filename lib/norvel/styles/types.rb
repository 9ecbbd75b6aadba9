# frozen_string_literal: true

module Norvel
  module Styles
    # The kinds of value a property has. A type says a value to a person (spoken), to the JSON (json), to a stylesheet
    # (css), understands what a person types (typed, raises Refused), and tells whether two values are the same to a
    # reader (same?).
    module Types
      class Any
        # As a person reads it.
        def spoken(value, _unit = "pt")
          value.to_s
        end

        # As the command line's JSON has it.
        def json(value)
          value
        end

        # What a person typed, as a value. Raises Refused.
        def typed(text)
          text.to_s.strip
        end

        # The same within what the property can be, as a reader takes it from a file.
        def held(value)
          value
        end

        # Are two values the same to a reader?
        def same?(one, other)
          one == other
        end

        # What has to be set over +inherited+ for +wanted+ to be seen; types that merge level by level set less, or
        # more.
        def over(_inherited, wanted)
          wanted
        end
      end

      # In points; what was typed in lines or characters is a Length::Counted until it is set.
      class Length < Any
        WIDEST = 1584.0 # points: 22 inches, what files' own programs hold (common practice)

        # range: of what it may be, in points
        def initialize(range = -WIDEST..WIDEST)
          @range = range
        end

        def held(value)
          value.is_a?(Numeric) ? value.clamp(@range.begin, @range.end) : value
        end

        def spoken(value, unit = "pt")
          return share(value, unit) if Norvel::Length.share?(value)
          value.is_a?(Norvel::Length::Counted) ? value.to_s : Norvel::Length.spoken(value, unit)
        end

        def json(value)
          value.round(2)
        end

        def typed(text)
          within(text.is_a?(Numeric) ? text.to_f : Norvel::Length.read(text), text)
        end

        def same?(one, other)
          return one == other unless one.is_a?(Numeric) && other.is_a?(Numeric)
          one == other || Norvel::Length.equal?(one, other)
        end

        private

        # Raises Refused for what it can't be.
        def within(value, text)
          points = value.is_a?(Norvel::Length::Counted) ? value.points : value
          return value if @range.cover?(points)
          raise Refused, "“#{text}” is not possible here: it lies between #{spoken(@range.begin)} and " \
            "#{spoken(@range.end)}."
        end

        # What follows the base style's value.
        def share(value, unit)
          return "#{Norvel::Length.spoken(value[:more], unit)} over its base" if value.key?(:more)
          "#{Norvel::Length.plain(value[:share])} % of its base"
        end
      end

      # Sizes, letter spacing: always said in points.
      class Points < Length
        def spoken(value, _unit = "pt")
          super(value, "pt")
        end

        def typed(text)
          within(text.is_a?(Numeric) ? text.to_f : Norvel::Length.typed(text), text)
        end
      end

      class Flag < Any
        WORDS = {"yes" => true, "true" => true, "on" => true, "1" => true, "no" => false, "false" => false,
                 "off" => false, "0" => false}.freeze

        def spoken(value, _unit = "pt")
          value ? "yes" : "no"
        end

        def typed(text)
          return text if [true, false].include?(text)
          WORDS.fetch(text.to_s.strip.downcase) { raise Refused, "“#{text}” is neither yes nor no." }
        end
      end

      class Choice < Any
        attr_reader :words

        # +words+ maps each value to the word a person reads.
        def initialize(words)
          @words = words
        end

        def spoken(value, _unit = "pt")
          @words.fetch(value, value.to_s)
        end

        def typed(text)
          text = text.to_s.strip.downcase
          @words.find { |value, word| [value, word].include?(text) }&.first or raise Refused,
            "“#{text}” is not one of #{@words.values.join(", ")}."
        end
      end

      # A kind of underline in the file; underlined or not to everybody else.
      class Underline < Flag
        def spoken(value, _unit = "pt")
          super(json(value))
        end

        def json(value)
          value != "none"
        end

        def typed(text)
          (super) ? "single" : "none"
        end

        def same?(one, other)
          json(one) == json(other)
        end
      end

      class Colour < Any
        def spoken(value, _unit = "pt")
          (value == "auto") ? "automatic" : value
        end

        def json(value)
          (value == "auto") ? nil : value
        end

        def typed(text)
          said = text.to_s.strip
          return "auto" if %w[auto automatic none].include?(said.downcase)
          Norvel::Colour.named(said) || Norvel::Colour.hex(said) or raise Refused,
            "“#{text}” is not a colour: type it like dark blue or #1f3864, or automatic."
        end
      end

      class LineSpacing < Any
        NAMED = {1.0 => "single", 1.5 => "1.5", 2.0 => "double"}.freeze

        def spoken(value, _unit = "pt")
          case value[:rule]
          when "multiple" then NAMED.fetch(value[:value]) { Norvel::Length.plain(value[:value].round(2)) }
          when "exact" then "exactly #{Norvel::Length.spoken(value[:value], "pt")}"
          else "at least #{Norvel::Length.spoken(value[:value], "pt")}"
          end
        end

        TIMES = (0.1..20.0) # lines
        POINTS = (0.5..Length::WIDEST)

        # A height of nothing stays as files have it: it is the largest of the line, or none.
        def held(value)
          return value unless value[:value].is_a?(Numeric) && value[:value].positive?
          most = (value[:rule] == "multiple") ? 132.0 : POINTS.end
          (value[:value] > most) ? {**value, value: most}.freeze : value
        end

        def typed(text)
          return multiple(text.to_f) if text.is_a?(Numeric)
          case text.to_s.strip.downcase
          when *NAMED.values then multiple(NAMED.key(text.to_s.strip.downcase))
          when /\A(\d{1,2}(?:[.,]\d{1,4})?)\s*(?:lines?)?\z/ then multiple($1.tr(",", ".").to_f)
          when /\A(?:exactly|exact)\s+(.+)\z/ then points("exact", $1)
          when /\A(?:at least|at_least|min)\s+(.+)\z/ then points("at_least", $1)
          when /\A[\d.,]+\s*[a-z]+\z/ then points("exact", text)
          else raise Refused, "“#{text}” is not a line spacing: type single, 1.5, double, 1.15, “exactly 24pt” or " \
            "“at least 14pt”."
          end
        end

        def same?(one, other)
          one[:rule] == other[:rule] && (one[:value] - other[:value]).abs <= slack(one)
        end

        private

        def slack(value)
          (value[:rule] == "multiple") ? Norvel::Length::SAME_TIMES : Norvel::Length::SAME
        end

        def points(rule, text)
          value = Norvel::Length.typed(text)
          raise Refused, "A line spacing lies between 0.5 and 1584 points." unless POINTS.cover?(value)
          {rule:, value:}
        end

        def multiple(number)
          raise Refused, "A line spacing lies between 0.1 and 20 lines." unless TIMES.cover?(number)
          {rule: "multiple", value: number}
        end
      end

      # A language as BCP 47 writes it: en-GB, de.
      class Language < Any
        def typed(text)
          text.to_s.strip[/\A[A-Za-z]{2,3}(?:-[A-Za-z0-9]{2,8})*\z/] or raise Refused,
            "“#{text}” is not a language: type it like en-GB or de."
        end
      end

      # 1–9, or 0 for body text.
      class Level < Any
        def spoken(value, _unit = "pt")
          value.zero? ? "body text" : "level #{value}"
        end

        def json(value)
          value.zero? ? nil : value
        end

        def typed(text)
          return 0 if text.to_s.strip.downcase == "body text"
          text.to_s[/\A\s*(?:level\s*)?([0-9])\s*\z/i, 1]&.to_i or raise Refused,
            "An outline level is 1 to 9, or body text."
        end
      end
    end
  end
end
