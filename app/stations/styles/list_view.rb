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
    document.styles.ordered("numbering").reject(&:default).filter_map do |style|
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
      whole(:level).clamp(1, 9) - 1] : document.cascade.list_of(specimen_like(style))
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

  # A level as it is drawn: its marker and text where they stand.
  LevelRow = Struct.new(:number, :y, :from, :to, :anchor, :marker, :places, :here, keyword_init: true) do
    # Text that does not reach past its marker stands behind it.
    def text_x
      (to > from) ? to : (from + 8 + (marker.size * 8)).round(1)
    end

    def dimension
      "M8 #{y + 14}H#{to}M8 #{y + 10}v8M#{from} #{y + 10}v8M#{to} #{y + 10}v8"
    end
  end
  SCALE = 1.1 # pixels to a point
  ANCHORS = Hash.new("start").merge("right" => "end", "center" => "middle").freeze

  def level_rows(style, whose)
    levels = whose.numbering.levels(style.paragraph[:list_id])
    levels.keys.sort.map { |number| level_row(levels, number) }
  end

  def level_row(levels, number)
    places = level_place(levels[number])
    from, to = places.map { |points| (8 + (points * SCALE)).round(1) }
    LevelRow.new(number:, y: 26 + (number * 52), from:, to:, anchor: ANCHORS[levels[number].align],
      marker: sample_marker(levels, number), here: number + 1 == whole(:level).clamp(1, 9),
      places: places.map { |points| Norvel::Length.spoken(points, unit) }.join(" · "))
  end

  # The list level that a paragraph in a style has by that, or nil.
  def list_at(style)
    document.cascade.list_of(specimen_like(style))
  end

  # [[list id, words], …] that a style may be in. own: its list's id, at: the place it has by its base too.
  def list_choices(own, at)
    none = [["", (own.nil? && at) ? "as its base" : "none"]]
    none << [0, "none, whatever its base"] if own || at
    there = lists.map { |name, id| [id, name] }
    there << [own, "its own numbers"] if own&.positive? && lists.none? { |_, id| id == own }
    none + there
  end

  # The Fields of a level's form.
  def level_fields(level, number)
    field = ->(name, label, value, choices = nil) { StyleView::Field.new(name, label, value, choices) }
    marker_at, text_at = level_place(level).map { |points| Norvel::Length.spoken(points, unit) }
    bold = {true => "yes", false => "no"}[level.run[:bold]]
    [
      field["format", "Numbers", level.format, FORMATS], *marker_fields(level, number, field),
      field["suffix", "Then", level.suffix, Norvel::Edits::NumberHeadings::SEPARATORS],
      field["marker_at", "Marker at", marker_at], field["text_at", "Text at", text_at],
      field["align", "Set", level.align, SIDES],
      field["bold", "Bold", bold, {"" => "as its text", "yes" => "yes", "no" => "no"}],
      field["color", "Colour", level.run[:color] || "as its text"]
    ]
  end

  private

  ABOVE = {"yes" => "stand in it: 1.1", "no" => "not: 1"}.freeze

  def marker_fields(level, number, field)
    return [field["sign", "Sign", level.marker({}, {})]] if level.bullet?
    parts = marker_parts(level, number)
    restarts = {"" => "after any level above", 0 => "never"}.merge((1..number).to_h { |n| [n, "after level #{n}"] })
    [
      field["before", "Before it", parts[:before]],
      (field["above", "Levels above", parts[:above] ? "yes" : "no", ABOVE] if number.positive?),
      field["after", "After it", parts[:after]], field["start", "Starts at", level.start],
      (field["restart", "Begins anew", level.restart_after, restarts] if number.positive?)
    ].compact
  end

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
      (text.strip == Norvel::Length.spoken(was, unit)) ? was : typed_length(text)
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
