# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # Sets a formula as boxes (Mathml::Node to Box): by the rules of MathML Core and the font's own measures
      # (ISO/IEC 14496-22, MATH); where MathML Core leaves room beside signs in scripts, none is left, as is common
      # practice.
      class Setting
        include Scripts
        include Stacks

        # display: has it a line of its own?
        def initialize(size, display: false)
          @face = MathsFace.shipped
          @style = Style.new(size, 0, display)
          @known = {}
        end

        # The Box of a whole formula.
        def whole(node)
          set(node, @style)
        end

        # The boxes of a formula in a line: a line may end after each but the last, and after a sign that joins or
        # relates.
        def parts(node)
          items = items(flat(node), @style)
          items.slice_after { |item| item.breaks }.map { |group| joined(group) }
        end

        private

        # A sign or part in a row: its Box, the room before and after it; breaks: may a line end after it?
        Item = Struct.new(:box, :before, :after, :breaks)

        # What the rows at its begin hold: a formula that is one row breaks as that row does.
        def flat(node)
          node = node.children.first while %w[math mrow].include?(node.name) && node.children.size == 1
          %w[math mrow].include?(node.name) ? node.children : [node]
        end

        def set(node, style)
          case node.name
          when "mi", "mn", "mtext", "ms" then letters(Alphabet.shown(node), style)
          when "mo" then sign(node, style)
          when "mspace" then Box.empty(space(node, style))
          when "mfrac" then fraction(node, style)
          when "msqrt" then root(row(node.children, style), nil, style)
          when "mroot" then root(set(node.children[0], style), set(node.children[1], style.scripts.scripts), style)
          when "msub", "msup", "msubsup" then scripts(node, style)
          when "munder", "mover", "munderover" then limits(node, style)
          when "mmultiscripts" then scripts_before(node, style)
          when "mtable" then table(node, style)
          when "mphantom" then row(node.children, style).tap { |box| box.marks = [] }
          when "menclose" then enclosed(node, style)
          else row(node.children, style)
          end
        end

        def joined(items)
          x = 0.0
          placed = items.map { |item|
            x += item.before
            [item.box, x, 0.0].tap { x += item.box.width + item.after }
          }
          Box.of(placed, width: x).tap do |box|
            last = items.last&.box
            box.italic = last.italic if last
            box.single = last.single if items.size == 1
          end
        end

        # Nodes side by side. begun: does something stand before them, which signs may join them to?
        def row(nodes, style, begun: false)
          joined(items(nodes, style, begun:))
        end

        # What stretches is set to what stands beside it.
        def items(nodes, style, begun: false)
          boxes = nodes.map { |node| set(node, style) unless stretches?(node) }
          reach = reach(boxes.compact, style)
          joins = begun
          nodes.each_with_index.map do |node, index|
            box = boxes[index] || stretched(node, reach, style)
            prefix = !joins
            joins = !(sign?(node) && Mathml::Operators.opens?(node.text))
            next named(box, nodes, index, style) if name?(node)
            item(node, box, style, prefix:, alone: nodes.size == 1 && !begun)
          end
        end

        def item(node, box, style, prefix:, alone:)
          return Item.new(box, 0.0, 0.0, false) unless (sign = core(node)) && !alone
          entry = Mathml::Operators.of(sign.text, prefix:)
          before, after = [entry.before, entry.after].map { |room| style.level.zero? ? room * style.size : 0.0 }
          before = 0.0 if prefix && before == after && !entry.large
          Item.new(box, before, after, sign.equal?(node) && !prefix && before.positive?)
        end

        NAME_ROOM = 3 / Mathml::Operators::EM

        # The name of a function: a word set upright.
        def name?(node)
          inner = node.nucleus
          inner.name == "mi" && inner.text.size > 1
        end

        # It stands apart from what it is multiplied with and what it is of, but for brackets.
        def named(box, nodes, index, style)
          before = nodes[index - 1] if index.positive?
          after = nodes[index + 1]
          after = nodes[index + 2] if after&.text == "\u2061"
          room = style.level.zero? ? NAME_ROOM * style.size : 0.0
          Item.new(box, (before && !sign?(before)) ? room : 0.0, (after && !bracketed?(after)) ? room : 0.0, false)
        end

        def bracketed?(node)
          node = node.children.first while node && node.name == "mrow"
          node.nil? || sign?(node)
        end

        def sign?(node)
          node.name == "mo"
        end

        # The sign that a part with scripts or limits is of; nil for none.
        def core(node)
          inner = node.nucleus
          inner if sign?(inner)
        end

        # Half of how far the boxes reach from the axis, twice: what brackets cover.
        def reach(boxes, style)
          axis = style.length(:axis_height)
          2 * (boxes.flat_map { |box| [box.ascent - axis, box.descent + axis] }.max || 0.0)
        end

        def stretches?(node)
          return false unless sign?(node) && node.text.size == 1
          said = node.attribute("stretchy")
          return said == "true" if said
          Mathml::Operators.kind(node.text) == :fence
        end

        # Brackets of the height of what they hold: nine tenths of it suffice, as is common practice (the values of
        # TeX's delimiterfactor and delimitershortfall).
        def stretched(node, reach, style)
          glyph = @face.glyph(node.text) or return letters(node.text, style)
          least = [reach * 0.901, reach - 5.0].max
          small = letters(node.text, style)
          return small if least <= small.height
          upright(glyph, least / style.size, style)
        end

        # Glyphs one above the other, their middle at the axis.
        def upright(glyph, height, style)
          size = style.size
          parts = @face.upright(glyph, height).map { |one, up| [one, up, @face.box(one)] }
          parts.each { |part| part[1] -= part[2][1] } if parts.size > 1 # a part begins where its ink does
          bottom, top = parts.map { |_, up, box| up + box[1] }.min, parts.map { |_, up, box| up + box[3] }.max
          lift = @face.constant(:axis_height) - ((top + bottom) / 2)
          Box.new(width: parts.map { |one, _, _| @face.advance(one) }.max * size, ascent: (top + lift) * size,
            descent: -(bottom + lift) * size, italic: 0.0, single: true,
            marks: parts.map { |one, up, _| Shape.new(0.0, -(up + lift) * size, one, size) })
        end

        # A sign as it stands in the text, large where it is one and has a line of its own.
        def sign(node, style)
          text = node.text.gsub(Mathml::Words::UNSEEN, "").tr("-", "−") # MathML Core 3.2.4.2
          glyph = (text.size == 1) && @face.glyph(text)
          large = node.attribute("largeop") == "true" || Mathml::Operators.large?(text)
          return letters(text, style) unless glyph && large && node.attribute("largeop") != "false"
          least = style.display ? @face.constant(:display_operator_least) : 0.0
          shown, = @face.upright(glyph, least).first
          upright(glyph, least, style).tap { |box| box.italic = @face.italic(shown) * style.size }
        end

        # Letters in a row, as high as their ink.
        def letters(text, style)
          (@known[style.size] ||= {})[text] ||= set_letters(text, style.size)
        end

        def set_letters(text, size)
          return Box.empty if text.empty?
          boxes = text.each_char.map { |character| metrics(character) }
          Box.new(width: boxes.sum(&:first) * size, ascent: boxes.map { |_, _, top| top }.max * size,
            descent: -boxes.map { |_, bottom| bottom }.min * size, single: text.size == 1,
            italic: ((glyph = @face.glyph(text[-1])) ? @face.italic(glyph) * size : 0.0),
            marks: [Letters.new(0.0, 0.0, text, size)])
        end

        # [advance, bottom, top] of a character, in ems; what the font lacks is as another says.
        def metrics(character)
          glyph = @face.glyph(character) or return [Fonts.maths.advance(character), 0.0, 0.7]
          box = @face.box(glyph)
          [@face.advance(glyph), box[1], box[3]]
        end

        def space(node, style)
          said = node.attribute("width").to_s[/\A(-?\d*\.?\d+)em\z/, 1]
          said.to_f.clamp(-2.0, 20.0) * style.size
        end
      end
    end
  end
end
