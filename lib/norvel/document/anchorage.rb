# frozen_string_literal: true

module Norvel
  class Document
    # Where an image or box stands that is not in a line, and what the text does there (ISO/IEC 29500-1 20.4.2,
    # ISO/IEC 26300-1 20.389 style:wrap). A value.
    #   wrap          "apart": the text goes on below it; "beside": at its sides; "none": as if it were not there
    #   across, down  [what it is measured from, how far in points or "left", "center", "right", "top", "bottom"];
    #                 from "column", "margin", "page"; "paragraph", "margin", "page"
    #   edges         room that the text keeps from it, in points: [left, top, right, bottom]
    Anchorage = Value.define(:wrap, :across, :down, :edges, wrap: "apart", across: ["column", 0.0].freeze,
      down: ["paragraph", 0.0].freeze, edges: ([0.0] * 4).freeze) do
      # A distance that a sheet can have, in points.
      def self.points(number)
        number.finite? ? number.clamp(-14_400.0, 14_400.0) : 0.0 # 200 inches
      end
    end
  end
end
