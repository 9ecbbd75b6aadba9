# frozen_string_literal: true

module Norvel
  class Document
    # A cell, with its blocks where they were asked for (Document#blocks).
    #   columns, rows   how many of each it spans
    #   continued       does it only continue the cell above?
    #   width           {rule:, value:} as of a table; margins: {top:, left:, bottom:, right:} of those it sets
    #   borders         {top: Styles::BorderLine, …}; shading: a colour or nil
    #   vertical_align  "top", "center" or "bottom"
    Cell = Value.define(:id, :columns, :rows, :continued, :width, :margins, :borders, :shading, :vertical_align,
      :blocks,
      columns: 1, rows: 1, continued: false, width: {rule: "auto", value: nil}.freeze, margins: {}.freeze,
      borders: {}.freeze,
      vertical_align: "top", blocks: [].freeze)
  end
end
