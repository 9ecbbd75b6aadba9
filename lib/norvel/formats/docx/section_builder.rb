# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A section of the document as the element that ends it (ISO/IEC 29500-1 17.6).
      class SectionBuilder
        HEADS = {header: "headerReference", footer: "footerReference"}.freeze
        STARTS = Sections::STARTS.invert.freeze

        # heads: ->(kind, id) { the relationship of a head or foot, of a blank one for nil; nil where none is needed }
        def initialize(part, heads)
          @part = part
          @heads = heads
        end

        # The w:sectPr of a section.
        def build(section)
          node = @part.create("sectPr")
          references(node, section)
          set(node, "type", "val" => STARTS[section.starts]) unless section.starts == "next_page"
          size = set(node, "pgSz", "w" => twips(section.width), "h" => twips(section.height))
          @part.set(size, "orient", "landscape") if section.landscape?
          set(node, "pgMar", "top" => edge(section.margin_top, section.fixed_top),
            "right" => twips(section.margin_right), "bottom" => edge(section.margin_bottom, section.fixed_bottom),
            "left" => twips(section.margin_left), "header" => twips(section.header),
            "footer" => twips(section.footer), "gutter" => 0)
          numbers(node, section)
          if section.columns > 1
            columns(set(node, "cols", "num" => section.columns, "space" => twips(section.column_gap)), section)
          end
          set(node, "titlePg") if section.title_page
          if (grid = section.line_grid) && grid[:pitch]
            set(node, "docGrid", "type" => grid[:type], "linePitch" => twips(grid[:pitch]))
          end
          node
        end

        private

        def columns(node, section)
          widths = section.unequal_columns or return
          @part.set(node, "equalWidth", 0)
          widths.each_with_index do |(width, gap), number|
            values = {"w" => twips(width), "space" => (twips(gap) unless number == widths.size - 1)}.compact
            node.add_child(@part.create("col", values))
          end
        end

        # A margin that no head or foot pushes is told as negative (17.6.11).
        def edge(margin, fixed)
          twips(fixed ? -margin : margin)
        end

        def references(node, section)
          HEADS.each do |kind, name|
            section.heads.fetch(kind, {}).each do |which, id|
              relation = @heads.call(kind, id) or next
              reference = set(node, name, "type" => which.to_s)
              reference["r:id"] = relation
            end
          end
        end

        def numbers(node, section)
          format = Sections::FORMATS.key(section.number_format) unless section.number_format == "decimal"
          return unless format || section.number_start
          set(node, "pgNumType", {"fmt" => format, "start" => section.number_start}.compact)
        end

        def set(node, name, attributes = {})
          node.add_child(@part.create(name, attributes))
        end

        def twips(points)
          Length.whole(points, "twip")
        end
      end
    end
  end
end
