# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The structure of a table without what stands in its cells (ISO/IEC 29500-1 17.4).
      class TableReader
        # The Document::Table, and the elements of the cells with their ids, row by row.
        Skeleton = Struct.new(:value, :cells)
        SIDES = {"top" => :top, "left" => :left, "start" => :left, "bottom" => :bottom, "right" => :right,
                 "end" => :right}.freeze
        RULES = {"dxa" => "exact", "pct" => "percent"}.freeze
        ALIGNMENTS = {"center" => "center", "right" => "right", "end" => "right"}.freeze

        def initialize(part)
          @part = part
        end

        # The block gives the cells of a row: [[element, id], …].
        def table(node, id, parent, style_id)
          properties = @part.child(node, "tblPr")
          rows = row_nodes(node)
          cells = rows.map { |row| yield(row) }
          grid = @part.child(node, "tblGrid")
          value = Document::Table.new(
            id:, parent:, style_id:, grid: grid ? @part.children(grid, "gridCol")
              .map { |column| points(column, "w") || 0.0 }.freeze : [].freeze,
            rows: spanned(rows.zip(cells).map { |row, list| row(row, list) }).freeze, **of_properties(properties)
          )
          Skeleton.new(value, cells)
        end

        # The elements of its rows.
        def row_nodes(node)
          node.element_children.flat_map do |child|
            next [child] if child.name == "tr"
            TextReader::BLOCKS.include?(child.name) ? row_nodes(child) : []
          end
        end

        private

        def of_properties(node)
          return {} unless node
          {
            align: ALIGNMENTS.fetch(value_of(node, "jc"), "left"),
            indent: points(@part.child(node, "tblInd"), "w") || 0.0,
            width: width(@part.child(node, "tblW")), layout: (value_of(node, "tblLayout",
              "type") == "fixed") ? "fixed" : "auto",
            caption: value_of(node, "tblCaption"), summary: value_of(node, "tblDescription")
          }
        end

        def row(node, cells)
          properties = @part.child(node, "trPr")
          height = properties && @part.child(properties, "trHeight")
          Document::Row.new(
            height: height && points(height, "val"),
            height_rule: (height && @part.attr(height, "hRule") == "exact") ? "exact" : "at_least",
            header: flag(properties, "tblHeader"), may_split: !flag(properties, "cantSplit"),
            skipped: properties ? value_of(properties, "gridBefore").to_i : 0,
            cells: cells.map { |cell, id| cell(cell, id) }.freeze
          )
        end

        def cell(node, id)
          properties = @part.child(node, "tcPr") or return Document::Cell.new(id:)
          merge = @part.child(properties, "vMerge")
          Document::Cell.new(
            id:, columns: [value_of(properties, "gridSpan").to_i, 1].max, continued: !merge.nil? &&
              @part.attr(merge, "val") != "restart",
            width: width(@part.child(properties, "tcW")), margins: margins(@part.child(properties, "tcMar")),
            borders: Sections.borders(@part.child(properties, "tcBorders"), @part),
            shading: shading(@part.child(properties, "shd")),
            vertical_align: value_of(properties, "vAlign") || "top"
          )
        end

        # Cells that continue the one above, counted for it: from the last row up, by the column they begin at.
        def spanned(rows)
          below = {}
          rows.reverse.map { |row|
            placed = row.cells.zip(columns(row))
            cells = placed.map { |cell, column|
              (cell.continued || !below[column]) ? cell : cell.with(rows: below[column] + 1)
            }.freeze
            below = placed.to_h { |cell, column| [column, ((below[column] || 0) + 1 if cell.continued)] }
            row.with(cells:)
          }.reverse
        end

        # The column of the grid that each cell begins at.
        def columns(row)
          row.cells.inject([row.skipped]) { |found, cell| found << (found.last + cell.columns) }
        end

        def width(node)
          rule = node && RULES[@part.attr(node, "type") || "dxa"]
          return {rule: "auto", value: nil} unless rule
          text = @part.attr(node, "w").to_s
          return {rule: "percent", value: text.to_f} if text.end_with?("%")
          {rule:, value: (rule == "percent") ? text.to_f / 50 : points(node, "w")}
        end

        def margins(node)
          return {} unless node
          node.element_children.filter_map { |side| SIDES[side.name] && [SIDES[side.name], points(side, "w") || 0.0] }
            .to_h
        end

        def shading(node)
          fill = node && @part.attr(node, "fill")
          (fill && fill != "auto") ? Colour.hex("##{fill}") : nil
        end

        def flag(node, name)
          child = node && @part.child(node, name)
          child ? @part.on?(child) : false
        end

        def value_of(node, name, attribute = "val")
          child = @part.child(node, name)
          child && @part.attr(child, attribute)
        end

        def points(node, name)
          text = node && @part.attr(node, name)
          text && @part.length(text, "twip")
        end
      end
    end
  end
end
