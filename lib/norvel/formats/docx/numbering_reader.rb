# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The numbering part to a Numbering (ISO/IEC 29500-1 17.9). A definition that only links to a numbering style is
      # followed to the one that holds the levels.
      class NumberingReader
        # Words of w:lvlJc.
        ALIGNMENTS = {"right" => "right", "end" => "right", "center" => "center"}.freeze

        def initialize(part, formatting)
          @part = part
          @formatting = formatting
        end

        # The Document::Numbering that the part tells.
        def numbering
          return Document::Numbering.new unless @part
          @nodes = @part.children(@part.root, "abstractNum").to_h do |node|
            [@part.attr(node, "abstractNumId").to_s, node]
          end
          definitions = @nodes.transform_values do |node|
            Document::Numbering::Definition.new(levels(node), value(node, "styleLink"))
          end
          Document::Numbering.new(definitions, @part.children(@part.root, "num").filter_map { |node| list(node) }.to_h)
        end

        private

        def level(node)
          Document::ListLevel.new(
            start: value(node, "start").to_i, text: value(node, "lvlText").to_s,
            format: Sections::FORMATS.fetch(value(node, "numFmt") || "decimal", "decimal"),
            style_id: value(node, "pStyle"), legal: (legal = @part.child(node, "isLgl")) ? @part.on?(legal) : false,
            restart_after: value(node, "lvlRestart")&.to_i,
            suffix: value(node, "suff") || "tab", align: ALIGNMENTS.fetch(value(node, "lvlJc"), "left"),
            paragraph: @formatting.read(@part.child(node, "pPr"), :paragraph, @part),
            run: @formatting.read(@part.child(node, "rPr"), :run, @part)
          )
        end

        def list(node)
          id = @part.attr(node, "numId").to_s
          definition = followed(value(node, "abstractNumId"))
          return unless id.match?(/\A\d{1,9}\z/) && definition
          starts, overrides = {}, {}
          @part.children(node, "lvlOverride").each do |override|
            number = @part.attr(override, "ilvl").to_i
            replaced = @part.child(override, "lvl") and overrides[number] = level(replaced)
            start = @part.child(override, "startOverride") and starts[number] = @part.attr(start, "val").to_i
          end
          [id.to_i, Document::Numbering::List.new(definition, starts, overrides)]
        end

        # The id of the definition that holds the levels.
        def followed(id)
          node = @nodes[id] or return
          link = value(node, "numStyleLink") or return id
          @nodes.find { |_, other| value(other, "styleLink") == link }&.first || id
        end

        def levels(node)
          @part.children(node, "lvl").to_h { |level| [@part.attr(level, "ilvl").to_i, level(level)] }
        end

        def value(node, name)
          child = @part.child(node, name)
          child && @part.attr(child, "val")
        end
      end
    end
  end
end
