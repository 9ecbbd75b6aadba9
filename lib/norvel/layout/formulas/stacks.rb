# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # Fractions, roots, tables and frames (MathML Core 3.3, 3.5; the font's measures).
      module Stacks
        COLUMN_GAP, ROW_GAP = 0.9, 0.35 # ems between the cells of a table: common practice
        BESIDE = 0.12 # of the size, at both ends of the rule of a fraction: common practice
        FRAME = 0.25 # of the size, between a frame and what it holds

        private

        def fraction(node, style)
          return bevelled(node, style) if node.attribute("bevelled") == "true"
          above, below = node.children.map { |child| set(child, style.parts) }
          bare = node.attribute("linethickness").to_s.match?(/\A0[a-z]*\z/)
          rule = bare ? 0.0 : style.length(:fraction_rule)
          up, down = bare ? stack_shifts(above, below, style) : fraction_shifts(above, below, rule, style)
          wide = [above.width, below.width].max
          side = BESIDE * style.size
          placed = [[above, side + ((wide - above.width) / 2), -up], [below, side + ((wide - below.width) / 2), down]]
          placed << [bar(wide, rule), side, -style.length(:axis_height) + (rule / 2)] unless bare
          Box.of(placed, width: wide + (2 * side))
        end

        # A rule whose bottom is its baseline.
        def bar(width, rule)
          Box.new(width:, ascent: rule, descent: 0.0, italic: 0.0, single: false,
            marks: [Bar.new(0.0, -rule, width, rule)])
        end

        def fraction_shifts(above, below, rule, style)
          axis = style.length(:axis_height)
          up, down, over, under = if style.display
            %i[numerator_display_up denominator_display_down numerator_display_gap denominator_display_gap]
          else
            %i[numerator_up denominator_down numerator_gap denominator_gap]
          end.map { |name| style.length(name) }
          [[up, axis + (rule / 2) + over + above.descent].max, [down, (rule / 2) + under + below.ascent - axis].max]
        end

        def stack_shifts(above, below, style)
          up, down, gap = if style.display
            %i[stack_top_display_up stack_bottom_display_down stack_display_gap]
          else
            %i[stack_top_up stack_bottom_down stack_gap]
          end.map { |name| style.length(name) }
          lacking = [gap - ((up - above.descent) - (below.ascent - down)), 0.0].max
          [up + (lacking / 2), down + (lacking / 2)]
        end

        # A slash between a raised and a lowered part.
        def bevelled(node, style)
          above, below = node.children.map { |child| set(child, style.scripts) }
          slash = letters("/", style)
          lift = style.length(:axis_height)
          x = above.width + slash.width
          Box.of([[above, 0.0, -lift], [slash, above.width, 0.0], [below, x, lift / 2]], width: x + below.width)
        end

        # A sign with a rule over what it holds; a degree in its opening.
        def root(box, degree, style)
          rule = style.length(:radical_rule)
          gap = style.length(style.display ? :radical_display_gap : :radical_gap)
          sign = radical(box.height + gap + rule, style)
          # What the sign is too high by is shared out below the rule.
          gap = [gap, (sign.height - rule - box.height + gap) / 2].max
          top = box.ascent + gap + rule
          inside = [[bar(box.width, rule), sign.width, rule - top], [box, sign.width, 0.0]]
          made = Box.of([[sign, 0.0, sign.ascent - top], *inside], width: sign.width + box.width)
          made.ascent += style.length(:radical_extra)
          degree ? with_degree(made, degree, sign, top, style) : made
        end

        # The sign, measured from its own baseline.
        def radical(height, style)
          glyph = @face.glyph("√")
          upright(glyph, height / style.size, style)
        end

        def with_degree(root, degree, sign, top, style)
          before, after = style.length(:degree_before), style.length(:degree_after)
          raised = (sign.height * @face.percent(:degree_raise_percent)) - (sign.height - top)
          x = [before + degree.width + after, 0.0].max
          Box.of([[degree, [before, 0.0].max, -(raised + degree.descent)], [root, x, 0.0]], width: x + root.width)
        end

        # --- tables ---

        def table(node, style)
          rows = node.children.map { |row| cells(row, style.in_line) }
          return Box.empty if rows.flatten.empty?
          aligned = node.attribute("columnalign").to_s.split
          wide = columns(rows)
          gap = (aligned.any? ? 0.1 : COLUMN_GAP) * style.size
          lefts = wide.each_with_index.map { |_, index| wide.first(index).sum + (gap * index) }
          placed = tops(rows, style).zip(rows).flat_map do |down, cells|
            cells.each_with_index.map { |box, index|
              [box, lefts[index] + (share(aligned, index) * (wide[index] - box.width)), down]
            }
          end
          Box.of(placed, width: lefts.last + wide.last)
        end

        # A sign that a cell begins with joins it to the one before.
        def cells(row, style)
          row.children.each_with_index.map { |cell, index| row(cell.children, style, begun: index.positive?) }
        end

        def columns(rows)
          (0...rows.map(&:size).max).map { |index| rows.filter_map { |row| row[index]&.width }.max }
        end

        # How much of what is left of a column stands before a cell.
        def share(aligned, index)
          {"left" => 0.0, "right" => 1.0}.fetch(aligned[index] || aligned.last, 0.5)
        end

        # Where the baseline of each row stands, so that the middle of all is at the axis.
        def tops(rows, style)
          least = 0.3 * style.size
          up = rows.map { |row| [row.map(&:ascent).max || 0.0, 0.7 * style.size].max }
          down = rows.map { |row| [row.map(&:descent).max || 0.0, least].max }
          gap = ROW_GAP * style.size
          height = up.sum + down.sum + (gap * (rows.size - 1))
          at = -(height / 2) - style.length(:axis_height)
          rows.each_index.map { |index|
            (at + up[index]).tap { at += up[index] + down[index] + gap }
          }
        end

        def enclosed(node, style)
          box = row(node.children, style)
          room, rule = FRAME * style.size, style.length(:fraction_rule)
          wide, tall = box.width + (2 * room), box.height + (2 * room)
          up = box.ascent + room
          bars = [Bar.new(0.0, -up, wide, rule), Bar.new(0.0, tall - up - rule, wide, rule),
            Bar.new(0.0, -up, rule, tall), Bar.new(wide - rule, -up, rule, tall)]
          Box.new(width: wide, ascent: up, descent: tall - up, italic: 0.0, single: false,
            marks: box.moved(room, 0.0) + bars)
        end
      end
    end
  end
end
