# frozen_string_literal: true

# What the person who works here likes, kept for the next time.
class Preference < ActiveRecord::Base
  UNITS = {"cm" => "centimetres", "mm" => "millimetres", "in" => "inches", "pt" => "points"}.freeze

  class << self
    # The unit that lengths are read and typed in.
    def unit
      @unit ||= find_by(name: "unit")&.value || "cm"
    end

    # Raises Norvel::Refused.
    def unit=(unit)
      raise Norvel::Refused, "There is no unit “#{unit.to_s[0, 20]}”." unless UNITS.key?(unit.to_s)
      find_or_initialize_by(name: "unit").update!(value: unit)
      @unit = Norvel::Length.unit = unit
      Desk::LIVE.clear # what checks say names lengths
    end

    # For the core, when the application starts.
    def speak
      Norvel::Length.unit = unit
    rescue ActiveRecord::ActiveRecordError
      Norvel::Length.unit = "cm"
    end

    def forget
      @unit = nil
    end
  end
end
