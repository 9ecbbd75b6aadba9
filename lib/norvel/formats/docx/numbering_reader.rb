# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The numbering part to a Numbering (ISO/IEC 29500-1 17.9). A definition that only links to a numbering style is
      # followed to the one that holds the levels.
      class NumberingReader
        def initialize(part, formatting)
          @part = part
          @formatting = formatting
        end

        def numbering
          return Document::Numbering.new unless @part
          definitions = @part.children(@part.root, "abstractNum").to_h { |node| [@part.attr(node, "abstractNumId"), node] }
          Document::Numbering.new(@part.children(@part.root, "num").filter_map { |node| entry(node, definitions) }.to_h)
        end

        private

        def entry(node, definitions)
          id = @part.attr(node, "numId").to_s
          named = @part.child(node, "abstractNumId")
          definition = named && @part.attr(named, "val")
          abstract = followed(definitions[definition], definitions)
          return unless id.match?(/\A\d{1,9}\z/) && abstract
          levels = levels_of(abstract)
          starts = {}
          @part.children(node, "lvlOverride").each { |override| override(override, levels, starts) }
          [id.to_i, Document::Numbering::List.new(@part.attr(abstract, "abstractNumId"), levels, starts)]
        end

        def followed(abstract, definitions)
          link = abstract && @part.child(abstract, "numStyleLink") or return abstract
          name = @part.attr(link, "val")
          definitions.each_value.find { |other| (own = @part.child(other, "styleLink")) && @part.attr(own, "val") == name } || abstract
        end

        def levels_of(abstract)
          @part.children(abstract, "lvl").to_h { |level| [@part.attr(level, "ilvl").to_i, level(level)] }
        end

        def override(node, levels, starts)
          number = @part.attr(node, "ilvl").to_i
          replaced = @part.child(node, "lvl") and levels[number] = level(replaced)
          start = @part.child(node, "startOverride") and starts[number] = @part.attr(start, "val").to_i
        end

        def level(node)
          Document::Numbering::Level.new(
            start: value(node, "start").to_i, format: Sections::FORMATS.fetch(value(node, "numFmt") || "decimal", "decimal"), text: bullet(value(node, "lvlText").to_s),
            style_id: value(node, "pStyle"), legal: (legal = @part.child(node, "isLgl")) ? @part.on?(legal) : false, restart_after: value(node, "lvlRestart")&.to_i, suffix: value(node, "suff") || "tab",
            paragraph: @formatting.read(@part.child(node, "pPr"), :paragraph, @part)
          )
        end

        # Bullets of symbol fonts stand at U+F0xx: shown as the sign they are drawn as.
        def bullet(text)
          text.tr("\uF0B7\uF0A7\uF0D8\uF0FC\uF02D", "•▪➢✓-")
        end

        def value(node, name)
          child = @part.child(node, name)
          child && @part.attr(child, "val")
        end
      end
    end
  end
end
