# frozen_string_literal: true

module Norvel
  module Edits
    # Marks the first row of tables as the one that names their columns: it is read out with each cell, and printed
    # again where a table goes over pages.
    class MarkHeaderRows < Edit
      # ids: of tables
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        meant = @ids.to_h { |id| [id, true] }
        document.with(tables: document.tables.map { |table| meant[table.id] ? marked(table) : table }.freeze)
      end

      def title(_document)
        "Mark the first row of #{count(@ids.size, "table")} as header"
      end

      private

      def marked(table)
        first, *rest = table.rows
        return table if first.nil? || first.header
        table.with(rows: [first.with(header: true), *rest].freeze)
      end
    end
  end
end
