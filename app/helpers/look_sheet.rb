# frozen_string_literal: true

# Looks as classes of a stylesheet, since the pages carry no styles of their own (Content-Security-Policy). Sizes are in
# var(--pt), the length of a point on the screen.
module LookSheet
  # The class of a paragraph's look, or of a run's.
  def look_class(look, place)
    @look_classes ||= {}.compare_by_identity
    @look_classes[look] ||= "#{(place == :paragraph) ? "p" : "r"}#{Digest::SHA256.hexdigest(Norvel::Styles::Properties.shown_on(place).map { |property| look[property.name] }.to_json)[0, 9]}"
  end

  # The class of a size, for paragraphs: lines are as tall as the letters in them, not as the page's own.
  def size_class(size)
    "z#{(size * 10).round}"
  end

  # How far a paragraph hangs behind its marker, in points; nil where a tab takes no text there.
  def hanging(paragraph, whose)
    place = whose.cascade.list_of(paragraph)
    hang = -whose.look(paragraph)[:first_line]
    hang if place && hang.positive? && whose.numbering.level(*place)&.suffix == "tab"
  end

  # The class of a marker that so much text hangs behind.
  def hang_class(points)
    "h#{(points * 10).round}"
  end

  # The rules for all looks that these paragraphs have.
  def look_rules(paragraphs, whose = document)
    rules = {}
    paragraphs.each do |paragraph|
      look = whose.look(paragraph)
      rules[look_class(look, :paragraph)] ||= paragraph_rule(look)
      letters = whose.letter_look(paragraph)
      rules[look_class(letters, :run)] ||= run_rule(letters)
      rules[size_class(letters[:size])] ||= "font-size:#{points(letters[:size])}"
      rules[look_class(marker = whose.cascade.marker(paragraph), :run)] ||= run_rule(marker) if whose.markers.key?(paragraph.id)
      (hang = hanging(paragraph, whose)) && rules[hang_class(hang)] ||= "display:inline-block;text-indent:0;min-width:#{points(hang)}"
      paragraph.runs.each { |run| rules[look_class(run_look = whose.run_look(run, paragraph), :run)] ||= run_rule(run_look) }
    end
    rules.map { |name, declarations| ".#{name}{#{declarations}}" }.join("\n")
  end

  private

  def paragraph_rule(look)
    css = {
      "text-align" => look[:align], "text-indent" => points(look[:first_line]), "padding-left" => points([look[:indent_left], 0].max), "padding-right" => points([look[:indent_right], 0].max),
      "padding-top" => points([look[:space_before], 0].max), "padding-bottom" => points([look[:space_after], 0].max), "line-height" => line_height(look[:line_spacing])
    }
    css["margin-left"] = points(look[:indent_left]) if look[:indent_left].negative?
    css["direction"] = "rtl" if look[:right_to_left]
    declare(css.merge(mapped(look, :paragraph)))
  end

  def run_rule(look)
    stand_in = Norvel::Fonts.stand_in(look[:font])
    css = {"font-family" => "\"#{stand_in.family}\", #{{"serif" => "serif", "mono" => "monospace"}.fetch(stand_in.kind, "sans-serif")}", "font-size" => points(look[:size] * ((look[:position] == "normal") ? 1 : 0.65))}
    lines = [("underline" if look[:underline] != "none"), ("line-through" if look[:strike])].compact
    css["text-decoration"] = lines.join(" ") unless lines.empty?
    css["vertical-align"] = look[:position] unless look[:position] == "normal"
    css["letter-spacing"] = points(look[:letter_spacing]) unless look[:letter_spacing].zero?
    declare(css.merge(mapped(look, :run)))
  end

  def mapped(look, place)
    Norvel::Styles::Properties.on(place).select(&:css).inject({}) { |css, property| css.merge(property.css.call(look[property.name])) }
  end

  def points(value)
    "calc(var(--pt)*#{Norvel::Length.plain(value.round(2))})"
  end

  # Natural line height is 1.15 of the size in the fonts that ship (hhea tables).
  def line_height(spacing)
    (spacing[:rule] == "multiple") ? (spacing[:value] * 1.15).round(3).to_s : points(spacing[:value])
  end

  # Values come from files: only what can't end a declaration passes.
  def declare(css)
    css.map { |name, value| "#{name}:#{value.to_s.gsub(/[{};<>\\]/, "")}" }.join(";")
  end
end
