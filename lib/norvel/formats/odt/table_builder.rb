# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A table of the document as elements (ISO/IEC 26300-1 9.1). The block fills a cell's element with its blocks.
      class TableBuilder
        VERTICAL = {"center" => "middle", "bottom" => "bottom"}.freeze

        def initialize(part, automatic, builder)
          @part = part
          @automatic = automatic
          @builder = builder
        end

        # The table:table of a table; the block fills each cell.
        def build(table, &fill)
          node = @part.create("table:table", "table:name" => "Table#{@builder.next_table}",
            "table:style-name" => style(table))
          give_width(node, table)
          columns(node, table)
          header, rest = table.rows.first(table.header_rows), table.rows.drop(table.header_rows)
          rows(node.add_child(@part.create("table:table-header-rows")), header, &fill) if header.any?
          rows(node, rest, &fill)
          node
        end

        private

        def give_width(node, table)
          {"table:title" => table.caption, "table:desc" => table.summary}.each do |name, text|
            node.add_child(@part.create(name)).content = text if text
          end
        end

        def style(table)
          width = table.width
          @automatic.other("table", {
            "style:width" => (measure(width[:value]) if width[:rule] == "exact"),
            "style:rel-width" => ("#{Length.plain(width[:value])}%" if width[:rule] == "percent"),
            "table:align" => (table.align unless table.align == "left" && table.indent.zero? && width[:rule] == "auto"),
            "fo:margin-left" => (measure(table.indent) unless table.indent.zero?)
          })
        end

        def columns(node, table)
          count = table.rows.map { |row| row.skipped + row.cells.sum(&:columns) }.max || 1
          (0...[count, 1].max).each do |number|
            width = table.grid[number]
            node.add_child(@part.create("table:table-column", "table:style-name" => @automatic.other("table-column",
              {"style:column-width" => (measure(width) if width&.positive?)})))
          end
        end

        def rows(holder, rows, &fill)
          rows.each do |row|
            node = @part.create("table:table-row", "table:style-name" => row_style(row))
            row(holder.add_child(node), row, &fill)
          end
        end

        def row_style(row)
          height = (row.height_rule == "exact") ? "style:row-height" : "style:min-row-height"
          @automatic.other("table-row", {height => (measure(row.height) if row.height),
                                         "fo:keep-together" => ("always" unless row.may_split)})
        end

        def row(node, row, &fill)
          row.skipped.times { empty(node) }
          row.cells.each do |cell|
            if cell.continued
              covered(node, cell.columns)
            else
              yield node.add_child(cell(cell)), cell.blocks
              covered(node, cell.columns - 1)
            end
          end
        end

        def empty(node)
          node.add_child(@part.create("table:table-cell")).add_child(@part.create("text:p"))
        end

        def covered(node, count)
          count.times { node.add_child(@part.create("table:covered-table-cell")) }
        end

        def cell(cell)
          @part.create("table:table-cell", "table:style-name" => cell_style(cell), "office:value-type" => "string",
            "table:number-columns-spanned" => (cell.columns if cell.columns > 1),
            "table:number-rows-spanned" => (cell.rows if cell.rows > 1))
        end

        def cell_style(cell)
          borders = cell.borders.to_h do |side, line|
            ["fo:border-#{side}", "#{measure(line.width)} solid #{Colour.hex(line.color) || "#000000"}"]
          end
          @automatic.other("table-cell", {"fo:background-color" => cell.shading,
                                          "style:vertical-align" => VERTICAL[cell.vertical_align]}
            .merge(borders.slice(*%w[top bottom left right].map { |side| "fo:border-#{side}" })))
        end

        def measure(points)
          Codecs::Measure.text(points)
        end
      end
    end
  end
end
