# frozen_string_literal: true

# The small drawing of one paragraph's measures, to scale: the width is the measure of its section.
module Gauge
  WIDTH = 92.0
  EDGE = 6.0
  ROOM = WIDTH - (2 * EDGE)
  GAP = 6.0
  LEAD = 6.0

  # An SVG. Equal looks with as many lines are drawn once a page.
  def gauge(paragraph)
    look = document.look(paragraph)
    form = form_of(paragraph)
    lines = [lines_of(paragraph), 4].min
    last = paragraph.text.size % 5
    ((@gauges ||= {})[look] ||= {})[[form, lines, last, paragraph.section]] ||= draw_gauge(look, form, lines, last,
      document.section_of(paragraph).measure)
  end

  private

  def draw_gauge(look, form, lines, last, measure)
    scale = ROOM / measure
    left, right = [look[:indent_left], look[:indent_right]].map { |v| (v * scale).clamp(-EDGE, ROOM * 0.8) }
    first = (look[:first_line] * scale).clamp(-EDGE - left, ROOM - left)
    before, after = [look[:space_before], look[:space_after]].map { |v| [v / 4.0, 9].min }
    height = (2 * GAP) + before + after + (lines * LEAD) - 2
    body = (form == "x") ? [%(<path class="g-blank" d="M#{EDGE} #{fine(height / 2)}H#{WIDTH - EDGE}"/>)] : bars(look,
      form, lines, last, left, right, first, before)
    marks = dimensions(look, left, first, before, after, height)
    tall = fine(height)
    edges = %(<path class="g-edge" d="M#{EDGE} 0V#{tall}M#{WIDTH - EDGE} 0V#{tall}"/>)
    %(<svg class="gauge" width="92" height="#{tall}" viewBox="0 0 92 #{tall}" role="img" ) +
      %(aria-label="#{h(gauge_words(look))}">#{edges}#{body.join}#{marks.join}</svg>)
  end

  def bars(look, form, lines, last, left, right, first, before)
    (0...lines).map do |line|
      start = EDGE + left + (line.zero? ? first : 0)
      finish = WIDTH - EDGE - right
      width = [(line == lines - 1) ? (finish - start) * (0.45 + (last * 0.1)) : finish - start, 3].max
      x = {"center" => start + ((finish - start - width) / 2), "right" => finish - width}.fetch(look[:align], start)
      rect("g-line #{form}", x, GAP + before + (line * LEAD), width, (form == "h1") ? 4.5 : 3)
    end
  end

  # Only measures that are not nothing are dimensioned.
  def dimensions(look, left, first, before, after, height)
    y = fine(GAP + before + 1.5)
    [
      (%(<path class="g-dim" d="M#{EDGE} #{y}H#{fine(EDGE + left)}"/>) if left.abs > 0.5),
      (%(<path class="g-dim" d="M#{fine(EDGE + left)} #{y}H#{fine(EDGE + left + first)}"/>) if first.abs > 0.5),
      (%(<path class="g-dim" d="M#{EDGE - 3} #{GAP - 3}v#{fine(before)}"/>) if before > 0.5),
      (%(<path class="g-dim" d="M#{WIDTH - EDGE + 3} #{fine(height - after - 1)}v#{fine(after)}"/>) if after > 0.5)
    ].compact
  end

  def gauge_words(look)
    said = {"left indent" => look[:indent_left], "right indent" => look[:indent_right],
            "first line" => look[:first_line], "space before" => look[:space_before],
            "space after" => look[:space_after]}
    nonzero = said.reject { |_, value| value.zero? }
    if nonzero.empty?
      "no indents, no space"
    else
      nonzero.map { |name, value| "#{name} #{Norvel::Length.spoken(value, name.start_with?("space") ? "pt" : unit)}" }
        .join(", ")
    end
  end

  def fine(number)
    Norvel::Length.plain(number.round(1))
  end

  def rect(kind, x, y, width, height)
    %(<rect class="#{kind}" x="#{fine(x)}" y="#{fine(y)}" width="#{fine(width)}" height="#{height}"/>)
  end
end
