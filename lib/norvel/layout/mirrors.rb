# frozen_string_literal: true

module Norvel
  module Layout
    # Characters that are turned with their text, and the brackets among them (UAX #9, L4 and BD14 to BD16).
    module Mirrors
      TABLE = UnicodeTable.lines("bidi_mirrors.txt")
        .map { |one, other, kind| [UnicodeTable.character(one), UnicodeTable.character(other), kind] }.freeze
      # {character => its mirror image}
      IMAGES = TABLE.to_h { |one, other, _| [one, other] }.freeze
      # {opening bracket => the one that closes it}; {closing bracket => true}
      OPENING = TABLE.select { |_, _, kind| kind == "o" }.to_h { |one, other, _| [one, other] }.freeze
      CLOSING = TABLE.select { |_, _, kind| kind == "c" }.to_h { |one, _, _| [one, true] }.freeze
    end
  end
end
