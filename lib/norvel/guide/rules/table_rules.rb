# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # accessible.table_header, tables.header: the first row of a table names its columns and is marked as such (WCAG
      # 2.2, 1.3.1).
      class TableRules < Family
        SWITCHES = {"accessible.table_header" => %w[accessible table_header_rows],
                    "tables.header" => %w[tables header_row]}.freeze
        RULES = SWITCHES.map { |name, switch| Rule.new(name:, goes_by: :document, stage: :document, switch:) }.freeze
        UNSURE = "it looks as the other rows do: only a person knows whether it names the columns"

        def findings
          asked = SWITCHES.keys.select { |rule| asked?(rule) }
          return [] if asked.empty?
          Survey::HeaderRows.new(@document).unmarked.flat_map do |table, apart|
            asked.map { |rule| found(rule, table, apart) }
          end
        end

        private

        def found(rule, table, apart)
          mend = Mend.new(name: "mark_header_rows", label: "Mark the first row as header", safe: true,
            steps: [[:mark_header_rows, [table.id]]])
          finding(rule, paragraph: first_of(table), message: "The first row of a table is not marked as its header",
            asked: "a header row", found: "none", cause: [table.id], mend: apart ? mend : mend.asking(UNSURE),
            cite: @guide.data.dig(SWITCHES[rule].first, "cite"))
        end

        def first_of(table)
          table.rows.first.cells.flat_map(&:blocks).grep(Document::Paragraph).reject(&:blank?).first
        end
      end
    end
  end
end
