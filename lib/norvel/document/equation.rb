# frozen_string_literal: true

module Norvel
  class Document
    # Mathematics that stands between runs (ISO/IEC 29500-1 22.1).
    #   text     its letters in a row; display: does it have a line of its own?
    #   formula  its structure, as the source of a Mathml::Node; nil where there is none
    #   align    how one with a line of its own stands in it: "left", "center", "right"
    Equation = Value.define(:text, :display, :formula, :align, display: false, align: "center") do
      # What it counts as in an Inventory.
      def kind
        :equation
      end

      # What tells it from others of its kind in an Inventory.
      def key
        text
      end
    end
  end
end
