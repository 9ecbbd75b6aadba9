# frozen_string_literal: true

module Norvel
  module Styles
    # A line along a side of a paragraph or cell. A value.
    #   kind    "single", "double" … (ISO/IEC 29500-1 17.18.2), "none" where one of a level below is taken away
    #   width   in points
    #   color   "#rrggbb", or "auto"
    #   space   points between it and the text
    #   more    what else its format says of it, {name => text}, for writers of that format alone
    BorderLine = Value.define(:kind, :width, :color, :space, :more, width: 0.0, color: "auto", space: 0.0) do
      # What is set to take a line away.
      def self.none
        @none ||= new(kind: "none")
      end

      # Is there nothing to be seen?
      def none?
        %w[none nil].include?(kind)
      end
    end
  end
end
