# frozen_string_literal: true

module Norvel
  class Document
    # The paragraphs of a story as the structure they stand in: paragraphs and tables in order, each cell with its own
    # blocks. Paragraphs name their container (a cell or box); tables and boxes name the one they stand in themselves.
    class Blocks
      # The blocks of a story itself.
      def self.of(paragraphs, tables)
        new(paragraphs, tables).in(nil)
      end

      def initialize(paragraphs, tables)
        @tables = tables.flat_map { |table| table.cells.map { |cell| [cell.id, table] } }.to_h
        @boxes = paragraphs.flat_map(&:boxes).to_h { |box| [box.id, box] }
        @lists = Hash.new { |lists, container| lists[container] = [] }
        @placed = {}
        paragraphs.each { |paragraph| put(paragraph) }
      end

      # Those in a container: nil for the story itself, the id of a cell or box.
      def in(container)
        @lists.fetch(container, []).map { |block| block.is_a?(Table) ? filled(block) : block }.freeze
      end

      private

      def put(paragraph)
        place(@tables[paragraph.container])
        @lists[known(paragraph.container)] << paragraph
      end

      # What stands in a box that no paragraph holds (it hangs on a page) stands where it was read.
      def known(container)
        container if @tables.key?(container) || @boxes.key?(container)
      end

      # A table stands where its first paragraph does.
      def place(table)
        return if table.nil? || @placed[table.id]
        @placed[table.id] = true
        place(@tables[table.parent])
        @lists[table.parent] << table
      end

      def filled(table)
        table.with(rows: table.rows.map { |row|
          row.with(cells: row.cells
            .map { |cell| cell.with(blocks: self.in(cell.id)) }.freeze)
        }.freeze)
      end
    end
  end
end
