# frozen_string_literal: true

module Norvel
  # Lengths are Floats in points (1 pt = 1/72 in). This is the only place that knows how long a unit is.
  # Source: ISO/IEC 29500-1 ST_TwipsMeasure, ST_HpsMeasure, ST_UniversalMeasure; CSS 2.1 4.3.2 (px).
  module Length
    POINTS = {
      "pt" => 1r, "in" => 72r, "cm" => 7200/254r, "mm" => 720/254r, "pc" => 12r, "pi" => 12r, "px" => 3/4r,
      "twip" => 1/20r, "half_point" => 1/2r, "eighth_point" => 1/8r, "emu" => 1/12_700r
    }.freeze
    LIMIT = 10_000.0 # pt; no sheet is that large, so a larger number is a damaged one
    UNIVERSAL = /\A(-?\d{1,9}(?:\.\d{1,40})?|-?\.\d{1,40})\s*(mm|cm|in|pt|pc|pi|px)?\z/
    TYPED = /\A([+-]?(?:\d{1,6}(?:[.,]\d{1,6})?|[.,]\d{1,6}))\s*([a-z"]*)\z/
    SPOKEN = {
      "" => "pt", "point" => "pt", "points" => "pt", "inch" => "in", "inches" => "in", "\"" => "in",
      "centimetre" => "cm", "centimetres" => "cm", "millimetre" => "mm", "millimetres" => "mm", "pica" => "pc",
      "picas" => "pc"
    }.freeze

    # A length that follows the size of the letters: so many characters, each as wide as the letters are high, or lines
    # of 12 pt.
    Counted = Struct.new(:number, :unit) do
      # In points, for letters of a size.
      def points(size = 12.0)
        (number * ((unit == "characters") ? size.to_r : 12)).round(4).to_f
      end

      # In hundredths, as files hold it.
      def hundredths
        (number * 100).round
      end

      # As a person says it: "2 lines".
      def to_s
        "#{Length.plain(number.to_f)} #{unit.delete_suffix((number == 1) ? "s" : "")}"
      end
    end
    COUNTED = {"line" => "lines", "lines" => "lines", "character" => "characters", "characters" => "characters",
               "char" => "characters", "chars" => "characters", "em" => "characters"}.freeze

    # A length that follows the one it stands over, as a value of a property: {share: percent of it, more: points}.
    #   Length.share_of(115.0) # => {share: 115.0}
    def self.share_of(percent, more = nil)
      {share: percent, more:}.compact.freeze
    end

    # Is it a share of what a base says, {share: 80.0}, or {more: 6.0}?
    def self.share?(value)
      value.is_a?(Hash) && value.key?(:share)
    end

    # In points, over so many.
    def self.of_share(value, points)
      ((points * value[:share] / 100) + (value[:more] || 0.0)).round(4)
    end

    SAME = 0.0501 # pt: a twip, as lengths go through files; nearer lengths are one (the only tolerance there is)
    SAME_TIMES = 0.005 # of a line, for line spacings that are told in lines

    class << self
      # The unit that whoever reads is used to; nil for points, and millimetres of sheets. Set once by an application.
      attr_accessor :unit

      # The unit in which a bare number is read.
      def reading
        unit || "pt"
      end

      # The unit that sheets of paper are said in.
      def of_sheets
        unit || "mm"
      end
    end

    module_function

    # Points of a number of units, rounded to 1/10,000 pt, half away from zero.
    #   Length.points(1440, "twip") # => 72.0
    def points(number, unit)
      (number.to_r * POINTS.fetch(unit)).round(4).to_f
    end

    # The number of units in so many points, exact: the caller rounds once.
    def units(points, unit)
      points.to_r / POINTS.fetch(unit)
    end

    # Whole twips (or half-points …) for a file, half away from zero.
    def whole(points, unit)
      units(points.round(4), unit).round
    end

    # A length as an attribute of a file holds it: a bare number is in +unit+, any other carries its own.
    # Nil for what is not a length; a number no sheet could hold is cut to the LIMIT.
    def from_file(text, unit)
      match = UNIVERSAL.match(text) or return absurd(text)
      points(match[1].to_r, match[2] || unit).clamp(-LIMIT, LIMIT)
    end

    def absurd(text)
      return unless text.match?(/\A-?\d{10,}\z/)
      text.start_with?("-") ? -LIMIT : LIMIT
    end

    # A length as a person types it: "0.5in", "1,27 cm", "36", "2 lines", "4 characters" (of letters of 12 pt). Raises
    # Refused.
    def typed(text)
      found = read(text)
      found.is_a?(Counted) ? found.points : found
    end

    # The same, with lengths in lines and characters as Counted.
    def read(text)
      match = TYPED.match(text.to_s.strip.downcase) or raise Refused,
        "“#{text}” is not a length: type it like 0.5in, 1.27 cm, 12pt, 2 lines or 2 em."
      number = match[1].tr(",", ".").to_r
      return Counted.new(number, COUNTED[match[2]]) if COUNTED.key?(match[2])
      unit = SPOKEN.fetch(match[2], match[2])
      raise Refused, "“#{match[2]}” is not a unit: use pt, in, cm, mm or pc." unless POINTS.key?(unit)
      points(number, unit)
    end

    # A length in the unit a person reads, as short as it can be said: 53.85 pt in cm is "1.9 cm".
    def spoken(points, unit = Length.reading)
      "#{plain(units(points, unit).round((unit == "mm") ? 1 : 2).to_f)} #{unit}"
    end

    # A number without a needless fraction: 12.0 is "12".
    def plain(number)
      (number == number.round) ? number.round.to_s : number.to_s
    end

    # Lengths that went through different units: equal within one twip.
    def equal?(one, other)
      (one - other).abs <= SAME
    end

    private_class_method :absurd
  end
end
