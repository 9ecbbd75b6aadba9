# frozen_string_literal: true

# How a person puts paragraphs in a style: whether what was set by hand goes, and whether the style stays as it is. What
# was chosen last is kept for the next time.
module Putting
  HANDS = {"goes" => "goes, words set apart stay", "stays" => "stays"}.freeze
  LOOKS = {"style" => "as the style is", "theirs" => "the style takes this look"}.freeze

  # What happens to what was set by hand on whole paragraphs: :goes or :stays.
  def hand
    sent = params[:hand].to_s
    env["rack.session"]["hand"] = sent if HANDS.key?(sent)
    HANDS.keys.find { |one| one == env["rack.session"]["hand"] }&.to_sym || :goes
  end

  # Which look comes out: :style or :theirs. Chosen for a whole document, or here.
  def look_chosen(sent = params[:look])
    LOOKS.key?(sent.to_s) ? sent.to_sym : :style
  end

  # What a style that the document lacks begins with.
  def style_pattern
    @style_pattern ||= manuscript.pattern
  end

  # The look that stands chosen before a person chooses: that of the style; theirs where the style is made now and
  # neither template nor guide says how it looks.
  def look_offered(style, role: nil)
    return look_chosen if LOOKS.key?(params[:look].to_s)
    there = document.styles[style.to_s]&.paragraph? || document.styles.called(style.to_s)
    (there || style_pattern.describes?(document, style.to_s, role:)) ? :style : :theirs
  end

  # Paragraphs in a style by its id, by the name of a usual one, or of a new one.
  def put_in_style(ids, style, look: look_chosen, role: nil)
    raise Norvel::Refused, "No style was chosen." if style.to_s.strip.empty?
    known = document.styles[style.to_s]&.paragraph? || document.styles.called(style.to_s)
    unless known || role || Norvel::Styles::Usual[style]
      raise Norvel::Refused, "There is no paragraph style “#{cut(style.to_s, 60)}” in this document."
    end
    Norvel::Edits::PutInStyle.new(ids, style.to_s, hand:, look:, role:, pattern: style_pattern)
  end

  # The same by what they are: {role => ids}. looks: {role => :style or :theirs}
  def put_in_roles(roles, looks: {})
    Norvel::Edits::PutInRoles.new(roles, manuscript.rules, hand:, looks:, pattern: style_pattern)
  end

  # In a style that takes their look: one that is there, or a new one.
  def style_of_look(ids, name)
    there = document.styles.named(name.to_s.strip)
    return Norvel::Edits::StyleFromLook.new(ids, name) unless there&.paragraph?
    put_in_style(ids, there.id)
  end

  # [[id or name, words], …] of the styles a paragraph may be put in: the usual ones, made when they are first used, and
  # the file's own.
  def styles_to_put_in
    own = document.styles.by_id.values.select(&:paragraph?)
      .reject { |style| style.hidden && document.uses[style.id].zero? && !fresh?(style) }
    list = own.map { |style| [style.id, style.name] } + missing_usual.map { |name| [name, name] }
    list.sort_by { |_, name| name.sub(/(\d+)\z/) { $1.rjust(2, "0") } }
  end

  # Names of the usual styles that the file lacks.
  def missing_usual
    Norvel::Styles::Usual::NAMES.reject { |name| document.styles.called(name) || document.styles.named(name) }
  end

  # Was it made here, so that it is shown though nothing wears it?
  def fresh?(style)
    manuscript.first_document.styles[style.id].nil?
  end

  # "2 values set by hand go: centred, 14 pt"
  def going_words(going)
    return "Nothing was set by hand." if going.empty?
    said = going.flat_map do |name, values|
      values.map { |value| Norvel::Survey::Departures::Departure.new(name, value).spoken(unit) }
    end
    "#{counted(said.size, "value")} set by hand #{(said.size == 1) ? "goes" : "go"}: #{said.first(6).join(", ")}" \
      "#{" and #{said.size - 6} more" if said.size > 6}."
  end

  # "Looks as the style does: size 14 pt → 12 pt, bold → not bold."
  def outcome_words(differences)
    return "They look as they do now." if differences.empty?
    said = differences.map do |property, theirs, its|
      next "#{"not " unless its}#{property.label.downcase}" if property.flag?
      "#{property.label.downcase} #{said_of(property, theirs)} → #{said_of(property, its)}"
    end
    "Changes: #{said.first(6).join(", ")}#{" and #{said.size - 6} more" if said.size > 6}."
  end

  # A paragraph as it would be, for both outcomes: [["style", "as the style is", Paragraph, Document], …]. ids: those
  # whose look counts, the first is drawn
  def outcomes(ids, style, role: nil)
    Putting::LOOKS.map do |look, words|
      after = put_in_style(ids, style, look: look.to_sym, role:).change(document)
      [look, words, after.paragraph(ids.first), after]
    end
  end
end
