# frozen_string_literal: true

# Formulas on a sheet: letters where they stand, glyphs that no character names as outlines. Units: points of the sheet.
module SheetFormulas
  FORMULAS = Norvel::Layout::Formulas
  FAMILY = "TeX Gyre Termes Math"
  COMMANDS = {move: "M", line: "L", curve: "C", close: "Z"}.freeze

  # A part of a formula (Formulas::Box) from its left on the baseline, in a colour.
  def formula_drawn(box, x, y, colour)
    marks = box.marks.map { |mark| formula_mark(mark, fine(x + mark.x), fine(y + mark.down)) }
    %(<g class="formula" fill="#{Norvel::Colour.hex(colour) || "#000000"}">#{marks.join}</g>)
  end

  private

  def formula_mark(mark, x, y)
    case mark
    when FORMULAS::Letters
      %(<text x="#{x}" y="#{y}" font-family="#{FAMILY}" font-size="#{fine(mark.size)}">#{h mark.text}</text>)
    when FORMULAS::Shape then formula_shape(mark, x, y)
    else %(<rect x="#{x}" y="#{y}" width="#{fine(mark.width)}" height="#{fine(mark.height)}"/>)
    end
  end

  def formula_shape(shape, x, y)
    face = FORMULAS::MathsFace.shipped
    scale = (shape.size / face.units).round(5)
    path = face.outline(shape.glyph).commands.map { |name, *numbers| COMMANDS[name] + numbers.join(" ") }.join
    %(<path transform="translate(#{x} #{y}) scale(#{scale} #{-scale})" d="#{path}"/>)
  end
end
