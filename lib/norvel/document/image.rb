# frozen_string_literal: true

module Norvel
  class Document
    # An image, chart, shape or embedded object in the line or at an anchor (ISO/IEC 29500-1 20.4). A value.
    #   id             its ordinal in its story, from 1
    #   description    what is announced instead of it (20.4.2.5 descr), nil for none
    #   decorative     is it marked as not worth announcing?
    #   path           of its bytes in the package, nil when it is no image or lies outside
    #   width, height  in points, nil where the file does not say
    #   floating       does it stand at an anchor instead of in the line?
    #   anchorage      Anchorage of one at an anchor, nil where the file does not say
    #   crop           what is cut off at the left, top, right and bottom, as parts of the whole from 0 to 1; nil for
    #                  nothing
    #   turn           degrees that it is turned by, clockwise
    #   shape          Shape that is drawn where there is no image, nil for none
    #   formula        its structure where it is mathematics, as the source of a Mathml::Node; nil for images
    Image = Value.define(:id, :description, :decorative, :path, :width, :height, :floating, :anchorage, :crop, :turn,
      :formula, :shape, decorative: false, floating: false, turn: 0.0) do
      # What it counts as in an Inventory.
      def kind
        :image
      end

      # As an Equation says: mathematics in a frame stands in its line.
      def display
        false
      end

      # What tells it from others of its kind in an Inventory.
      def key
        path || "drawn"
      end

      # Is all of it shown, upright?
      def whole?
        crop.nil? && turn.zero?
      end

      # Where the whole image stands of which a box shows a part: [x, y, width, height] of a box.
      def whole_in(x, y, width, height)
        return [x, y, width, height] unless crop
        left, top, right, bottom = crop
        wide, tall = width / (1 - left - right), height / (1 - top - bottom)
        [x - (left * wide), y - (top * tall), wide, tall]
      end

      # Does assistive technology have nothing to say of it?
      def mute?
        description.nil? && !decorative && formula.nil?
      end
    end
  end
end
