# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Puts the first row of tables among their header rows (ISO/IEC 26300-1 9.1.5).
      class HeaderRows
        # nodes: the elements of tables, by id less one
        def initialize(part, nodes)
          @part = part
          @nodes = nodes
        end

        # Returns whether a row was put there.
        def write(before, after)
          fresh = before.zip(after).select { |was, now| now && was.header_rows.zero? && now.header_rows.positive? }
          fresh.each { |was, now| headed(@nodes[was.id - 1], now.header_rows) }.any?
        end

        private

        def headed(table, count)
          rows = TableReader.new(@part, nil).rows(table).first(count).map(&:first)
          group = rows.first.parent
          holder = @part.create("table:table-header-rows")
          (@part.is?(group, "table:table-rows") ? group : rows.first).add_previous_sibling(holder)
          rows.each { |row| holder.add_child(row) }
        end
      end
    end
  end
end
