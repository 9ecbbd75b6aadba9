# frozen_string_literal: true

module Norvel
  module Layout
    # A flow as a sheet has it on which lines give way to what stands at places of it: Placements. A paragraph that
    # began on the sheet before keeps its lines there.
    class GivingFlow < LateFlow
      # pushed: {paragraph id => true} of those that begin a page, since what hangs at them leaves no room for them
      # before
      def initialize(flow, stories, place, begun, placements:, pushed:)
        super(flow, stories, place, begun)
        @placements, @pushed = placements, pushed
      end

      private

      def set(number)
        block = @flow.blocks[number]
        return block unless block.is_a?(TextBlock)
        block = @begun if begun?(number) && @begun.is_a?(TextBlock)
        places = @placements.beside.fetch(block.paragraph.id, [])
        pushed = @pushed.key?(block.paragraph.id)
        (places.empty? && !pushed) ? block : @stories.giving_way(block, places, pushed)
      end
    end
  end
end
