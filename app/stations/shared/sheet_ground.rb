# frozen_string_literal: true

# What is drawn of a sheet besides words, as SVG. Units: points of the sheet.
module SheetGround
  def sheet_ground(sheet)
    Norvel::Layout::Ground.of(sheet)
      .map { |one| one.is_a?(Norvel::Layout::Ground::Fill) ? filled(one) : ruled(one) }.join
  end

  private

  def filled(box)
    %(<rect fill="#{box.colour}" x="#{fine(box.x)}" y="#{fine(box.y)}" width="#{fine(box.width)}" ) +
      %(height="#{fine(box.height)}"/>)
  end

  def ruled(line)
    path = "M#{fine(line.x)} #{fine(line.y)}#{line.down.zero? ? "h#{fine(line.across)}" : "v#{fine(line.down)}"}"
    %(<path fill="none" stroke="#{line.colour || "currentColor"}" stroke-width="#{line.weight.round(2)}" d="#{path}"/>)
  end
end
