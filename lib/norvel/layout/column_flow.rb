# frozen_string_literal: true

module Norvel
  module Layout
    # A flow as a column of a measure has it that others of its section have not: its blocks are set for the measure
    # when they come to stand in it. A paragraph that began in the column before keeps its lines there.
    class ColumnFlow
      extend Forwardable

      def_delegators :@flow, :between, :framed_alike?, :settings, :rules

      # place: where the column begins; begun: the block that stands there as the column before has it, where its
      # beginning is there
      def initialize(flow, stories, section, measure, place, begun)
        @flow, @stories, @section, @measure, @place, @begun = flow, stories, section, measure, place, begun
        @set = {}
      end

      # By their places in the flow, as a Flow has them in an array.
      def blocks
        self
      end

      # The block at a place of the flow, nil at its end.
      def [](number)
        @set.fetch(number) { @set[number] = set(number) }
      end

      private

      def set(number)
        block = @flow.blocks[number]
        return block if block.nil? || block.section != @section
        return @stories.set_for(block, @measure) unless number == @place.block && @place.part != 0
        @begun.is_a?(TextBlock) ? @stories.turned(@begun, @place.part, @measure) : @begun
      end
    end
  end
end
