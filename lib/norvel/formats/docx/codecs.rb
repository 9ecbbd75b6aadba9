# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # How one property stands in pPr or rPr. A codec answers read(element, part) with the value or nil for "not set here",
      # writes it with put(parent, value, part) and takes it out with clear(parent, part). Clauses: ISO/IEC 29500-1 17.3.1, 17.3.2.
      module Codecs
        # Base: a property that is the whole element.
        class Whole
          attr_reader :element

          def initialize(element)
            @element = element
          end

          def clear(parent, part)
            part.drop(parent, element)
          end

          # Does w:val say it all?
          def plain?
            false
          end

          private

          def fresh(parent, part)
            part.place(parent, element)
          end
        end

        # A property whose element says all in w:val.
        class Plain < Whole
          def plain?
            true
          end
        end

        # An on/off element such as w:keepNext or w:b.
        class Flag < Plain
          def read(element, part)
            part.on?(element)
          end

          def put(parent, value, part)
            node = fresh(parent, part)
            value ? part.unset(node, "val") : part.set(node, "val", "0")
          end
        end

        # A number in w:val: w:sz in half-points, w:outlineLvl, w:position.
        class Number < Plain
          def initialize(element, unit)
            super(element)
            @unit = unit
          end

          def read(element, part)
            text = part.attr(element, "val") and part.length(text, @unit)
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", Length.whole(value, @unit))
          end
        end

        # 0–8 in the file are levels 1–9 and 9 is body text, here 0 (17.3.1.20).
        class OutlineLevel < Plain
          def read(element, part)
            text = part.attr(element, "val")
            return unless text&.match?(/\A\d\z/)
            (text == "9") ? 0 : text.to_i + 1
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", (value.zero? ? 9 : value - 1))
          end
        end

        # A word in w:val, mapped to ours; one that the map lacks reads as nil. Of several words for one value the first is written.
        class Word < Plain
          def initialize(element, map, strict: {})
            super(element)
            @map = map
            @written = map.to_a.reverse.to_h { |word, value| [value, word] }
            @strict = strict
          end

          def read(element, part)
            @map[part.attr(element, "val")]
          end

          def put(parent, value, part)
            word = (part.strict? && @strict[value]) || @written.fetch(value)
            part.set(fresh(parent, part), "val", word)
          end
        end

        # The kind of underline (17.3.2.40), with its colour untouched.
        class Underline < Plain
          def read(element, part)
            part.attr(element, "val") || "none"
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", value)
          end
        end

        # One attribute of a shared element, such as w:spacing w:before. +names+ are spellings of one attribute (left, start);
        # +beaten_by+ are attributes that would win over it and so go when it is set.
        class Measure
          attr_reader :element

          def plain?
            false
          end

          def initialize(element, *names, unit: "twip", beaten_by: [])
            @element = element
            @names = names
            @unit = unit
            @beaten_by = beaten_by
          end

          def read(element, part)
            @names.each { |name| (text = part.attr(element, name)) && (return part.length(text, @unit)) }
            nil
          end

          def put(parent, value, part)
            node = part.place(parent, element)
            part.unset(node, *@beaten_by, *@names.drop(1))
            part.unset(node, @names.first) if part.strict? && @names.size > 1
            part.set(node, (part.strict? && @names[1]) || @names.first, Length.whole(value, @unit))
          end

          def clear(parent, part)
            node = part.child(parent, element) or return
            part.unset(node, *@names, *@beaten_by)
            node.remove if node.attribute_nodes.empty?
          end
        end

        # A count of lines, characters or a switch beside a measure: kept as it is in the file, a plain number.
        class Count < Measure
          def read(element, part)
            @names.each do |name|
              text = part.attr(element, name) or next
              return 1 if %w[true on].include?(text)
              return text.to_i if text.match?(/\A-?\d{1,6}\z/)
            end
            nil
          end

          def put(parent, value, part)
            part.set(part.place(parent, element), @names.first, value)
          end
        end

        # firstLine and hanging are one slot, hanging wins within one element; negative is hanging (17.3.1.12).
        class FirstLine < Measure
          def initialize
            super("ind", "firstLine", beaten_by: %w[hanging firstLineChars hangingChars])
          end

          def read(element, part)
            (hanging = part.attr(element, "hanging")) ? part.length(hanging, "twip")&.-@ : super
          end

          def put(parent, value, part)
            return super unless value.negative?
            node = part.place(parent, element)
            part.unset(node, "firstLine", *@beaten_by)
            part.set(node, "hanging", Length.whole(-value, "twip"))
          end
        end

        # Likewise in hundredths of a character.
        class FirstLineCharacters < Count
          def initialize
            super("ind", "firstLineChars")
          end

          def read(element, part)
            (hanging = part.attr(element, "hangingChars")) ? -hanging.to_i : super
          end

          def put(parent, value, part)
            part.set(part.place(parent, element), value.negative? ? "hangingChars" : "firstLineChars", value.abs)
          end

          def clear(parent, part)
            super
            node = part.child(parent, element) and part.unset(node, "hangingChars")
          end
        end

        # line + lineRule are one slot; auto counts 240ths of a line, exact and atLeast are twips (17.3.1.33).
        class LineSpacing < Measure
          RULES = {"exact" => "exact", "atLeast" => "at_least"}.freeze

          def initialize
            super("spacing", "line", "lineRule")
          end

          def read(element, part)
            line = part.attr(element, "line") or return
            rule = RULES[part.attr(element, "lineRule")]
            return {rule:, value: part.length(line, "twip")&.abs || 0.0} if rule
            number = line.match?(/\A-?\d{1,6}\z/) ? line.to_i : 240
            number.positive? ? {rule: "multiple", value: (number / 240.0).round(4)} : {rule: "exact", value: number.abs / 20.0}
          end

          def put(parent, value, part)
            node = part.place(parent, element)
            multiple = value[:rule] == "multiple"
            part.set(node, "line", multiple ? (value[:value] * 240).round : Length.whole(value[:value], "twip"))
            part.set(node, "lineRule", multiple ? "auto" : RULES.key(value[:rule]))
          end
        end

        # The Latin font; a theme font beats a plain one at the same level (17.3.2.26).
        class Font < Whole
          PLAIN = %w[ascii hAnsi cs].freeze
          THEMED = %w[asciiTheme hAnsiTheme cstheme].freeze

          def read(element, part)
            themed = part.attr(element, "asciiTheme")
            (themed && part.theme.font(themed)) || part.attr(element, "ascii")
          end

          def put(parent, value, part)
            node = fresh(parent, part)
            part.unset(node, *THEMED)
            PLAIN.each { |name| part.set(node, name, value) }
          end
        end

        # w:color: the theme's colour wins, its cached value stands in val (17.3.2.6).
        class TextColour < Whole
          def read(element, part)
            part.theme.colour(part.attr(element, "val"), part.attr(element, "themeColor"), part.attr(element, "themeTint"), part.attr(element, "themeShade"))
          end

          def put(parent, value, part)
            node = fresh(parent, part)
            part.unset(node, "themeColor", "themeTint", "themeShade")
            part.set(node, "val", (value == "auto") ? value : value.delete("#").upcase)
          end
        end

        # w:shd as one colour: the fill, the pattern's colour when solid, their mixture for a percentage (17.3.5).
        class Shading < Whole
          def read(element, part)
            fill = part.theme.colour(part.attr(element, "fill"), part.attr(element, "themeFill"), part.attr(element, "themeFillTint"), part.attr(element, "themeFillShade")) || "auto"
            pattern = part.attr(element, "val") || "clear"
            return fill if %w[clear nil].include?(pattern)
            fore = Colour.hex(part.attr(element, "color")) || "#000000"
            return fore if pattern == "solid"
            share = pattern[/\Apct(\d+)\z/, 1] or return fill
            Colour.mixed(fore, (fill == "auto") ? "#ffffff" : fill, [share.to_i, 100].min / 100.0)
          end

          def put(parent, value, part)
            fresh(parent, part).attribute_nodes.each(&:remove)
            node = fresh(parent, part)
            {"val" => "clear", "color" => "auto", "fill" => (value == "auto") ? value : value.delete("#").upcase}.each { |key, text| part.set(node, key, text) }
          end
        end

        # One of sixteen names; none takes it away again.
        class Highlight < Plain
          def read(element, part)
            name = part.attr(element, "val")
            (name == "none") ? "auto" : Colour::HIGHLIGHTS[name]
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", (value == "auto") ? "none" : Colour::HIGHLIGHTS.key(value))
          end
        end

        # One child of w:numPr; they merge child by child.
        class ListPart
          attr_reader :element

          def plain?
            false
          end

          def initialize(name)
            @element = "numPr"
            @name = name
          end

          def read(element, part)
            node = part.child(element, @name) or return
            text = part.attr(node, "val")
            text.to_i if text&.match?(/\A\d{1,9}\z/)
          end

          def put(parent, value, part)
            part.set(part.place(part.place(parent, element), @name), "val", value)
          end

          def clear(parent, part)
            node = part.child(parent, element) or return
            part.drop(node, @name)
            node.remove if node.element_children.empty?
          end
        end

        # Children that merge one by one, kept as a hash: tab stops by place, borders by side.
        class Children < Whole
          def initialize(element, key: nil)
            super(element)
            @key = key
          end

          def read(element, part)
            element.element_children.filter_map do |child|
              next unless part.ours?(child)
              key = @key ? part.attr(child, @key).to_s : child.name
              [key.to_sym, child.attribute_nodes.to_h { |a| [a.node_name.to_sym, a.value] }]
            end.to_h
          end

          def put(parent, value, part)
            part.drop(parent, element)
            node = fresh(parent, part)
            value.each { |key, attributes| part.insert(node, part.create(@key ? "tab" : key.to_s, attributes.transform_keys(&:to_s))) }
          end
        end

        # w:lang: the Latin language of the text.
        class Language < Plain
          def read(element, part)
            part.attr(element, "val")
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", value)
          end
        end

        # An element that is carried whole, for what has an effect on the look and that no rule asks about.
        class Carried < Whole
          def read(element, _part)
            element.attribute_nodes.to_h { |a| [a.node_name.to_sym, a.value] }
          end

          def put(parent, value, part)
            part.drop(parent, element)
            part.insert(parent, part.create(element, value.transform_keys(&:to_s)))
          end
        end
      end
    end
  end
end
