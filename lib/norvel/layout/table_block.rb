# frozen_string_literal: true

module Norvel
  module Layout
    # A table in rows, wherever they come to stand on pages.
    class TableBlock
      # Where it goes on in a column: at a row, or within it, each cell at a place (nil for one that is all taken).
      RowPlace = Struct.new(:row, :cells)
      Taken = Struct.new(:to, :height, :reason, :rows)

      # A table asks for no space around it.
      LOOK = {space_before: 0.0, space_after: 0.0, contextual_spacing: false}.freeze
      MOST_HEAD = 0.5 # of a column that repeated rows may take

      attr_reader :table, :rows, :x, :width, :section

      def initialize(table, rows, x:, width:, section:)
        @table, @rows, @x, @width, @section = table, rows, x, width, section
        spread
        @heads = rows.take_while(&:header).size
        @heads = 0 if @heads == rows.size
      end

      # That of a paragraph that says nothing.
      def look
        LOOK
      end

      # None: a table is in no paragraph style.
      def style_id
      end

      # In points.
      def space_before
        0.0
      end
      alias_method :space_after, :space_before

      # How many rows it has.
      def count
        rows.size
      end

      # What tells whether another block shows the same rows.
      def key
        [table.id, count, height.round(2)]
      end

      # Of all its rows, in points.
      def height(*)
        @height ||= rows.sum(&:height)
      end

      # The space between it and an edge of the page, in points.
      def edge(_side)
        0.0
      end

      # Does its last row stay with what follows?
      def keeps_with_next?
        rows.last&.keeps_with_next?
      end

      # Does what follows it begin a page?
      def break_after?
        false
      end

      # Does it begin a page?
      def break_before?
        first = rows.first&.cells&.first&.flow&.blocks&.first
        first ? first.break_before? : false
      end

      # None: its slices say themselves what goes on.
      def tail(_from, _to)
      end

      # The ids of all notes that are called in it.
      def all_notes
        @all_notes ||= rows.flat_map(&:notes)
      end

      # Those called in rows from a part to before another.
      def notes(from, to)
        first = (from == 0) ? 0 : from.row
        last = if to.is_a?(RowPlace)
          to.row - (to.cells ? 0 : 1)
        else
          count - 1
        end
        first += 1 if from != 0 && from.cells
        (first..last).flat_map { |row| rows[row].notes }
      end

      # What fits the room in points of it, from a part on: as of a TextBlock.
      def take(part, room, fresh, foot)
        row, places = (part == 0) ? [0, nil] : [part.row, part.cells]
        slices = repeated(row, room)
        repeats = slices.size
        high = slices.sum(&:height)
        while row < count
          current = rows[row]
          left = room - high
          if places.nil? && current.height + (foot ? foot.need(current.notes) : 0.0) <= left + TextBlock::SLACK
            slices << current.whole(high)
          else
            alone = fresh && slices.size == repeats
            slice, places = divide(current, places, high, left, alone)
            return broken(part, row, slices, repeats, fresh) unless slice
            slices << slice
            return Taken.new(RowPlace.new(row, places), high + slice.height, :full, slices) if places
          end
          high += slices.last.height
          row += 1
          places = nil
        end
        Taken.new(count, high, nil, slices)
      end

      private

      # Cells that span rows make the last of them as high as they need.
      def spread
        rows.each_with_index do |row, number|
          row.cells.each do |cell|
            next if cell.rows == 1
            spanned = rows[number, cell.rows]
            short = cell.natural - spanned.sum(&:height)
            spanned.last.height += short if short.positive? && !spanned.last.exact?
          end
        end
      end

      # The rows that stand at the head of every page.
      def repeated(row, room)
        return [] if @heads.zero? || row < @heads || rows.first(@heads).sum(&:height) > room * MOST_HEAD
        y = 0.0
        rows.first(@heads).map { |head| head.whole(y).tap { |slice| y += slice.height } }
      end

      # [a part of the row, where it goes on]; nothing where it is to stay whole and can.
      def divide(row, places, y, room, alone)
        return [row.whole(y), nil] if alone && row.exact?
        return unless alone || places || row.may_split?
        slice, left = row.slice(places, y, room)
        begun = slice.parts.any? { |part| part.column&.pieces&.any? }
        [slice, left] if alone || (begun && slice.height <= room + TextBlock::SLACK)
      end

      # It ends before a row; rows that keep with it go along, unless that would be all. A head alone does not stand.
      def broken(part, row, slices, repeats, fresh)
        first = (part == 0) ? 0 : part.row
        least = (part == 0) ? @heads : first
        kept = row
        kept -= 1 while kept > least && rows[kept - 1].keeps_with_next?
        kept = row if kept <= least && rows[least - 1]&.keeps_with_next? && fresh
        return Taken.new(part, 0.0, :full, []) if kept <= least && !(fresh && row > first)
        kept = row if kept <= least
        slices = slices.first(repeats + kept - first)
        Taken.new(RowPlace.new(kept, nil), slices.sum(&:height), (kept == row) ? :full : :keep_with_next, slices)
      end
    end
  end
end
