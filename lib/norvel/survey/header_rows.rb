# frozen_string_literal: true

module Norvel
  module Survey
    # Tables of several rows whose first row names the columns and is not marked as such.
    class HeaderRows
      APART = %i[bold italic small_caps caps size color].freeze

      def initialize(document)
        @document = document
      end

      # [[Document::Table, is its first row set apart from the others by its look?], …] of those that have words in
      # every cell of the first row, none of it spanning rows.
      def unmarked
        @document.blocks.grep(Document::Table).filter_map do |table|
          next if table.rows.size < 2 || table.header_rows.positive? || !names?(table.rows.first)
          [table, apart?(table)]
        end
      end

      private

      # Cells of two columns or more, each with a few words.
      def names?(row)
        row.cells.size > 1 && row.cells.all? do |cell|
          words = texts(cell)
          cell.rows == 1 && !cell.continued && words.any? && words.sum(&:word_count) <= 12
        end
      end

      def texts(cell)
        cell.blocks.grep(Document::Paragraph).reject(&:blank?)
      end

      def apart?(table)
        first, *rest = table.rows
        return true if first.cells.all?(&:shading) && rest.flat_map(&:cells).none? { |one| shaded_as?(one, first) }
        heads = looks(first).uniq
        heads.one? && rest.flat_map { |row| looks(row) }.none? { |look| look == heads.first }
      end

      def shaded_as?(cell, row)
        row.cells.any? { |one| one.shading == cell.shading }
      end

      def looks(row)
        row.cells.flat_map { |cell| texts(cell) }.map { |one| APART.map { |name| @document.letter_look(one)[name] } }
      end
    end
  end
end
