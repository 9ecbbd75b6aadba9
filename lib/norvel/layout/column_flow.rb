# frozen_string_literal: true

module Norvel
  module Layout
    # A flow as a column of a measure has it that others of its section have not: its blocks are set for the measure
    # when they come to stand in it. A paragraph that began in the column before keeps its lines there.
    class ColumnFlow < LateFlow
      def initialize(flow, stories, place, begun, section:, measure:)
        super(flow, stories, place, begun)
        @section, @measure = section, measure
      end

      private

      def set(number)
        block = @flow.blocks[number]
        return block if block.nil? || block.section != @section
        return @stories.set_for(block, @measure) unless begun?(number)
        @begun.is_a?(TextBlock) ? @stories.turned(@begun, @place.part, @measure) : @begun
      end
    end
  end
end
