# frozen_string_literal: true

# What the person who works here likes, kept for the next time.
class Preference < ActiveRecord::Base
  UNITS = {"cm" => "centimetres", "mm" => "millimetres", "in" => "inches", "pt" => "points"}.freeze

  SURROUNDS = {"" => "as the system", "light" => "light", "dark" => "dark"}.freeze

  class << self
    # What stands around the paper: of SURROUNDS.
    def surround
      @surround ||= find_by(name: "surround")&.value || ""
    end

    # Raises Norvel::Refused.
    def surround=(surround)
      raise Norvel::Refused, "There is no surround “#{surround.to_s[0, 20]}”." unless SURROUNDS.key?(surround.to_s)
      find_or_initialize_by(name: "surround").update!(value: surround.to_s)
      @surround = surround.to_s
    end

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
      @unit = @surround = nil
    end
  end
end
