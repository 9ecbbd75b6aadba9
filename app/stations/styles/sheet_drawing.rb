# frozen_string_literal: true

# A page set-up drawn to scale: the sheet, its text as lines, and the measures of its margins.
class SheetDrawing
  SCALE = 0.42 # pixels to a point
  LINE = 8.0 # from line to line
  GAP = 14.0 # points between columns
  # name: whose value is written there, or :sheet, :head, :foot
  Word = Struct.new(:name, :x, :y, :anchor)

  attr_reader :left, :top

  def initialize(style)
    @style = style
    @left, @top = 74, 34
  end

  def width
    scaled(@style.width)
  end

  def height
    scaled(@style.height)
  end

  def wide
    (width + 190).round
  end

  def tall
    (height + 64).round
  end

  # The text, column by column; every ninth line ends a paragraph.
  def lines
    (0...@style.columns).flat_map do |column|
      x = inner_left + (column * (column_width + (GAP * SCALE)))
      (0...((inner_bottom - inner_top) / LINE).floor).map { |line| line_at(x, line) }
    end.join
  end

  def heads
    head = "M#{fine(inner_left)} #{fine(top + scaled(@style.header))}h#{fine((inner_right - inner_left) * 0.4)}"
    head + "M#{fine(left + (width / 2) - 6)} #{fine(top + height - scaled(@style.footer))}h12"
  end

  # The edges of the text, drawn past the sheet.
  def edges
    upright = [inner_left, inner_right].map { |x| "M#{fine(x)} #{top - 16}v#{fine(height + 16)}" }
    across = [inner_top, inner_bottom].map { |y| "M#{left - 20} #{fine(y)}h#{fine(width + 20)}" }
    (upright + across).join
  end

  def dimensions
    across = [[left, inner_left], [inner_right, left + width]].map { |from, to| across(from, to, top - 10) }
    down = [[top, inner_top], [inner_bottom, top + height]].map { |from, to| down(from, to, left - 12) }
    (across + down).join
  end

  def words
    middle = ->(one, other) { fine((one + other) / 2) }
    [
      Word.new(:margin_left, middle[left, inner_left], top - 18, "middle"),
      Word.new(:margin_right, middle[inner_right, left + width], top - 18, "middle"),
      Word.new(:margin_top, left - 20, fine(((top + inner_top) / 2) + 4), "end"),
      Word.new(:margin_bottom, left - 20, fine(((inner_bottom + top + height) / 2) + 4), "end"),
      Word.new(:header, fine(left + width + 10), fine(top + scaled(@style.header) + 4), "start"),
      Word.new(:footer, fine(left + width + 10), fine(top + height - scaled(@style.footer) + 4), "start"),
      Word.new(:sheet, fine(left + (width / 2)), fine(top + height + 20), "middle")
    ]
  end

  private

  def scaled(points)
    (points * SCALE).round(1)
  end

  def fine(value)
    value.round(1)
  end

  def inner_left
    left + scaled(@style.margin_left)
  end

  def inner_right
    left + width - scaled(@style.margin_right)
  end

  def inner_top
    top + scaled(@style.margin_top)
  end

  def inner_bottom
    top + height - scaled(@style.margin_bottom)
  end

  def column_width
    columns = @style.columns
    (inner_right - inner_left - (GAP * SCALE * (columns - 1))) / columns
  end

  def line_at(x, line)
    length = (line % 9 == 8) ? column_width * 0.6 : column_width
    "M#{fine(x)} #{fine(inner_top + 5 + (line * LINE))}h#{fine(length)}"
  end

  def across(from, to, y)
    "M#{fine(from)} #{y}H#{fine(to)}M#{fine(from)} #{y - 4}v8M#{fine(to)} #{y - 4}v8"
  end

  def down(from, to, x)
    "M#{x} #{fine(from)}V#{fine(to)}M#{x - 4} #{fine(from)}h8M#{x - 4} #{fine(to)}h8"
  end
end
