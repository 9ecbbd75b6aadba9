# frozen_string_literal: true

module Norvel
  class Document
    # How a number is written: ISO/IEC 29500-1 17.18.59 ST_NumberFormat (letters repeat after z: aa, bb).
    module Numerals
      ROMAN = {1000 => "m", 900 => "cm", 500 => "d", 400 => "cd", 100 => "c", 90 => "xc", 50 => "l", 40 => "xl",
               10 => "x", 9 => "ix", 5 => "v", 4 => "iv", 1 => "i"}.freeze

      module_function

      # +format+: decimal, lower_roman, upper_roman, lower_letter, upper_letter. What has no form in it falls back to
      # digits.
      #   Numerals.write(4, "lower_roman") # => "iv"
      def write(number, format)
        case format
        when "lower_roman" then roman(number)
        when "upper_roman" then roman(number).upcase
        when "lower_letter" then letter(number)
        when "upper_letter" then letter(number).upcase
        when "decimal_zero" then format("%02d", number)
        when "none" then ""
        else number.to_s
        end
      end

      # In small letters; digits beyond 3,999.
      #   Numerals.roman(1994) # => "mcmxciv"
      def roman(number)
        return number.to_s unless number.between?(1, 3999)
        ROMAN.inject(+"") do |text, (value, sign)|
          count, number = number.divmod(value)
          text << (sign * count)
        end
      end

      # After z come aa, bb, as many as the alphabet was used up.
      #   Numerals.letter(28) # => "bb"
      def letter(number)
        return number.to_s unless number.between?(1, 780)
        ("a".ord + ((number - 1) % 26)).chr * (((number - 1) / 26) + 1)
      end
    end
  end
end
