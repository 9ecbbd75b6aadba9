# frozen_string_literal: true

module Norvel
  module Layout
    # Blocks set for a measure, one after the other: a story, a cell, a note.
    class Flow
      attr_reader :blocks, :rules, :settings

      def initialize(blocks, rules, settings)
        @blocks = blocks
        @rules = rules
        @settings = settings
      end

      # The space between two neighbours, by the rules of the format.
      def between(above, below)
        return 0.0 if above.nil?
        @rules.space_between(above.look, below.look, same_style: above.style_id == below.style_id, settings: @settings)
      end

      # The line around both is one where it is the same.
      def framed_alike?(above, below)
        above && (lines = above.look[:borders]) && below.look[:borders] == lines &&
          above.look[:indent_left] == below.look[:indent_left] && above.look[:indent_right] == below.look[:indent_right]
      end

      # All of it in one column.
      def whole
        @whole ||= Column.new(self, Column::Place.new(0, 0), Column::ENDLESS, spaced: true).fill.done
      end

      # From its first line to the space after its last block, in points.
      def height
        whole.height + (blocks.empty? ? 0.0 : blocks.last.space_after)
      end
    end
  end
end
