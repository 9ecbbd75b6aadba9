# frozen_string_literal: true

module Norvel
  module Styles
    # A tab stop. A value.
    #   place   points from the margin
    #   align   "left", "right", "centred", "decimal" or "bar"; "clear" where one of a level below is taken away
    #   leader  what leads to it, in words ("dots", "a line" …), or nil
    TabStop = Value.define(:place, :align, :leader, align: "left") do
      # Is it set to take one away?
      def clear?
        align == "clear"
      end
    end
  end
end
