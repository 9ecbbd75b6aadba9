# frozen_string_literal: true

# What the galley's bench says of the paragraphs that are selected.
module BenchView
  # Shown though nobody set them.
  ALWAYS = %i[font size align line_spacing].freeze

  # Styles that a letter stands for or that are in use, the most used first.
  def lettered_styles
    styles = document.styles.by_id.values.select(&:paragraph?)
    styles.select { |style| document.uses[style.id].positive? || letter_of(style) }
      .sort_by { |style| [-document.uses[style.id], style.name] }
  end

  # "In <b>Body Text</b> (12), <b>Heading 1</b> (2) and 3 more styles."
  def in_styles_words(paragraphs)
    names = paragraphs.map { |paragraph| document.style_name(paragraph) }.tally.sort_by { |_, count| -count }
    said = names.first(3).map { |name, count| "<b>#{h name}</b>#{" (#{number(count)})" if names.size > 1}" }.join(", ")
    more = " and #{names.size - 3} more styles" if names.size > 3
    words = " #{counted(paragraphs.first.word_count, "word")}." if paragraphs.size == 1
    "In #{said}#{more}.#{words}"
  end

  # What they look like, and their styles: "Looks like <b>heading 1</b>. In <b>Standard</b>."
  def what_it_is(paragraphs)
    role = kind_of(paragraphs)
    verb = (paragraphs.size == 1) ? "Looks" : "Look"
    "#{"#{verb} like <b>#{h role_words(role)}</b>. " if role}#{in_styles_words(paragraphs)}"
  end

  # The kind that all of them are, where they are one; nil where they differ or are blank.
  def kind_of(paragraphs)
    roles = paragraphs.reject(&:blank?).map { |paragraph| Norvel::Survey.role(document, paragraph) }.uniq
    roles.first if roles.size == 1 && roles.first != "other"
  end

  # A style to put paragraphs in by one press. key: an id or the name of a usual style; form: class of its look
  PutRow = Struct.new(:key, :name, :letter, :form, :note, :suggested, :here)
  ROWS = 7

  # The styles that a person most likely wants: that of their kind, headings and text, then the most used.
  def rows_to_put_in(paragraphs)
    kind = kind_of(paragraphs)
    wanted = kind && style_of_role(kind)
    names = [wanted, *%w[heading_1 heading_2 body].map { |role| style_of_role(role) }]
    used = document.uses.sort_by { |_, count| -count }.filter_map { |id, _| document.styles[id]&.name }
    here = paragraphs.map { |paragraph| document.style_name(paragraph) }.uniq
    [*names, *used, "Heading 3", "List Bullet"].compact.uniq(&:downcase).first(ROWS)
      .map { |name| put_row(name, suggested: name == wanted && here != [wanted], here: here == [name]) }
  end

  def put_row(name, suggested:, here:)
    style = document.styles.called(name)
    uses = style ? document.uses[style.id] : 0
    note = suggested ? "suggested" : (number(uses) if uses.positive?)
    PutRow.new(style&.id || name, style&.name || name, key_of(name), form_of_name(style, name), note, suggested, here)
  end

  # The key that puts paragraphs in a style: a digit for headings and text, or its letter.
  def key_of(name)
    roles = {**(1..6).to_h { |level| [level.to_s, "heading_#{level}"] }, "0" => "body"}
    digit = roles.find { |_, role| style_of_role(role)&.casecmp?(name) }&.first
    digit || ((style = document.styles.called(name)) ? letter_of(style) : usual_letters.key(name))
  end

  # How large and heavy its name is written.
  def form_of_name(style, name)
    look = style ? document.cascade.of_style(style, :run).values : style_pattern.values(document, name)
    base = document.cascade.of_style(document.styles.default, :run)[:size]
    larger = (look[:size] || base) / base
    {"b" => look[:bold], "i" => look[:italic], "large" => larger > 1.3, "small" => larger < 0.95}.select { |_, on| on }
      .keys.join(" ")
  end

  # [[property, "size 13 pt, 13.5 pt"], …] of what is set by hand on them.
  def set_by_hand(paragraphs)
    found = paragraphs.uniq(&:formatting).flat_map { |paragraph| Norvel::Survey::Departures.of(document, paragraph) }
    found.group_by(&:property).map do |property, list|
      [property, list.uniq(&:value).first(4).map { |departure| departure.spoken(unit) }.join(", ")]
    end
  end

  # Nothing is set on whole paragraphs: do some of their words look otherwise?
  def nothing_by_hand_words(paragraphs)
    apart = paragraphs.count { |paragraph| words_apart?(paragraph) }
    they = (paragraphs.size == 1) ? "it looks" : "they look"
    return "Nothing: #{they} as the style says." if apart.zero?
    return "Nothing on the whole paragraph; some of its words are set apart." if paragraphs.size == 1
    "Nothing on whole paragraphs; words are set apart in #{apart}."
  end

  def words_apart?(paragraph)
    paragraph.letters.reject(&:symbols?).map { |run| document.run_look(run, paragraph) }.uniq.size > 1
  end

  # [[by, words, how many], …] of what can be selected from a paragraph.
  def more_to_select(one)
    style = document.style_name(one)
    role = role_words(Norvel::Survey.role(document, one))
    {"look" => "like this", "style" => "in #{style}", "role" => "all read as #{role}",
     "section" => "to the next heading"}.map { |by, words| [by, words, like(one, by).size] }
  end

  # Where it is shown what it moves when a style takes their look, before it does.
  def adopt_path(paragraphs)
    style = document.style_of(paragraphs.first)
    path_to("styles", style: style&.id.to_s, try: "adopt", ids: id_spans(paragraphs.map(&:id)))
  end

  def no_heading_words(paragraphs)
    kind = kind_of(paragraphs) or return "What they are …"
    "#{(paragraphs.size == 1) ? "This is" : "These are"} no #{role_words(kind).sub(/ \d\z/, "")} …"
  end

  # Names of the character styles there are, and of those that are made when they are first used.
  def character_styles
    own = document.styles.by_id.values.select { |style| style.character? && !style.default }.map(&:name)
    (Norvel::Edits::StyleWords::USUAL.keys | own).map { |name| [name, name] } << ["", "none"]
  end

  # The character style that is at hand for words that look as was asked for.
  def character_offered
    {"italic" => "Emphasis", "bold" => "Strong"}[params[:look].to_s]
  end

  # Is any of them a note's, a head's or a foot's, where less can be changed?
  def beside_text?(ids)
    ids.any? { |id| Norvel::Document::Story.id?(id) }
  end

  # What a person can say that a paragraph is: [[role, words], …].
  def decisions_to_make
    roles = Norvel::Survey::Roles::ALL.except("blank").map { |name, role| [name, role.words] }
    [["", "as Norvel reads it"], [Norvel::Document::NO_HEADING, "no heading"], *roles]
  end

  # What was said of all of them, if the same.
  def decided(paragraphs)
    said = paragraphs.map { |paragraph| document.decisions[paragraph.id] }.uniq
    (said.size == 1) ? said.first : nil
  end

  # What several read as: a style for all of them takes headings along.
  def reading_words(paragraphs)
    roles = paragraphs.reject(&:blank?).map { |paragraph| Norvel::Survey.role(document, paragraph) }
    kinds = roles.map { |role| role.start_with?("heading_") ? "headings" : role_words(role) }.tally
    said = kinds.sort_by { |_, count| -count }.map { |kind, count| "#{number(count)} as #{kind}" }
    said.empty? ? "" : "Read #{said.join(", ")}."
  end

  # What a paragraph reads as, and a button to put it in that role's style.
  def reads_words(paragraph)
    suggestion = Norvel::Survey::Suggestions.of(document)[paragraph.id]
    name = style_of_role(suggestion.role)
    button = %(<button class="mini" type="button" data-role="#{suggestion.role}">Put in #{h name}</button>)
    said = "Reads as <b>#{h role_words(suggestion.role)}</b>, #{h suggestion_words(paragraph)}."
    said = "<b>#{h role_words(suggestion.role).capitalize}</b>, as you said." if document.decisions[paragraph.id]
    (name && name != document.style_name(paragraph)) ? "#{said} #{button}" : said
  end

  # [[property, steps of the cascade], …] of the properties that somebody set, and of those always shown.
  def provenance(paragraph)
    letters, lines = %i[run paragraph].map { |place| Norvel::Styles::Properties.shown_on(place) }
    (letters.first(4) + lines + letters.drop(4)).map { |property| [property, layers(paragraph, property.name)] }
      .reject { |property, steps| unset?(steps) && !ALWAYS.include?(property.name) }
  end

  def unset?(steps)
    steps.size == 1 && %i[standard defaults].include?(steps.first.kind)
  end

  # The value seen where the step won it, else what the step alone would give.
  def step_words(step, property, paragraph)
    look = (property.on == :run) ? document.letter_look(paragraph) : document.look(paragraph)
    said_of(property, step.won ? look[property.name] : step.value)
  end

  # ": Bullets, level 2, and others" of paragraphs in a list.
  def list_place_words(paragraphs, at)
    return "" unless at
    style = document.styles[document.numbering.definition_of(at.first)&.style_id]
    others = ", and others" if paragraphs.map { |paragraph| document.cascade.list_of(paragraph) }.uniq.size > 1
    ": #{style&.name || "numbers of its own"}, level #{at.last + 1}#{others}"
  end

  # [[list id or the name of a ready one, words], …]
  def lists_to_be_in
    there = lists.map { |name, id| [id, name] }
    ready = ListView::READY.keys.reject { |name| document.styles.named(name) }.map { |name| [name, name] }
    [*there, *ready, [0, "no list"]]
  end

  # Is it one paragraph of a list that counts?
  def counts_alone?(paragraphs, at)
    level = at && document.numbering.level(*at)
    paragraphs.size == 1 && level && !level.bullet?
  end

  # What the keys of the galley do, in words.
  def key_words
    {
      "j k" => "next, previous paragraph", "x" => "select one more", "Shift A" => "all that look like this",
      "Shift S" => "all in its style", "Shift R" => "all of its kind", "Shift N" => "from here to the next heading",
      "Shift E" => "everything", "0" => "body text", "1 – 6" => "heading 1 to 6", **usual_letters,
      **own_letters.transform_values { |id| document.styles[id].name }, "/" => "find", "u" => "take back",
      "g s, g a, g f, g h" => "survey, galley, findings, handover"
    }
  end
end
