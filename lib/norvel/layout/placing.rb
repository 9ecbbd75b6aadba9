# frozen_string_literal: true

module Norvel
  module Layout
    # A line where it stands: its block, its number in it from 0, the left edge of the block's measure, the line's top;
    # points.
    Placed = Struct.new(:block, :line, :x, :top) do
      # In points from the top of the sheet.
      def baseline
        top + block.baseline(line)
      end

      # Of the line, in points.
      def height
        block.height(line, line + 1)
      end

      # From the sheet's left edge to its first letter, and from there to its last.
      def left
        set.left + x
      end

      # Of what is set in the line, in points.
      def width
        set.width
      end

      # The words of the line.
      def text
        set.text
      end

      # Spans with their places from the sheet's left edge.
      def spans
        set.spans.map { |span| span.at(span.x + x) }
      end

      private

      def set
        @set ||= SetLine.new(block, line)
      end
    end

    # Walks what stands in columns.
    module Placing
      module_function

      # Yields the blocks of text that have lines in a column, in order.
      def blocks(column, &block)
        column.pieces.each do |piece|
          next cells(piece) { |part| blocks(part.column, &block) } if piece.detail
          piece.block.floats.each { |one| blocks(one.inside, &block) if one.inside } if piece.from.zero?
          piece.block.boxes_in(piece.from...piece.to).each { |one| blocks(one.inside, &block) }
          yield piece.block
        end
      end

      # Yields a Placed for each line of a column whose left top is at x, y.
      def column(column, x, y, &block)
        column.pieces.each do |piece|
          piece.detail ? table(piece, x, y + piece.y, &block) : text(piece, x, y + piece.y, &block)
        end
      end

      # The words of the line.
      def text(piece, x, y)
        block = piece.block
        floats(block, x, y) { |line| yield line } if piece.from.zero?
        (piece.from...piece.to).each do |line|
          placed = Placed.new(block, line, x, y)
          yield placed
          boxes(placed) { |one| yield one } if block.boxes_in(line..line).any?
          y += block.height(line, line + 1)
        end
      end

      # What stands in boxes of a line.
      def boxes(placed, &each)
        placed.spans.each do |span|
          inside = span.object&.inside or next
          column(inside, span.x + TextSetting::BOX_EDGE, placed.baseline - span.object.height, &each)
        end
      end

      # What stands in boxes that hang at a paragraph.
      def floats(block, x, y, &each)
        places(block, x, y) do |one, left, top|
          column(one.inside, left + TextSetting::BOX_EDGE, top, &each) if one.inside
        end
      end

      # Yields what hangs at a block whose left top is at x, y: Hanging, and its own left and top.
      def places(block, x, y)
        lines = y + block.floats.sum(&:above)
        block.floats.each do |one|
          yield one, *one.place(x, y, lines)
          y += one.above
        end
      end

      # Yields what hangs at the paragraphs of a column, those in cells too, with its place and its paragraph:
      # Hanging, x, y, Paragraph.
      def hanging(column, x, y, &each)
        column.pieces.each do |piece|
          down = y + piece.y
          next in_cells(piece, x, down) { |*cell| hanging(*cell, &each) } if piece.detail
          next unless piece.from.zero?
          places(piece.block, x, down) { |one, left, top| each.call(one, left, top, piece.block.paragraph) }
        end
      end

      # Yields what of each cell stands here, with the slice of its row.
      def cells(piece)
        piece.detail.each do |slice|
          slice.parts.each { |part| yield part, slice if part.column }
        end
      end

      # Yields each Placed line of a piece of a table at its place.
      def table(piece, x, y, &block)
        in_cells(piece, x, y) { |*cell| column(*cell, &block) }
      end

      # Yields the column of each cell with the place of its left top.
      def in_cells(piece, x, y)
        cells(piece) do |part, slice|
          cell = part.cell
          yield part.column, x + piece.block.x + cell.x + cell.margins[:left], y + slice.y + part.down
        end
      end
    end
  end
end
