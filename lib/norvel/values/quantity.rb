# frozen_string_literal: true

module Norvel
  # Numbers and what they count, in English words.
  module Quantity
    LINKING = / (?:of|with|without|in) /

    module_function

    # With a comma between thousands.
    #   number(28110) # => "28,110"
    def number(count)
      count.to_s.reverse.scan(/\d{1,3}/).join(",").reverse
    end

    #   words(1, "page")               # => "1 page"
    #   words(3, "entry")              # => "3 entries"
    #   words(2, "box of text")        # => "2 boxes of text"
    def words(count, noun)
      "#{number(count)} #{(count == 1) ? noun : plural(noun)}"
    end

    # The plural of a noun, also of one with a word that hangs on it.
    #   Quantity.plural("boundary of parts") # => "boundaries of parts"
    def plural(noun)
      head, link, rest = noun.partition(LINKING)
      "#{several(head)}#{link}#{rest}"
    end

    # The plural of a bare noun.
    #   Quantity.several("box") # => "boxes"
    def several(noun)
      case noun
      when /[^aeiou]y\z/ then noun.sub(/y\z/, "ies")
      when /(?:s|x|ch|sh)\z/ then "#{noun}es"
      else "#{noun}s"
      end
    end
  end
end
