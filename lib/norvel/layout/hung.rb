# frozen_string_literal: true

module Norvel
  module Layout
    # What hangs beside a paragraph from one before it, or from its place of the page. Lengths in points.
    #   taking   [[top and bottom from its first line, what lines lose from the left, and in all], …]
    #   apart    [[top, bottom], …] of what no line stands beside
    #   goes_on  does a paragraph follow that takes over what is left, or is nothing to be left below it?
    #   pushed   does it begin a page for what hangs at it?
    #   turns    [[line from which another column has it, how much narrower], …], nil for none
    Hung = Struct.new(:taking, :apart, :goes_on, :pushed, :turns) do
      # Does it change how the paragraph is set?
      def any?
        taking.any? || apart.any? || pushed || !turns.nil?
      end

      # [[first line, line after the last, from the left, in all], …] of what lines lose to it, and to what hangs at
      # their own paragraph, told as taking is. lead: from one line to the next
      def lines(own, lead)
        beside = (taking + own).map do |top, bottom, *takes|
          gap = gaps_above(bottom, lead)
          [((top - gap) / lead).floor, ((bottom - gap) / lead).ceil, *takes]
        end
        beside + turned.to_a
      end

      # The same of lines that stand in another column; nil for none.
      def turned
        return if turns.nil? || turns.empty?
        ends = turns.drop(1).map(&:first) << Float::INFINITY
        turns.zip(ends).map { |(line, narrower), last| [line, last, 0.0, narrower] }
      end

      private

      # The height of what parts lines above a place.
      def gaps_above(place, lead)
        parting = apart.sort.select { |_, bottom| bottom < place }
        parting.inject(0.0) do |sum, (top, bottom)|
          line = ((top - sum + TextBlock::SLACK) / lead).floor
          [sum, bottom - (line * lead)].max
        end
      end
    end
    Hung::NONE = Hung.new([].freeze, [].freeze).freeze
  end
end
