# frozen_string_literal: true

module Norvel
  class Document
    # A box with text of its own, anchored in a line (ISO/IEC 29500-1 20.4.2.37 txbxContent). Its paragraphs stand in
    # the reading order after the one that holds it. A value.
    #   id      that its paragraphs name as their container
    #   anchorage  as an Image has it
    #   shape   Shape that is drawn around it, nil for none
    #   parent  id of the cell or box that the anchor stands in, or nil
    TextBox = Value.define(:id, :parent, :width, :height, :floating, :anchorage, :shape, floating: true) do
      # What it counts as in an Inventory.
      def kind
        :box
      end

      # What tells it from others of its kind in an Inventory.
      def key
        "box"
      end
    end
  end
end
