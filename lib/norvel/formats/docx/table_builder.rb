# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A table of the document as elements (ISO/IEC 29500-1 17.4). The block fills a cell's element with its blocks.
      class TableBuilder
        RULES = {"exact" => "dxa", "percent" => "pct"}.freeze

        def initialize(part)
          @part = part
        end

        # The w:tbl of a table; the block fills each cell: |element, cell|.
        def build(table, &fill)
          node = @part.create("tbl")
          node.add_child(properties(table))
          grid(node, table)
          @spans = {}
          table.rows.each { |row| row(node, row, &fill) }
          node
        end

        private

        def properties(table)
          node = @part.create("tblPr")
          width = table.width
          set(node, "tblW", "type" => RULES.fetch(width[:rule], "auto"),
            "w" => width[:value] ? measured(width) : 0)
          set(node, "jc", "val" => table.align) unless table.align == "left"
          set(node, "tblInd", "w" => twips(table.indent), "type" => "dxa") unless table.indent.zero?
          set(node, "tblCaption", "val" => table.caption) if table.caption
          set(node, "tblDescription", "val" => table.summary) if table.summary
          node
        end

        def measured(width)
          (width[:rule] == "percent") ? (width[:value] * 50).round : twips(width[:value])
        end

        def grid(node, table)
          holder = node.add_child(@part.create("tblGrid"))
          widths = table.grid.map { |width| twips(width) }
          count = table.rows.map { |row| row.skipped + row.cells.sum(&:columns) }.max || 1
          widths = [0] * count if widths.empty?
          widths.each { |width| holder.add_child(@part.create("gridCol", (width.zero? ? {} : {"w" => width}))) }
        end

        def row(table, row, &fill)
          node = table.add_child(@part.create("tr"))
          properties = @part.create("trPr")
          set(properties, "gridBefore", "val" => row.skipped) if row.skipped.positive?
          set(properties, "cantSplit") unless row.may_split
          set(properties, "trHeight", height(row)) if row.height
          set(properties, "tblHeader") if row.header
          node.add_child(properties) if properties.element_children.any?
          cells(node, row, &fill)
        end

        def height(row)
          {"val" => twips(row.height), "hRule" => (row.height_rule == "exact") ? "exact" : "atLeast"}
        end

        # Cells that continue the one above take as many columns as that.
        def cells(node, row)
          column = row.skipped
          covered = 0
          row.cells.each do |cell|
            next covered -= 1 if covered.positive?
            wide = cell.continued ? (@spans[column] || cell.columns) : cell.columns
            covered = wide - 1 if cell.continued
            made = node.add_child(cell(cell, wide))
            cell.continued ? made.add_child(@part.create("p")) : yield(made, cell.blocks)
            (cell.rows > 1) ? @spans[column] = wide : (@spans.delete(column) unless cell.continued)
            column += wide
          end
        end

        def cell(cell, wide)
          node = @part.create("tc")
          properties = node.add_child(@part.create("tcPr"))
          set(properties, "gridSpan", "val" => wide) if wide > 1
          set(properties, "vMerge", (cell.rows > 1) ? {"val" => "restart"} : {}) if cell.rows > 1 || cell.continued
          borders(properties, cell.borders)
          if cell.shading
            set(properties, "shd", "val" => "clear", "color" => "auto", "fill" => cell.shading.delete("#").upcase)
          end
          set(properties, "vAlign", "val" => cell.vertical_align) unless cell.vertical_align == "top"
          node
        end

        def borders(properties, borders)
          return if borders.empty?
          holder = properties.add_child(@part.create("tcBorders"))
          %i[top left bottom right].each do |side|
            line = borders[side] or next
            colour = (line.color == "auto") ? "auto" : line.color.delete("#").upcase
            set(holder, side.to_s, "val" => "single", "sz" => (line.width * 8).round, "space" => "0",
              "color" => colour)
          end
        end

        def set(node, name, attributes = {})
          node.add_child(@part.create(name, attributes))
        end

        def twips(points)
          Length.whole(points, "twip")
        end
      end
    end
  end
end
