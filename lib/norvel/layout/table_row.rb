# frozen_string_literal: true

module Norvel
  module Layout
    # A row of a table as it is set: its cells with their flows, and how high it must be. Lengths in points.
    class TableRow
      # x: from the table's left edge; rows: how many it spans; margins: {top:, right:, bottom:, left:}
      Cell = Struct.new(:x, :width, :flow, :rows, :margins, :borders, :shading, :vertical_align) do
        # The room above and below a cell's text, in points.
        def edges
          margins[:top] + margins[:bottom]
        end

        # The height that a cell's text needs, in points.
        def natural
          flow.height + edges
        end
      end
      # A cell's part in a slice of a row: a Column, and how far its text stands below the slice's top.
      CellPart = Struct.new(:cell, :column, :down)
      # What of a row stands in a column.
      Slice = Struct.new(:row, :y, :height, :parts)

      attr_reader :cells, :header
      attr_accessor :height

      # told: points, or nil for what its contents need; rule: "exact" or "at_least"
      def initialize(cells, told:, rule:, header:, may_split:)
        @cells, @told, @rule, @header, @may_split = cells, told, rule, header, may_split
        single = cells.select { |cell| cell.rows == 1 }.map(&:natural).max || 0.0
        @height = exact? ? told : [told || 0.0, single, TextBlock::SLACK].max
      end

      # Is it as high as is said, whatever stands in it?
      def exact?
        @rule == "exact" && @told
      end

      # May it go over the end of a page?
      def may_split?
        @may_split && !exact?
      end

      # Is it to stand on one page with the row after it?
      def keeps_with_next?
        cells.first&.flow&.blocks&.last&.keeps_with_next? || false
      end

      # The ids of notes that are called in it.
      def notes
        @notes ||= cells.flat_map { |cell| cell.flow.blocks.flat_map(&:all_notes) }
      end

      # All of it at a height from the column's top.
      def whole(y)
        Slice.new(self, y, height, cells.map { |cell| CellPart.new(cell, cell.flow.whole, down(cell)) })
      end

      # As much of each cell, from its place on, as stands in the room: [Slice, places where the cells go on or nil
      # where all is taken].
      def slice(places, y, room)
        columns = cells.each_with_index.map do |cell, n|
          place = places ? places[n] : Column::Place.new(0, 0)
          place && Column.new(cell.flow, place, [room - cell.edges, 1.0].max, spaced: places.nil?).fill
        end
        left = columns.map { |column| column&.next }
        high = cells.zip(columns).filter_map { |cell, column| column && (column.height + cell.edges) }.max || 0.0
        high = room if left.any? && high < room && room < Column::ENDLESS / 2
        parts = cells.zip(columns).map { |cell, column| CellPart.new(cell, column, cell.margins[:top]) }
        [Slice.new(self, y, high, parts), (left if left.any?)]
      end

      private

      def down(cell)
        spare = [height - cell.natural, 0.0].max
        cell.margins[:top] + {"center" => spare / 2, "bottom" => spare}.fetch(cell.vertical_align, 0.0)
      end
    end
  end
end
