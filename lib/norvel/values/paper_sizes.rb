# frozen_string_literal: true

module Norvel
  # The sheets people name: ISO 216:2007, ISO 269 and ANSI/ASME Y14.1. In points, the shorter side first.
  module PaperSizes
    MILLIMETRES = {
      "A3" => [297, 420], "A4" => [210, 297], "A5" => [148, 210], "B5" => [176, 250], "Letter" => [215.9, 279.4],
      "Legal" => [215.9, 355.6]
    }.freeze
    ALL = MILLIMETRES.transform_values { |sides| sides.map { |mm| Length.points(mm.to_r, "mm") }.freeze }.freeze

    module_function

    # [width, height] of an upright sheet. Raises KeyError.
    def [](name)
      ALL.fetch(name)
    end

    # The name of a sheet, upright or not, within +slack+ points; nil when it has none.
    def name_of(width, height, slack)
      sides = [width, height].minmax
      ALL.find { |_, size| size.zip(sides).all? { |one, other| (one - other).abs <= slack } }&.first
    end
  end
end
