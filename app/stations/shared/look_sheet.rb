# frozen_string_literal: true

# Looks as classes of a stylesheet, since the pages carry no styles of their own (Content-Security-Policy). Sizes are in
# var(--pt), the length of a point on the screen.
module LookSheet
  HANGING = "display:inline-block;text-indent:0;min-width:%s"

  # The link to a sheet of this document's looks, by the state it is of.
  def sheet_link(name, **query)
    %(<link rel="stylesheet" href="#{h path_to(name, **query, v: manuscript.lock_version)}">)
  end

  # The class of a paragraph's look, or of a run's.
  def look_class(look, place)
    @look_classes ||= {}.compare_by_identity
    @look_classes[look] ||= begin
      values = Norvel::Styles::Properties.shown_on(place).map { |property| look[property.name] }
      "#{(place == :paragraph) ? "p" : "r"}#{Digest::SHA256.hexdigest(values.to_json)[0, 9]}"
    end
  end

  # The class of most letters of a paragraph: its lines are as tall as those are, not as the page's own.
  def letters_class(letters)
    family = Norvel::ShippedFonts.stand_in(letters[:font]).family.scan(/[A-Z]/).join.downcase
    "z#{(letters[:size] * 10).round}#{family}#{"b" if letters[:bold]}#{"i" if letters[:italic]}"
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
      rules[look_class(look, :paragraph)] ||= declare(stylesheet.paragraph(look))
      letters = whose.letter_look(paragraph)
      rules[letters_class(letters)] ||= declare(stylesheet.lines_of(letters))
      looks = [letters, *paragraph.runs.map { |run| whose.run_look(run, paragraph) }]
      looks << whose.cascade.marker(paragraph) if whose.markers.key?(paragraph.id)
      looks.each { |run_look| rules[look_class(run_look, :run)] ||= declare(stylesheet.run(run_look)) }
      (hang = hanging(paragraph, whose)) && rules[hang_class(hang)] ||= HANGING % points(hang)
    end
    rules.map { |name, declarations| ".#{name}{#{declarations}}" }.join("\n")
  end

  private

  def stylesheet
    @stylesheet ||= Norvel::Formats::Html::Stylesheet.new(length: method(:points))
  end

  def points(value)
    "calc(var(--pt)*#{Norvel::Length.plain(value.round(2))})"
  end

  # Values come from files: only what can't end a declaration passes.
  def declare(css)
    css.map { |name, value| "#{name}:#{value.to_s.gsub(/[{};<>\\]/, "")}" }.join(";")
  end
end
