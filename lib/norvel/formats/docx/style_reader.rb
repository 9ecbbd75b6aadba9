# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The styles part to a StyleSheet (ISO/IEC 29500-1 17.7). The first of two styles with one id keeps it.
      class StyleReader
        TYPES = %w[paragraph character table numbering].freeze

        # +nodes+ is filled with each style's element by its place in the file, for a writer.
        def initialize(part, formatting, nodes: [])
          @part = part
          @formatting = formatting
          @nodes = nodes
        end

        # The Styles::StyleSheet that the part tells.
        def style_sheet
          return Styles::StyleSheet.new unless @part
          Styles::StyleSheet.new(styles: styles, paragraph_defaults: defaults("pPrDefault", "pPr", :paragraph),
            run_defaults: defaults("rPrDefault", "rPr", :run))
        end

        private

        def defaults(holder, name, place)
          node = @part.child(@part.root, "docDefaults")
          node &&= @part.child(node, holder)
          node &&= @part.child(node, name)
          @formatting.read(node, place, @part)
        end

        def styles
          nodes = @part.children(@part.root, "style")
          Styles::StyleSheet.refuse_more(nodes.size)
          nodes.each_with_index.with_object({}) do |(node, source), styles|
            @nodes << node
            id = @part.attr(node, "styleId") or next
            styles[id] ||= style(id, node, source)
          end
        end

        def style(id, node, source)
          type = @part.attr(node, "type") || "paragraph"
          type = "paragraph" unless TYPES.include?(type)
          Styles::Style.new(
            id:, name: Names.shown(value(node, "name") || id), type:, based_on: value(node, "basedOn"),
            next_id: value(node, "next"), link: value(node, "link"),
            paragraph: @formatting.read(@part.child(node, "pPr"), :paragraph, @part),
            run: @formatting.read(@part.child(node, "rPr"), :run, @part),
            conditions: (type == "table") ? conditions(node) : {},
            default: XmlPart::TRUE_WORDS.compact.include?(@part.attr(node, "default")),
            priority: value(node, "uiPriority")&.to_i, hidden: !@part.child(node, "semiHidden").nil?,
            custom: XmlPart::TRUE_WORDS.compact.include?(@part.attr(node, "customStyle")), bands: bands(node), source:
          )
        end

        def value(node, name)
          child = @part.child(node, name)
          child && @part.attr(child, "val")
        end

        def conditions(node)
          @part.children(node, "tblStylePr").to_h do |condition|
            [@part.attr(condition, "type").to_s, [@formatting.read(@part.child(condition, "pPr"), :paragraph, @part),
              @formatting.read(@part.child(condition, "rPr"), :run, @part)]]
          end
        end

        # Rows and columns in one band, 1 unless said (17.7.6.5, 17.7.6.7).
        def bands(node)
          table = @part.child(node, "tblPr")
          %w[tblStyleRowBandSize tblStyleColBandSize].map { |name| [(table && value(table, name)).to_i, 1].max }
        end
      end
    end
  end
end
