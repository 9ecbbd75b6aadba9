# frozen_string_literal: true

module Norvel
  class Guide
    # What a guide asks of one property: a value, one of several, or a range; and the value that would meet it.
    class Requirement
      # +asked+ as the YAML has it: "12pt", {"any_of" => […]}, {"min" => …, "max" => …}, {"multiple" => 1.15},
      # {"exact" => "24pt"}.
      # Raises UnusableGuide.
      def self.of(property, asked)
        new(property, asked)
      rescue Refused => error
        raise UnusableGuide, "#{property.name}: #{error.message}"
      end

      USUAL = {font: "Times New Roman", size: 12.0}.freeze

      # The Property.
      attr_reader :property

      def initialize(property, asked)
        @property = property
        @stated = asked
        asked = {"any_of" => [asked]} unless asked.is_a?(Hash)
        @least = asked["min"] && typed(asked["min"])
        @most = asked["max"] && typed(asked["max"])
        @any = named(asked)&.map { |value| typed(value) }
      end

      # Does a value meet it?
      def meets?(value)
        return @any.any? { |wanted| same?(wanted, value) } if @any
        return false if value.nil?
        number = magnitude(value)
        (@least.nil? || number >= magnitude(@least) - slack) && (@most.nil? || number <= magnitude(@most) + slack)
      end

      # The value that a mend sets: the first named, or the nearest bound to what is there.
      def target(found = nil)
        return @any.first if @any
        return @least || @most unless found && @least && @most
        (magnitude(found) < magnitude(@least)) ? @least : @most
      end

      # The value that meets it and is nearest to what is there: the very one where that is as asked.
      def nearest(found)
        (!found.nil? && meets?(found)) ? found : target(found)
      end

      # As the person reads it, in the guide's unit, else in theirs.
      def spoken
        (@spoken ||= {})[unit || Length.reading] ||= say(unit)
      end

      # The same in the unit that the guide writes it in, whoever reads.
      def as_stated
        say(Guide.stated_unit(@stated) || "pt")
      end

      # The unit it is told in, nil where there is none.
      def unit
        Guide.unit(@stated)
      end

      private

      def say(unit)
        return @any.map { |value| property.spoken(value, unit) }.join(" or ") if @any
        return "#{property.spoken(@least, unit)} to #{property.spoken(@most, unit)}" if @least && @most
        @least ? "at least #{property.spoken(@least, unit)}" : "at most #{property.spoken(@most, unit)}"
      end

      def named(asked)
        return [asked["multiple"]] if asked["multiple"]
        asked["exact"] ? ["exactly #{asked["exact"]}"] : asked["any_of"]
      end

      def typed(value)
        found = property.type.typed(value)
        found.is_a?(Length::Counted) ? found.points : found
      end

      def same?(wanted, value)
        case property.name
        when :font then wanted.casecmp?(value.to_s)
        when :color then property.same?(black(wanted), black(value))
        else property.same?(wanted, value)
        end
      end

      # Letters of no stated colour are black on a page.
      def black(colour)
        (colour == "auto") ? "#000000" : colour
      end

      # Line spacings compare by their number of lines; exact ones by what they come to in 12 pt of the usual face.
      def magnitude(value)
        return value unless value.is_a?(Hash)
        (value[:rule] == "multiple") ? value[:value] : value[:value] / Layout::Fonts.line_height(USUAL)
      end

      def slack
        property.type.is_a?(Styles::Types::Length) ? Length::SAME : Length::SAME_TIMES
      end
    end
  end
end
