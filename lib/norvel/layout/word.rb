# frozen_string_literal: true

module Norvel
  module Layout
    # What stands between two spaces, measured in one face; in ems, so that every size of it is known at once.
    #   width     without letter spacing; size: how many characters
    #   pieces    [[size, width, ending], …] where a line may begin inside of it, nil for a word in one piece; ending:
    #             :break, :soft where a hyphen shows only at a line's end, nil at the word's own end
    #   opening   may no line begin before it, or only after some signs? closing: the same after it
    class Word
      SOFT_HYPHEN = "\u00AD"
      SIMPLE = /\A[A-Za-z]+[A-Za-z,.;:]?\z/
      # Classes that reach over the spaces beside them (UAX #14 LB 11, 13 to 17).
      BEFORE = %i[CL CP CW EX IS SY WJ OP OW NS B2].to_h { |name| [name, true] }.freeze
      AFTER = %i[OP OW QU CL CP CW B2].to_h { |name| [name, true] }.freeze

      attr_reader :width, :size, :pieces, :opening, :closing

      def initialize(text, measure)
        @size = text.size
        SIMPLE.match?(text) ? @width = measure.call(text) : analyse(text, measure)
      end

      private

      def analyse(text, measure)
        places = LineBreak.opportunities(text)
        @pieces = cut(text, places, measure).freeze if places.any?
        @width = @pieces ? @pieces.sum { |_, width, _| width } : measure.call(text)
        @opening = BEFORE.key?(LineBreak.of(text[0]))
        @closing = AFTER.key?(LineBreak.of(text[-1]))
      end

      # Characters are taken one after the other: in a long text of any script, to count to a place takes a long way.
      def cut(text, places, measure)
        characters = text.chars
        [0, *places, characters.size].each_cons(2).map do |from, to|
          ending = ((characters[to - 1] == SOFT_HYPHEN) ? :soft : :break) if to < characters.size
          [to - from, measure.call(characters[from...to].join), ending]
        end
      end
    end
  end
end
