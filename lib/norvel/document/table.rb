# frozen_string_literal: true

module Norvel
  class Document
    # A table (ISO/IEC 29500-1 17.4; 26300-1 9). Lengths in points. A value.
    #   parent            id of the cell or box it stands in, nil in the text itself
    #   style_id          its table style, may be nil
    #   align, indent     where it stands between the margins: "left", "center", "right"; from the left margin
    #   width             {rule: "auto", "exact" or "percent", value:}
    #   layout            "fixed" when columns keep their widths, "auto" when contents widen them
    #   grid              widths of the columns
    #   caption, summary  its title and description for those who can't see it
    #   rows              Row, in order
    Table = Value.define(:id, :parent, :style_id, :align, :indent, :width, :layout, :grid, :caption, :summary, :rows,
      align: "left", indent: 0.0, width: {rule: "auto", value: nil}.freeze, layout: "auto", grid: [].freeze,
      rows: [].freeze) do
      # Its cells, row by row.
      def cells
        rows.flat_map(&:cells)
      end

      # How many rows from the top are repeated on every page.
      def header_rows
        rows.take_while(&:header).size
      end
    end
  end
end
