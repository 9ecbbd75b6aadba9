# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # List styles and the numbering of headings to what the model says (ISO/IEC 26300-1 16.30–16.37): levels that were
      # changed are patched, new list styles added.
      class ListWriter
        NUMBER = "text:list-level-style-number"
        BULLET = "text:list-level-style-bullet"
        OUTLINE_LEVEL = "text:outline-level-style"
        FOLLOWED = ListReader::FOLLOWED.invert.freeze

        # Brings a list style's element to a definition. was: as it came, nil for a new one.
        def write(part, node, was, now)
          outline = part.is?(node, "text:outline-style")
          now.levels.each do |number, level|
            next if was && was.levels[number] == level
            level(part, node, number, was&.levels&.[](number), level, outline)
          end
        end

        private

        def level(part, holder, number, was, now, outline)
          old = holder.element_children.find { |child| part.attr(child, "text:level").to_i == number + 1 }
          name = if outline then OUTLINE_LEVEL
          else now.bullet? ? BULLET : NUMBER
          end
          node = (old && part.is?(old, name)) ? old : replaced(part, holder, old, name, number)
          attributes_of(now, number).each { |key, text| text ? part.set(node, key, text) : part.unset(node, key) }
          node.attribute_nodes.each { |attribute| attribute.remove if attribute.node_name == "num-list-format" }
          place(part, node, now) unless was && was.paragraph == now.paragraph && was.suffix == now.suffix &&
            was.align == now.align
          Formatting.write(node, :run, was ? was.run : Styles::PropertySet::EMPTY, now.run, part)
        end

        def replaced(part, holder, old, name, number)
          node = part.create(name, "text:level" => number + 1)
          return old.replace(node) && node if old
          following = holder.element_children.find { |child| part.attr(child, "text:level").to_i > number + 1 }
          following ? following.add_previous_sibling(node) : holder.add_child(node)
          node
        end

        def attributes_of(level, number)
          return {"text:bullet-char" => level.text, "text:start-value" => nil} if level.bullet?
          shown = level.text.scan(/%\d/).size
          {
            "style:num-format" => ListReader::FORMATS.key(level.format) || ((level.format == "none") ? "" : "1"),
            "style:num-prefix" => text_or_nil(shown.zero? ? level.text : level.text[/\A[^%]*/]),
            "style:num-suffix" => text_or_nil(shown.zero? ? nil : level.text[/%\d([^%]*)\z/, 1]),
            "text:display-levels" => (shown.clamp(1, number + 1) if shown > 1),
            "text:start-value" => (level.start unless level.start == 1)
          }
        end

        def text_or_nil(text)
          text unless text.to_s.empty?
        end

        def place(part, node, level)
          part.child(node, "style:list-level-properties")&.remove
          holder = part.create("style:list-level-properties",
            "text:list-level-position-and-space-mode" => "label-alignment",
            "fo:text-align" => {"right" => "end", "center" => "center"}[level.align])
          node.prepend_child(holder)
          left, first = level.paragraph.values.values_at(:indent_left, :first_line)
            .map { |points| points && Codecs::Measure.text(points) }
          holder.add_child(part.create("style:list-level-label-alignment",
            "text:label-followed-by" => FOLLOWED.fetch(level.suffix, "listtab"),
            "fo:margin-left" => left, "fo:text-indent" => first))
        end
      end
    end
  end
end
