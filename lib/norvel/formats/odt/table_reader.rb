# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The structure of a table without what stands in its cells (ISO/IEC 26300-1 9.1).
      class TableReader
        # The Document::Table, and its cells that hold something: [[element, id], …] in reading order.
        Skeleton = Struct.new(:value, :cells)
        GROUPS = %w[table-header-rows table-rows table-row-group].freeze
        COLUMN_GROUPS = %w[table-columns table-header-columns table-column-group].freeze
        MOST_REPEATED = 256
        ALIGNMENTS = {"center" => "center", "right" => "right"}.freeze
        VERTICAL = {"middle" => "center", "bottom" => "bottom"}.freeze
        SIDES = %w[top left bottom right].freeze

        def initialize(part, worn)
          @part = part
          @worn = worn
        end

        # The block gives the next id of a cell.
        def table(node, id, parent)
          spread(node)
          cells = []
          rows = rows(node).map { |row, header| row(row, header, cells) { yield } }
          value = Document::Table.new(id:, parent:, style_id: nil, grid: grid(node).freeze, rows: rows.freeze,
            caption: value_of(node, "table:title"), summary: value_of(node, "table:desc"), **of_style(node))
          Skeleton.new(value, cells)
        end

        # [[element of a row, is it a header row?], …]
        def rows(node, header: false)
          node.element_children.flat_map do |child|
            next [[child, header]] if child.name == "table-row"
            GROUPS.include?(child.name) ? rows(child, header: header || child.name == "table-header-rows") : []
          end
        end

        private

        # Rows and cells that stand for several are told one by one, so that each has its own words; those of tables
        # within when they are read.
        def spread(node)
          rows(node).each do |row, _|
            cells_of(row).each { |cell| repeat(cell, "table:number-columns-repeated") }
            repeat(row, "table:number-rows-repeated")
          end
        end

        def cells_of(row)
          @part.children(row, "table:table-cell", "table:covered-table-cell")
        end

        def repeat(one, attribute)
          count = @part.attr(one, attribute).to_i
          return if count < 2
          @part.unset(one, attribute)
          ([count, MOST_REPEATED].min - 1).times { one.add_next_sibling(one.dup) }
        end

        def grid(node)
          node.element_children.flat_map do |child|
            next grid(child) if COLUMN_GROUPS.include?(child.name)
            next [] unless child.name == "table-column"
            count = (@part.attr(child, "table:number-columns-repeated") || 1).to_i.clamp(1, MOST_REPEATED)
            [measure(child, "table-column", "style:column-width") || 0.0] * count
          end
        end

        def row(node, header, found)
          height = measure(node, "table-row", "style:row-height")
          least = measure(node, "table-row", "style:min-row-height")
          split = property(node, "table-row", "fo:keep-together") != "always"
          Document::Row.new(height: height || least, height_rule: height ? "exact" : "at_least", header:,
            may_split: split, cells: cells_of(node).filter_map { |cell| cell(cell, found) { yield } }.freeze)
        end

        # Cells under one that spans columns are none; those under one that spans rows continue it.
        def cell(node, found)
          if @part.is?(node, "table:covered-table-cell")
            return if node.previous_element && beside?(node)
            return Document::Cell.new(id: yield, continued: true)
          end
          id = yield
          found << [node, id]
          Document::Cell.new(id:, columns: span(node, "table:number-columns-spanned"),
            rows: span(node, "table:number-rows-spanned"), borders: borders(node),
            shading: Norvel::Colour.hex(property(node, "table-cell", "fo:background-color").to_s),
            vertical_align: VERTICAL.fetch(property(node, "table-cell", "style:vertical-align"), "top"))
        end

        # Is it covered by the cell at its left?
        def beside?(node)
          before = node.previous_element
          distance = 1
          while before && @part.is?(before, "table:covered-table-cell")
            before = before.previous_element
            distance += 1
          end
          before && span(before, "table:number-columns-spanned") > distance
        end

        def span(node, name)
          (@part.attr(node, name) || 1).to_i.clamp(1, MOST_REPEATED)
        end

        def borders(node)
          attributes = attributes(node, "table-cell")
          SIDES.filter_map do |side|
            text = attributes["fo:border-#{side}"] || attributes["fo:border"] or next
            next if text.include?("none")
            width = text.split.filter_map { |word| Length.from_file(word, "pt") }.first || 0.75
            color = Norvel::Colour.hex(text[/#\h{6}/].to_s) || "auto"
            [side.to_sym, Styles::BorderLine.new(kind: "single", width:, color:)]
          end.to_h.freeze
        end

        def of_style(node)
          width = property(node, "table", "style:width")
          share = property(node, "table", "style:rel-width").to_s[/\A(\d+)%/, 1]
          rule = if share then {rule: "percent", value: share.to_f}
          elsif width then {rule: "exact", value: Length.from_file(width, "pt")}
          else {rule: "auto", value: nil}
          end
          {align: ALIGNMENTS.fetch(property(node, "table", "table:align"), "left"), width: rule.freeze,
           indent: measure(node, "table", "fo:margin-left") || 0.0}
        end

        def measure(node, family, name)
          text = property(node, family, name) and Length.from_file(text, "pt")
        end

        def property(node, family, name)
          attributes(node, family)[name]
        end

        # What an element's style says of its kind of thing.
        def attributes(node, family)
          name = @part.attr(node, "table:style-name") or return {}
          (@known ||= {})[[family, name]] ||= begin
            style = @worn.node(name, family)
            properties = style && @part.child(style, "style:#{family}-properties")
            properties ? @part.attributes(properties) : {}
          end
        end

        def value_of(node, name)
          text = @part.child(node, name)&.content.to_s.strip
          text unless text.empty?
        end
      end
    end
  end
end
