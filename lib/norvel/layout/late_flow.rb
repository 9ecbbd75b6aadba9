# frozen_string_literal: true

module Norvel
  module Layout
    # A flow whose blocks are set when they come to stand somewhere, by what is so there. Who is one says by set(number)
    # how the block at a place of the flow is set; nil at its end.
    class LateFlow
      extend Forwardable

      def_delegators :@flow, :between, :framed_alike?, :settings, :rules

      # place: where it begins; begun: the block that stands there as what came before has it, where its beginning is
      # there: its lines stay so
      def initialize(flow, stories, place, begun)
        @flow, @stories, @place, @begun = flow, stories, place, begun
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

      # Did the block at a place begin before this does?
      def begun?(number)
        number == @place.block && @place.part != 0
      end
    end
  end
end
