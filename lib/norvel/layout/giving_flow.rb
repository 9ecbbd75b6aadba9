# frozen_string_literal: true

module Norvel
  module Layout
    # A flow as a sheet has it on which lines give way to what stands at places of it: Placements. A paragraph that
    # began on the sheet before keeps its lines there.
    class GivingFlow
      extend Forwardable

      def_delegators :@flow, :between, :framed_alike?, :settings, :rules

      # place: where the sheet begins; begun: the block that stands there as the sheet before has it; pushed:
      # {paragraph id => true} of those that begin a page, since what hangs at them leaves no room for them before
      def initialize(flow, stories, placements, place, begun, pushed)
        @flow, @stories, @placements, @place, @begun, @pushed = flow, stories, placements, place, begun, pushed
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
        return block unless block.is_a?(TextBlock)
        block = @begun if number == @place.block && @place.part != 0 && @begun.is_a?(TextBlock)
        places = @placements.beside.fetch(block.paragraph.id, [])
        pushed = @pushed.key?(block.paragraph.id)
        (places.empty? && !pushed) ? block : @stories.giving_way(block, places, pushed)
      end
    end
  end
end
