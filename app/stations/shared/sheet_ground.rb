# frozen_string_literal: true

# What is drawn of a sheet besides words: rules and grounds of cells and paragraphs, the line over notes. Units: points
# of the sheet.
module SheetGround
  SIDES = %i[top right bottom left].freeze

  # SVG of all of it.
  def sheet_ground(sheet)
    drawn = sheet.bands.map { |x, y, column| column_ground(column, x, y) }
    drawn << note_rule(sheet) if sheet.notes
    drawn.join
  end

  private

  def column_ground(column, x, y)
    column.pieces.map { |piece|
      piece.detail ? table_ground(piece, x, y + piece.y) : paragraph_ground(piece, x, y + piece.y)
    }.join
  end

  def table_ground(piece, x, y)
    found = []
    Norvel::Layout::Placing.cells(piece) do |part, slice|
      cell = part.cell
      box = [x + piece.block.x + cell.x, y + slice.y, cell.width, slice.height]
      found << ground(cell.shading, *box) << rules(cell.borders, *box)
      found << column_ground(part.column, box[0] + cell.margins[:left], box[1] + part.down)
    end
    found.join
  end

  def paragraph_ground(piece, x, y)
    block = piece.block
    look = block.look
    room = block.lines.map(&:room).max
    box = [x + look[:indent_left], y, room, piece.height]
    lines = Norvel::Styles::Properties[:borders].type.drawn(look[:borders])
    ground(look[:shading], *box) + rules(lines, *box)
  end

  def ground(colour, x, y, width, height)
    colour = Norvel::Colour.hex(colour) or return ""
    %(<rect fill="#{colour}" x="#{fine(x)}" y="#{fine(y)}" width="#{fine(width)}" height="#{fine(height)}"/>)
  end

  # Lines along the sides of a box that has any.
  def rules(lines, x, y, width, height)
    SIDES.filter_map { |side|
      line = lines[side] or next
      next if line.none? || line.width.zero?
      colour = Norvel::Colour.hex(line.color) || "currentColor"
      path = {top: "M#{fine(x)} #{fine(y)}h#{fine(width)}", bottom: "M#{fine(x)} #{fine(y + height)}h#{fine(width)}",
              left: "M#{fine(x)} #{fine(y)}v#{fine(height)}", right: "M#{fine(x + width)} #{fine(y)}v#{fine(height)}"}
      %(<path fill="none" stroke="#{h colour}" stroke-width="#{line.width.round(2)}" d="#{path[side]}"/>)
    }.join
  end

  def note_rule(sheet)
    y = sheet.notes_top - (Norvel::Layout::Foot::SEPARATOR / 2)
    %(<path fill="none" stroke="currentColor" stroke-width=".5" d="M#{fine(sheet.frame.left)} #{fine(y)}h144"/>)
  end
end
