# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # What stands small beside letters, and what stands over and under them (MathML Core 3.4).
      module Scripts
        LETTER = 1.2 # of the size: a glyph that is higher is a large sign, whose scripts stand at its ends
        SPANNING = /[⏞⏜→←↔]/

        private

        def scripts(node, style)
          base, one, two = node.children
          sub = set(one, style.scripts) unless node.name == "msup"
          sup = set(two || one, style.scripts) unless node.name == "msub"
          beside(set(base, style), sub, sup, style)
        end

        # Scripts before letters, after the element that says so.
        def scripts_before(node, style)
          base, *rest = node.children
          after = rest.take_while { |child| child.name != "mprescripts" }
          before = rest.drop(after.size + 1)
          box = beside(set(base, style), *script_pair(after, style), style)
          return box if before.empty?
          left = beside(Box.empty.tap { |one| one.ascent, one.descent = box.ascent, box.descent },
            *script_pair(before, style), style)
          Box.of([[left, 0.0, 0.0], [box, left.width, 0.0]], width: left.width + box.width)
        end

        def script_pair(nodes, style)
          nodes.first(2).map { |node| set(node, style.scripts) unless node.name == "none" || empty?(node) }
            .then { |pair| pair + [nil] * (2 - pair.size) }
        end

        def empty?(node)
          !node.token? && node.children.empty?
        end

        # Letters with what is lowered and raised at their right.
        def beside(base, sub, sup, style)
          down, up = drops(base, sub, sup, style)
          placed = [[base, 0.0, 0.0]]
          placed << [sub, base.width, down] if sub
          placed << [sup, base.width + base.italic, -up] if sup
          width = placed.map { |box, x, _| x + box.width }.max
          width += style.length(:space_after_script) if sub || sup
          Box.of(placed, width:)
        end

        # How far down the one stands, and how far up the other.
        def drops(base, sub, sup, style)
          letter = base.single && base.height <= style.size * LETTER
          down = sub && [style.length(:sub_shift_down), sub.ascent - style.length(:sub_top_most),
            letter ? 0.0 : base.descent + style.length(:sub_baseline_drop)].max
          up = sup && [style.length(:sup_shift_up), sup.descent + style.length(:sup_bottom_least),
            letter ? 0.0 : base.ascent - style.length(:sup_baseline_drop)].max
          (sub && sup) ? apart(sub, sup, down, up, style) : [down, up]
        end

        def apart(sub, sup, down, up, style)
          lacking = style.length(:sub_sup_gap) - ((up - sup.descent) - (sub.ascent - down))
          return [down, up] unless lacking.positive?
          rise = [style.length(:sup_bottom_most_with_sub) - (up - sup.descent), 0.0].max.clamp(0.0, lacking)
          [down + lacking - rise, up + rise]
        end

        # --- over and under ---

        def limits(node, style)
          base, one, two = node.children
          under = one unless node.name == "mover"
          over = two || (one if node.name == "mover")
          return scripts_of_limits(base, under, over, style) if beside?(base, style)
          box = set(base, style)
          stacked = Box.of([[box, 0.0, 0.0]], width: box.width)
          stacked.italic, stacked.single = box.italic, box.single
          stacked = over(stacked, over, node, style) if over
          under ? under(stacked, under, style) : stacked
        end

        def over(box, over, node, style)
          accent = accent?(over) || (sign?(over) && node.attribute("accent") == "true")
          return accented(box, over, node, style) if accent
          above(box, set(over, style.scripts), style)
        end

        def under(box, under, style)
          accent?(under) ? underlined(box, under, style) : below(box, set(under, style.scripts), style)
        end

        # A sign that belongs to what it stands over, and is no limit.
        def accent?(node)
          return false unless sign?(node)
          node.attribute("stretchy") == "true" || %i[nothing arrow].include?(Mathml::Operators.kind(node.text))
        end

        # Limits of a sum in a line stand beside it.
        def beside?(base, style)
          sign = core(base)
          sign && !style.display && sign.attribute("movablelimits") != "false" && Mathml::Operators.of(sign.text).limits
        end

        def scripts_of_limits(base, under, over, style)
          beside(set(base, style), under && set(under, style.scripts), over && set(over, style.scripts), style)
        end

        def above(box, over, style)
          up = box.ascent + [style.length(:upper_limit_gap) + over.descent, style.length(:upper_limit_rise)].max
          centred(box, over, -up, box.italic / 2)
        end

        def below(box, under, style)
          down = box.descent + [style.length(:lower_limit_gap) + under.ascent, style.length(:lower_limit_drop)].max
          centred(box, under, down, -box.italic / 2)
        end

        # One over the other, both in the middle of the wider.
        def centred(box, other, down, lean)
          width = [box.width, other.width].max
          Box.of([[box, (width - box.width) / 2, 0.0], [other, ((width - other.width) / 2) + lean, down]], width:)
        end

        # A sign over letters stands by their height, a brace or line over their width.
        def accented(box, over, node, style)
          return ruled(box, style, over: true) if %w[¯ ‾ ˉ ̅].include?(over.text)
          sign = wide(over, box.width, style) or return above(box, set(over, style.scripts), style)
          return above(box, sign, style) unless node.attribute("accent") == "true" || sign.height < style.size * 0.4
          on_top(box, sign, over.text.match?(SPANNING) ? clear(box, sign, style) : lifted(box, style))
        end

        # An accent is drawn for letters of one height, and raised by what others are higher.
        def lifted(box, style)
          box.ascent - [box.ascent, style.length(:accent_base_height)].min
        end

        # What is drawn at the baseline stands over all of it.
        def clear(box, sign, style)
          box.ascent + style.length(:overbar_gap) + sign.descent
        end

        # By the middle of its ink, which stands where letters are that lean.
        def on_top(box, sign, lift)
          x = ((box.width - sign.width) / 2) + (box.single ? box.italic / 2 : 0.0)
          Box.of([[box, 0.0, 0.0], [sign, x, -lift]], width: box.width).tap { |made|
            made.single, made.italic = box.single, box.italic
          }
        end

        def underlined(box, under, style)
          return ruled(box, style, over: false) if %w[_ ̲ ‗].include?(under.text)
          sign = wide(under, box.width, style) or return below(box, set(under, style.scripts), style)
          below(box, sign, style)
        end

        # A sign as wide as what it spans, from its ink's left; nil where the font lacks it.
        def wide(node, width, style)
          glyph = (node.text.size == 1) && @face.glyph(node.text) or return
          size = style.size
          parts = @face.across(glyph, width / size).map { |one, x| [one, x, @face.box(one)] }
          parts.each { |part| part[1] -= part[2][0] } # a part begins where its ink does
          boxes = parts.map(&:last)
          Box.new(width: parts.map { |_, x, box| box[2] + x }.max * size, italic: 0.0, single: true,
            ascent: boxes.map { |box| box[3] }.max * size, descent: -boxes.map { |box| box[1] }.min * size,
            marks: parts.map { |one, x, _| Shape.new(x * size, 0.0, one, size) })
        end

        def ruled(box, style, over:)
          side = over ? "overbar" : "underbar"
          gap, rule = style.length(:"#{side}_gap"), style.length(:"#{side}_rule")
          bar = Box.new(width: box.width, ascent: rule, descent: 0.0, italic: 0.0, single: false,
            marks: [Bar.new(0.0, -rule, box.width, rule)])
          Box.of([[box, 0.0, 0.0], [bar, 0.0, over ? -(box.ascent + gap) : box.descent + gap + rule]], width: box.width)
        end
      end
    end
  end
end
