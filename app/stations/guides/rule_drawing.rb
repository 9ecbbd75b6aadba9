# frozen_string_literal: true

# What a rule measures, as a small drawing: the sheet with a margin, or lines of text with an indent, a space or their
# distance. Units: those of the drawing.
class RuleDrawing
  WIDTH = 150
  HEIGHT = 74
  LEFT = 20 # edges of the text
  RIGHT = 130
  PITCH = 10 # of its lines
  TICK = 3
  SIDES = %w[top bottom left right inside outside].freeze
  # {property => [x or y from, to, at, which way]} of the measure
  MEASURES = {
    "indent_left" => [LEFT, 44, 22, :across], "indent_right" => [106, RIGHT, 22, :across],
    "first_line" => [LEFT, 44, 22, :across], "space_before" => [12, 27, 74, :down],
    "space_after" => [52, 64, 74, :down], "line_spacing" => [30, 40, 138, :down], "size" => [24, 33, 138, :down],
    "indent" => [LEFT, 44, 22, :across], "hanging" => [30, 44, 22, :across]
  }.freeze

  # The drawing of a rule's place in a guide; nil for what is no measure.
  def self.of(place)
    new(place.last.to_s) if SIDES.include?(place.last) || MEASURES.key?(place.last)
  end

  def initialize(name)
    @name = name
  end

  # What is there: a sheet, or lines of text, as a path.
  def ground
    margin? ? "M40 4h70v66h-70z" : [above, paragraph, below].join
  end

  # Where text stands on a sheet; "" for lines.
  def text
    margin? ? "M52 14h46v46h-46z" : ""
  end

  # What is measured, as a path.
  def measure
    return margin if margin?
    from, to, at, way = MEASURES.fetch(@name)
    (way == :across) ? across(from, to, at) : down(from, to, at)
  end

  private

  def margin?
    SIDES.include?(@name)
  end

  def margin
    case @name
    when "top" then down(4, 14, 75)
    when "bottom" then down(60, 70, 75)
    when "right", "outside" then across(98, 110, 37)
    else across(40, 52, 37)
    end
  end

  def above
    line(LEFT, RIGHT, 10)
  end

  # Three lines, the first and last shorter.
  def paragraph
    left = %w[indent_left indent hanging].include?(@name) ? 44 : LEFT
    right = (@name == "indent_right") ? 106 : RIGHT
    first = (@name == "first_line") ? 44 : left
    line(first, right, 30) + line(left, right, 30 + PITCH) + line(left, right - 40, 30 + (2 * PITCH))
  end

  def below
    line(LEFT, RIGHT, 66)
  end

  def line(from, to, at)
    "M#{from} #{at}H#{to}"
  end

  def across(from, to, at)
    "M#{from} #{at - TICK}v#{TICK * 2}M#{from} #{at}H#{to}M#{to} #{at - TICK}v#{TICK * 2}"
  end

  def down(from, to, at)
    "M#{at - TICK} #{from}h#{TICK * 2}M#{at} #{from}V#{to}M#{at - TICK} #{to}h#{TICK * 2}"
  end
end
