# frozen_string_literal: true

module Norvel
  module Layout
    # Where the columns of a table stand (ISO/IEC 29500-1 17.4.48, 17.4.16): as wide as its grid says, all alike where
    # it says nothing. Lengths in points.
    class TableColumns
      attr_reader :x, :width

      def initialize(table, measure)
        @widths = widths(table, measure)
        @edges = @widths.inject([0.0]) { |edges, width| edges << (edges.last + width) }
        @width = @edges.last
        @x = {"center" => (measure - @width) / 2, "right" => measure - @width}.fetch(table.align, table.indent)
      end

      # [x, width] of a cell that begins at a column and takes so many.
      def cell(column, count)
        from, to = [column, column + count].map { |edge| @edges[[edge, @edges.size - 1].min] }
        [from, [to - from, LineBreaker::LEAST].max]
      end

      private

      def widths(table, measure)
        count = table.rows.map { |row| row.skipped + row.cells.sum(&:columns) }.max || 0
        grid = table.grid.first(count)
        told = given_width(table, measure)
        if grid.size < count || grid.any? { |width| width.nil? || width <= 0 }
          return [[(told || measure) / [count, 1].max, LineBreaker::LEAST].max] * count
        end
        return grid unless table.width[:rule] == "percent" && told && grid.sum.positive?
        grid.map { |width| width * told / grid.sum }
      end

      def given_width(table, measure)
        value = table.width[:value] or return
        case table.width[:rule]
        when "percent" then measure * value.clamp(1, 100) / 100
        when "exact" then value if value.positive?
        end
      end
    end
  end
end
