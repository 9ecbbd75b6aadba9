# frozen_string_literal: true

# How lists are shown: the levels of one, the marker of a level in parts that a person can type.
module ListView
  FORMATS = {"decimal" => "1, 2, 3", "lower_letter" => "a, b, c", "upper_letter" => "A, B, C",
             "lower_roman" => "i, ii, iii", "upper_roman" => "I, II, III", "decimal_zero" => "01, 02, 03",
             "bullet" => "a sign",
             "none" => "no number"}.freeze
  # Lists that are offered before a document has any: made when they are first used.
  READY = {"Bullets" => "bullets", "Numbers" => "numbers"}.freeze
  SIDES = {"left" => "left", "right" => "right", "center" => "centred"}.freeze

  # Paragraphs of each list style, by style id.
  def list_uses
    @list_uses ||= document.paragraphs.filter_map { |paragraph|
      (place = document.cascade.list_of(paragraph)) &&
        document.numbering.definition_of(place.first)&.style_id
    }.tally.tap { |counts| counts.default = 0 }
  end

  def list_words(style)
    levels = document.numbering.levels(style.paragraph[:list_id])
    levels.keys.sort.first(3).map { |number| sample_marker(levels, number) }.join(" · ")
  end

  # Lists that a paragraph or a style can be put in: [name, list id].
  def lists
    document.sheet.ordered("numbering").reject(&:default).filter_map do |style|
      (id = style.paragraph[:list_id]) && document.numbering.known?(id) && [style.name, id]
    end
  end

  # The marker of a level where every level stands at its first number.
  def sample_marker(levels, number)
    levels[number].marker(levels, levels.transform_values(&:start))
  end

  # What stands before the numbers, whether those of the levels above stand there too, and what stands after: "Chapter
  # %1:" in parts.
  def marker_parts(level, number)
    match = /\A(?<before>[^%]*)(?<above>(?:%\d[^%\d]*)*)%#{number + 1}(?<after>[^%]*)\z/.match(level.text.to_s)
    return {before: "", above: number.positive?, after: ""} unless match
    {before: match[:before], above: !match[:above].empty?, after: match[:after]}
  end

  # The level's place: [definition id, number, Level], of a list style at the level asked for, or of a paragraph style's
  # own list.
  def chosen_level(style)
    id, number = (style.type == "numbering") ? [style.paragraph[:list_id],
      params[:level].to_i.clamp(1, 9) - 1] : document.cascade.list_of(specimen_like(style))
    level = id && document.numbering.level(id, number)
    level && [document.numbering.list(id).definition_id, number, level]
  end

  # The values that were typed into the form of a level, as far as they differ from it.
  def typed_level(level, number)
    typed = params[:of_level] || {}
    said = {format: typed["format"], suffix: typed["suffix"], align: typed["align"], start: typed_start(typed),
            text: typed_marker(typed, level, number)}.compact
    said[:restart_after] = Integer(typed["restart"], 10, exception: false) if typed.key?("restart")
    typed_letters(typed, level).merge(typed_place(typed, level), said.reject { |name, value| value == level[name] })
  end

  # [where the marker stands, where the text begins], in points from the margin.
  def level_place(level)
    left = level.paragraph[:indent_left] || 0.0
    [left + (level.paragraph[:first_line] || 0.0), left]
  end

  private

  def typed_start(typed)
    return unless typed.key?("start")
    Integer(typed["start"], 10, exception: false) or raise Norvel::Refused,
      "“#{typed["start"]}” is not a number to start at."
  end

  # A level that was a sign and counts from now on has no parts typed yet.
  def typed_marker(typed, level, number)
    return typed["sign"].to_s.strip.then { |sign| sign.empty? ? "•" : sign } if typed["format"] == "bullet"
    return (level.bullet? && typed["format"]) ? "%#{number + 1}." : nil unless typed.key?("before")
    numbers = (typed["above"] == "yes") ? (1..number + 1).map { |n| "%#{n}" }.join(".") : "%#{number + 1}"
    "#{typed["before"].delete("%")}#{numbers}#{typed["after"].to_s.delete("%")}"
  end

  def typed_place(typed, level)
    words = typed.values_at("marker_at", "text_at")
    place = level_place(level)
    return {} if words.include?(nil) || words.map(&:strip) == place.map { |points| Norvel::Length.spoken(points, unit) }
    at, text_at = words.zip(place).map { |text, was|
      (text.strip == Norvel::Length.spoken(was, unit)) ? was : Norvel::Length.typed(text)
    }
    {indent_left: text_at, first_line: (at - text_at).round(4)}
  end

  def typed_letters(typed, level)
    {bold: {"yes" => true, "no" => false}[typed["bold"]],
     color: typed["color"].to_s.strip.then { |text|
       unless ["", "as its text"].include?(text)
         Norvel::Styles::Properties[:color].type
           .typed(text)
       end
     }}
      .select { |name, value| typed.key?(name.to_s) && value != level.run[name] }
  end

  # A paragraph as one in the style would be.
  def specimen_like(style)
    specimen_ground.with(style_id: style.id)
  end
end
