# frozen_string_literal: true

module Norvel
  module Layout
    # A page as it is laid out. Lengths in points from the sheet's top left, y downwards.
    #   page       counted from 1; number: as its section counts; label: as it is printed
    #   section    number of the one whose set-up it has; side: "right" or "left"; opens: is it the section's first?
    #   blank      is it there only so that the next begins on its side?
    #   frame      Frame; bands: [[x, y, Column], …] of text; notes: the Foot, or nil
    #   start      the Column::Place that it begins at; came: what it was begun with (Pages::PageStart)
    #   reserved   room at the foot of its text that no text takes, since something stands there
    #   crossed    what hangs on it and lines do not give way to: Hanging; nil for nothing
    #   ended_by   why it ended, a symbol of Column#reason; asker: the block that asks for it, or nil
    Sheet = Struct.new(:page, :number, :label, :section, :side, :opens, :blank, :frame, :bands, :notes, :start, :came,
      :ended_by, :asker, :reserved, :crossed, keyword_init: true) do
      # The same with other fields.
      def with(**changes)
        self.class.new(**to_h, **changes)
      end

      # Yields every line of text with its place: Placed. Those of notes too, when asked for.
      def each_line(&block)
        return enum_for(:each_line) unless block
        bands.each { |x, y, column| Placing.column(column, x, y, &block) }
      end

      # Its lines, each Placed.
      def lines
        each_line.to_a
      end

      # Lines of notes at its foot.
      def note_lines
        return [] unless notes
        y = notes_top
        notes.entries.flat_map do |_, column|
          found = []
          Placing.column(column, frame.left, y) { |line| found << line }
          y += column.height
          found
        end
      end

      # Where the line over the notes stands.
      def notes_top
        foot - notes.height + Foot::SEPARATOR
      end

      # Paragraphs of the text that have lines on it, in order.
      def paragraphs
        @paragraphs ||= [].tap do |found|
          bands.each do |_, _, column|
            Placing.blocks(column) { |block| found << block.paragraph unless block.beside? }
          end
        end
      end

      # What stands at places of it that lines should give way to.
      def hanging_elsewhere
        found = []
        bands.each { |x, y, column| Placing.hanging(column, x, y) { |one, *| found << one if one.elsewhere? } }
        found
      end

      # Where its text ends at the latest.
      def foot
        frame.bottom - (reserved || 0.0)
      end

      # Room between its text and its notes or its foot.
      def spare
        foot - (notes&.height || 0.0) - reached
      end

      # How far down its text reaches.
      def reached
        bands.map { |_, y, column| y + column.height }.max || frame.top
      end
    end
  end
end
