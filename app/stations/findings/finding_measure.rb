# frozen_string_literal: true

# The measure that a finding is about, as it is drawn on a sheet: a margin, a space, an indent, the height of a line.
# Units: points of the sheet.
class FindingMeasure
  TICK = 4 # half the length of a stroke that ends a measure
  ROOM = 14 # between the text and a measure beside it
  LONGEST = 24 # letters of its words

  # finding: a Norvel::Guide::Finding; sheet: a Norvel::Layout::Sheet; section: the Section that it has the set-up of
  def initialize(finding, sheet, section)
    @finding = finding
    @sheet = sheet
    @frame = sheet.frame
    @section = section
    @lines = lines
  end

  # Around the paragraph that it is at: {x:, y:, width:, height:}, nil for none.
  def box
    return if @lines.empty? || margin?
    {x: left - 4, y: top - 1, width: right - left + 8, height: bottom - top + 2}.transform_values { |one| fine(one) }
  end

  # The measure as a path, "" for what is no length.
  def stroke
    measure.first
  end

  # What was found, and where that is told: [words, x, y]
  def words
    stroke, x, y = measure
    text = stroke.empty? ? "" : @finding.found.to_s
    [(text.size > LONGEST) ? "#{text[0, LONGEST - 1]}…" : text, fine(x), fine(y)]
  end

  # The edges of the text, across and down the sheet.
  def frame
    "M#{fine(@frame.left)} 0V#{fine(@section.height)}M#{fine(@frame.right)} 0V#{fine(@section.height)}" \
      "M0 #{fine(@frame.top)}H#{fine(@section.width)}M0 #{fine(@frame.bottom)}H#{fine(@section.width)}"
  end

  private

  def lines
    return [] unless @finding.paragraph
    (@sheet.lines + @sheet.note_lines).select { |line| line.block.paragraph&.id == @finding.paragraph }
  end

  def margin?
    @finding.rule.start_with?("page.margin")
  end

  def name
    @finding.rule[/\w+\z/]
  end

  # [path, x and y of its words]
  def measure
    @measure ||= (margin? ? margin : of_paragraph) || ["", 0, 0]
  end

  def margin
    middle = @section.height / 2
    case name
    when "left", "inside" then across(0, @frame.left, middle)
    when "right", "outside" then across(@frame.right, @section.width, middle)
    when "top" then down(@section.width / 2, 0, @frame.top)
    else down(@section.width / 2, @frame.bottom, @section.height)
    end
  end

  def of_paragraph
    return if @lines.empty?
    beside = right + ROOM
    case name
    when "space_before" then down(beside, end_before, top)
    when "space_after" then down(beside, bottom, start_after)
    when "line_spacing" then down(beside, @lines.first.baseline, @lines[1]&.baseline || bottom)
    when "size" then down(beside, top, top + @lines.first.height)
    when "stranded_heading" then down(beside, bottom, @frame.bottom)
    when "indent_left", "indent", "tab_indent", "space_indent" then across(@frame.left, left, top)
    when "first_line" then across(@lines[1]&.left || @frame.left, @lines.first.left, top)
    when "indent_right" then across(right, @frame.right, top)
    when "align" then edges
    end
  end

  def left = @lines.map(&:left).min

  def right = @lines.map { |one| one.left + one.width }.max

  def top = @lines.first.top

  def bottom = @lines.last.top + @lines.last.height

  # Where the line above ends, and the one below begins.
  def end_before
    @sheet.lines.map { |one| one.top + one.height }.select { |end_of_line| end_of_line <= top + 1 }.max || @frame.top
  end

  def start_after
    @sheet.lines.map(&:top).select { |start| start >= bottom - 1 }.min || @frame.bottom
  end

  def down(x, from, to)
    stroke = "M#{fine(x - TICK)} #{fine(from)}h#{TICK * 2}M#{fine(x)} #{fine(from)}V#{fine(to)}" \
      "M#{fine(x - TICK)} #{fine(to)}h#{TICK * 2}"
    [stroke, x + 8, ((from + to) / 2) + 5]
  end

  def across(from, to, top)
    y = top - 5
    stroke = "M#{fine(from)} #{fine(y - TICK)}v#{TICK * 2}M#{fine(from)} #{fine(y)}H#{fine(to)}" \
      "M#{fine(to)} #{fine(y - TICK)}v#{TICK * 2}"
    [stroke, [from, to].max + 8, y]
  end

  # Both edges of the text, that the lines should reach or stand between.
  def edges
    stroke = [@frame.left, @frame.right].map { |x| "M#{fine(x)} #{fine(top - 8)}V#{fine(bottom + 8)}" }.join
    [stroke, @frame.right + 8, top + 8]
  end

  def fine(number)
    number.round(1)
  end
end
