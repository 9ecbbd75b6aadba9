# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # accessible.table_header, tables.header: the first row of a table names its columns and is marked as such (WCAG
      # 2.2, 1.3.1). tables.align: where tables stand between the margins; tables.borders: how they are ruled. The text
      # of tables is judged as a role (RoleRules).
      class TableRules < Family
        SWITCHES = {"accessible.table_header" => %w[accessible table_header_rows],
                    "tables.header" => %w[tables header_row]}.freeze
        RULES = [*SWITCHES.map { |name, switch| Rule.new(name:, goes_by: :document, stage: :document, switch:) },
          Rule.new(name: "tables.align", goes_by: :document, stage: :document),
          Rule.new(name: "tables.borders", goes_by: :document, stage: :document)].freeze
        UNSURE = "it looks as the other rows do: only a person knows whether it names the columns"
        RULED = {"none" => "no rules", "horizontal" => "horizontal rules", "all" => "rules on all sides"}.freeze

        def self.asked(guide, _roles)
          super + %w[align borders].select { |key| guide.data.dig("tables", key) }.map { |key| "tables.#{key}" }
        end

        # Rules of tables that their styles draw: {rule's name => why}
        def self.untold(guide, document, _roles)
          return {} unless guide.data.dig("tables", "borders")
          styled = document.tables.count { |table| ruling(table).nil? }
          styled.zero? ? {} : {"tables.borders" => "#{Quantity.words(styled, "table")} may be ruled by a table style"}
        end

        # How a table is ruled by what its cells set: a key of RULED; nil where its style may say.
        def self.ruling(table)
          sides = table.cells.map { |cell| cell.borders.reject { |_, line| line.none? }.keys }
          return (table.style_id ? nil : "none") if sides.all?(&:empty?)
          (sides.flatten.uniq - %i[top bottom]).empty? ? "horizontal" : "all"
        end

        def findings
          headers + tables("align", ->(table) { table.align }) { |word| word } +
            tables("borders", self.class.method(:ruling)) { |word| RULED.fetch(word) }
        end

        private

        def headers
          asked = SWITCHES.keys.select { |rule| asked?(rule) }
          return [] if asked.empty?
          Survey::HeaderRows.new(@document).unmarked.flat_map do |table, apart|
            asked.map { |rule| header(rule, table, apart) }
          end
        end

        def header(rule, table, apart)
          mend = Mend.new(name: "mark_header_rows", label: "Mark the first row as header", safe: true,
            steps: [[:mark_header_rows, [table.id]]])
          finding(rule, paragraph: first_of(table), message: "The first row of a table is not marked as its header",
            asked: "a header row", found: "none", cause: [table.id], mend: apart ? mend : mend.asking(UNSURE),
            cite: @guide.data.dig(SWITCHES[rule].first, "cite"))
        end

        # Tables whose value, by the block in words, is none of those asked for.
        def tables(key, value)
          asked = @guide.data.dig("tables", key) or return []
          allowed = asked.is_a?(Hash) ? asked["any_of"] : [asked]
          @document.blocks.grep(Document::Table).filter_map do |table|
            seen = value.call(table)
            next if seen.nil? || allowed.include?(seen)
            finding("tables.#{key}", paragraph: first_of(table), asked: allowed.map { |one| yield(one) }.join(" or "),
              message: "A table has #{(key == "align") ? "its place at #{seen}" : yield(seen)}",
              found: yield(seen), cause: [seen], cite: @guide.data.dig("tables", "cite"))
          end
        end

        def first_of(table)
          all = table.rows.flat_map(&:cells).flat_map(&:blocks).grep(Document::Paragraph)
          all.find { |one| !one.blank? } || all.first
        end
      end
    end
  end
end
