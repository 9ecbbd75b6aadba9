# frozen_string_literal: true

module Norvel
  # What may stand in a text that goes into a file: XML 1.0, 2.2 (the production Char). What a person types or pastes is
  # made so at the door.
  module Characters
    SPACES = /[\v\f\u0085\u2028\u2029]/
    FORBIDDEN = /[^\u0009\u000A\u000D\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/
    SIGNS = /[\uFFF9\uFFFA\uFFFC]/

    module_function

    # The text with a space for separators that XML or people do not know, and without what XML forbids.
    #   Characters.legal("Low\vwater\u0000") # => "Low water"
    def legal(text)
      text.scrub("").gsub(SPACES, " ").gsub(FORBIDDEN, "")
    end

    # The same with line breaks left as they are, without signs that the model has.
    def legal_with_breaks(text)
      text.split("\n", -1).map { |line| typed(line) }.join("\n")
    end

    # The same without the signs that stand for images, notes and fields in the model (Document::Run).
    def typed(text)
      legal(text).gsub(SIGNS, "")
    end
  end
end
