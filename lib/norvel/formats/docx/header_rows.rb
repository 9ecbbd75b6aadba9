# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Marks rows that are headers now: w:tblHeader (ISO/IEC 29500-1 17.4.78).
      class HeaderRows
        # nodes: the elements of tables, by id less one
        def initialize(part, nodes)
          @part = part
          @nodes = nodes
        end

        # Returns whether a row was marked.
        def write(before, after)
          before.zip(after).flat_map { |was, now| marked(was, now) }.any?
        end

        private

        def marked(was, now)
          return [] if now.nil? || was.equal?(now)
          rows = TableReader.new(@part).row_nodes(@nodes[was.id - 1])
          fresh = was.rows.zip(now.rows).each_index.select { |place| !was.rows[place].header && now.rows[place].header }
          fresh.each { |place| @part.place(@part.place(rows[place], "trPr"), "tblHeader") }
        end
      end
    end
  end
end
