# frozen_string_literal: true

module Norvel
  module Layout
    # What is drawn of a sheet besides words: grounds and rules of cells and paragraphs, the line over notes. Points
    # from the sheet's top left, y downwards.
    class Ground
      # A filled box, and a line of a width; colours as "#rrggbb", nil for the colour of text.
      Fill = Value.define(:colour, :x, :y, :width, :height)
      Rule = Value.define(:colour, :weight, :x, :y, :across, :down)
      SIDES = %i[top right bottom left].freeze
      NOTE_RULE = 144.0 # long
      NOTE_WEIGHT = 0.5

      # [Fill or Rule, …] of a sheet, in the order in which they are drawn.
      def self.of(sheet)
        drawn = sheet.bands.flat_map { |x, y, column| column(column, x, y) }
        sheet.notes ? drawn << note_rule(sheet) : drawn
      end

      class << self
        private

        def column(column, x, y)
          column.pieces.flat_map do |piece|
            piece.detail ? table(piece, x, y + piece.y) : paragraph(piece, x, y + piece.y)
          end
        end

        def table(piece, x, y)
          found = []
          Placing.cells(piece) do |part, slice|
            cell = part.cell
            box = [x + piece.block.x + cell.x, y + slice.y, cell.width, slice.height]
            found.concat(fill(cell.shading, *box)).concat(rules(cell.borders, *box))
            found.concat(column(part.column, box[0] + cell.margins[:left], box[1] + part.down))
          end
          found
        end

        def paragraph(piece, x, y)
          look = piece.block.look
          box = [x + look[:indent_left], y, piece.block.lines.map(&:room).max, piece.height]
          fill(look[:shading], *box) + rules(Styles::Properties[:borders].type.drawn(look[:borders]), *box)
        end

        def fill(colour, x, y, width, height)
          colour = Colour.hex(colour)
          colour ? [Fill.new(colour:, x:, y:, width:, height:)] : []
        end

        # Lines along the sides of a box that has any.
        def rules(lines, x, y, width, height)
          SIDES.filter_map do |side|
            line = lines[side]
            next if line.nil? || line.none? || line.width.zero?
            from = [(side == :right) ? x + width : x, (side == :bottom) ? y + height : y]
            flat = %i[top bottom].include?(side)
            Rule.new(colour: Colour.hex(line.color), weight: line.width, x: from[0], y: from[1],
              across: flat ? width : 0.0, down: flat ? 0.0 : height)
          end
        end

        def note_rule(sheet)
          Rule.new(colour: nil, weight: NOTE_WEIGHT, x: sheet.frame.left, y: sheet.notes_top - (Foot::SEPARATOR / 2),
            across: NOTE_RULE, down: 0.0)
        end
      end
    end
  end
end
