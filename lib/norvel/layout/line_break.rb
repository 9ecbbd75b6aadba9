# frozen_string_literal: true

module Norvel
  module Layout
    # Where a line may begin anew: the Unicode Line Breaking Algorithm (UAX #14, Unicode 15.0) with the tailored rule
    # for numbers of its section 8.2, example 7. A class of the algorithm is a symbol: :AL, :BA, :SP …
    module LineBreak
      CLASSES = UnicodeTable.classes("line_break_classes.txt", others: :AL)
      HANGUL = 0xAC00

      # What a number is made of (LB25 as tailored): no line begins inside of it.
      NUMBER = /[$%]?[(-]?0(?:[0,\/])*[})]?[$%]?/
      SIGNS = {PR: "$", PO: "%", OP: "(", OW: "(", HY: "-", NU: "0", IS: ",", SY: "/", CL: "}", CP: ")", CW: ")"}.freeze

      FORCED = %i[BK CR LF NL].freeze
      LETTERS = %i[AL HL].freeze
      IDEOGRAPHIC = %i[ID IX EB EM].freeze
      KOREAN = %i[JL JV JT H2 H3].freeze
      # Classes that no break stands before, even after spaces (LB 13), or directly (LB 21, 22).
      CLINGING = %i[CL CP CW EX IS SY].freeze
      TRAILING = %i[BA HY NS].freeze
      # Pairs that stay together (LB 21b, 22 to 24, 26 to 30b), each side a list of classes.
      TOGETHER = [
        [%i[SY], %i[HL]], [LETTERS, %i[NU]], [%i[NU], LETTERS], [%i[PR], IDEOGRAPHIC], [IDEOGRAPHIC, %i[PO]],
        [%i[PR PO], LETTERS], [LETTERS, %i[PR PO]], [%i[JL], %i[JL JV H2 H3]], [%i[JV H2], %i[JV JT]],
        [%i[JT H3], %i[JT]], [KOREAN, %i[PO]], [%i[PR], KOREAN], [LETTERS, LETTERS], [%i[IS], LETTERS],
        [LETTERS + %i[NU], %i[OP]], [%i[CP], LETTERS + %i[NU]], [%i[EB IX], %i[EM]]
      ].flat_map { |left, right| left.product(right) }.to_h { |pair| [pair, true] }.freeze

      # Classes that are judged by more than their neighbour.
      BY_MORE = [*FORCED, :SP, :ZW, :CM, :ZWJ, :RI, :HY, :BA].to_h { |name| [name, true] }.freeze

      @known = {}
      @pairs = {}

      module_function

      # The class of a character.
      #   LineBreak.of("-") # => :HY
      def of(character)
        @known[character] ||= look_up(character.ord)
      end

      # Places in a text, from 1 to its last character, where a line may begin.
      #   LineBreak.opportunities("and/or so") # => [4, 7]
      def opportunities(text)
        classes = text.each_char.map { |character| of(character) }
        seen = combined(classes)
        inside = inside_numbers(seen)
        (1...classes.size).select { |place| !inside[place] && break?(classes, seen, place) }
      end

      # Does a line not begin between two words that spaces part?
      #   LineBreak.clings?("it", "!") # => true
      def clings?(left, right)
        held_over_spaces?(of(left[-1]), of(right[0]))
      end

      def look_up(code)
        name = CLASSES[code]
        return name unless name == :H
        ((code - HANGUL) % 28).zero? ? :H2 : :H3
      end
      private_class_method :look_up

      # Marks take the class of what they stand on, and are letters where they stand on nothing (LB 9, 10).
      def combined(classes)
        base = nil
        classes.map do |name|
          if %i[CM ZWJ].include?(name)
            base ||= :AL
          else
            name = :SECOND_RI if name == :RI && base == :RI # letters of flags go in pairs (LB 30a)
            base = (FORCED.include?(name) || %i[SP ZW].include?(name)) ? nil : name
            name
          end
        end
      end
      private_class_method :combined

      def inside_numbers(seen)
        return {} unless seen.include?(:NU)
        signs = seen.map { |name| SIGNS.fetch(name, ".") }.join
        inside = {}
        place = 0
        while (found = NUMBER.match(signs, place))
          from, to = found.offset(0)
          ((from + 1)...to).each { |within| inside[within] = true }
          place = [to - 1, from + 1].max # the sign after a number may stand before the next
        end
        inside
      end
      private_class_method :inside_numbers

      def break?(classes, seen, place)
        before, after = classes[place - 1], classes[place]
        return by_pair?(before, after) unless BY_MORE.key?(before) || BY_MORE.key?(after)
        return before != :CR || after != :LF if FORCED.include?(before)
        return false if FORCED.include?(after) || %i[SP ZW].include?(after)
        spaced = before == :SP
        last = spaced ? before_spaces(seen, place) : seen[place - 1]
        return true if last == :ZW
        return false if before == :ZWJ
        return false if %i[CM ZWJ].include?(after) && !spaced
        return !held_over_spaces?(last, seen[place]) if spaced
        !together?(seen, place)
      end
      private_class_method :break?

      def before_spaces(seen, place)
        place -= 1 while place.positive? && seen[place - 1] == :SP
        place.positive? ? seen[place - 1] : nil
      end
      private_class_method :before_spaces

      # LB 11, 13 to 17: what no spaces part.
      def held_over_spaces?(left, right)
        return true if right == :WJ || CLINGING.include?(right) || %i[OP OW].include?(left)
        (left == :QU && %i[OP OW].include?(right)) || (%i[CL CP CW].include?(left) && right == :NS) ||
          (left == :B2 && right == :B2)
      end
      private_class_method :held_over_spaces?

      # Where two classes alone decide, they do so once.
      def by_pair?(before, after)
        known = @pairs[before] ||= {}
        known.fetch(after) { known[after] = !together?([before, after], 1) }
      end
      private_class_method :by_pair?

      # LB 11 to 30b, of neighbours.
      def together?(seen, place)
        left, right = seen[place - 1], seen[place]
        return true if left == :WJ || left == :GL || held_over_spaces?(left, right)
        return !%i[BA HY].include?(left) if right == :GL
        return true if left == :QU || right == :QU
        return false if left == :CB || right == :CB
        return true if left == :BB || TRAILING.include?(right) || right == :IN
        return true if %i[HY BA].include?(left) && place > 1 && seen[place - 2] == :HL
        return true if left == :RI && right == :SECOND_RI
        TOGETHER.key?([left, right])
      end
      private_class_method :together?
    end
  end
end
