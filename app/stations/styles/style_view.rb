# frozen_string_literal: true

# How the Styles station is drawn: lineage, specimen, values.
module StyleView
  ROW = 40
  STEP = 18
  GROUPS = {letter: "Letter", line: "Line", block: "Block", structure: "Structure"}.freeze

  SCHEMES = {
    "decimal" => "1 · 1.1 · 1.1.1", "chapter" => "Chapter 1 · 1.1 · 1.1.1", "roman" => "I · I.1 · I.1.1",
    "letters" => "A · A.1 · A.1.1", "none" => "none"
  }.freeze
  KINDS = {
    "paragraph" => "paragraphs", "character" => "words in a paragraph", "list" => "lists", "page" => "pages"
  }.freeze
  OUTLINE = [["", "as its base"], ["body text", "body text"], *(1..9).map { |n| [n, "level #{n}"] }].freeze
  AS_TYPED = "input delay:300ms, change, submit"
  TYPES = {"paragraph" => "Of paragraphs", "character" => "Of words"}.freeze
  # Roles that a value for many is for, unless a person ticks others.
  USUALLY_SET = %w[body list_item].freeze
  # A value of a style as a form has it: choices where one is chosen; from: whose it is when it is not its own.
  Field = Struct.new(:name, :label, :value, :choices, :from)

  # How a form of the station shows what it would move before it is sent.
  def rippling(change, trigger: "submit")
    ripple = path_to("styles", change, "ripple")
    sync = ' hx-sync="this:replace"' if trigger == AS_TYPED
    %(action="#{path_to("styles", change)}" method="post" hx-post="#{ripple}" ) +
      %(hx-trigger="#{trigger}" hx-target="#ripple"#{sync})
  end

  # [[name, label], …] of the properties that one value for many can be of.
  def properties_to_set
    %i[paragraph run].flat_map { |place| Norvel::Styles::Properties.shown_on(place) }.reject { |one| one.name == :list }
      .map { |one| [one.name, one.label] }
  end

  # {role => how many paragraphs}, those there are, in the order of the table.
  def roles_to_set
    counts = document.paragraphs.reject(&:blank?).map { |one| Norvel::Survey.role(document, one) }.tally
    Norvel::Survey::Roles::ALL.keys.filter_map { |role| [role, counts[role]] if counts[role] }.to_h
  end

  def all_styles?
    params[:all] == "1"
  end

  # Styles of a type that a person chooses from; words that are one with a paragraph style are not told twice.
  def styles_of(type)
    document.styles.ordered(type).reject { |one| one.character? && (one.default || document.styles.twin(one)) }
  end

  def style_options
    TYPES.map do |type, words|
      %(<optgroup label="#{words}">#{options(styles_of(type).map { |style| [style.id, style.name] })}</optgroup>)
    end.join
  end

  def styles_in_use
    document.styles.by_id.values.select { |style| used?(style) && style.paragraph? }
  end

  # [[id, name], …] of the other styles of its type.
  def others_of(style)
    (document.styles.ordered(style.type) - [style]).map { |other| [other.id, other.name] }
  end

  # The same with the usual ones that the file lacks, by name: they are made when they are first used.
  def styles_to_link(style)
    return others_of(style) unless style.paragraph?
    others_of(style) + missing_usual.map { |name| [name, name] }
  end

  # Before which styles it would stand one place earlier, or later, in lists; "" for last, nil where there is no place.
  def places_of_style(style)
    siblings = lineage.siblings(style)
    place = siblings.index(style)
    return {earlier: nil, later: nil} if place.nil? || siblings.size < 2
    earlier = siblings[place - 1].id if place.positive?
    later = siblings[place + 2]&.id.to_s if place < siblings.size - 1
    {earlier:, later:}
  end

  # "paragraph style · based on … · next …"
  def style_words(style)
    base = document.styles[style.based_on]
    base = nil if base&.character? && base.default
    said = ["#{style.paragraph? ? "paragraph" : "character"} style"]
    said << "based on <b>#{h(base&.name || (style.paragraph? ? "the document" : "what it stands in"))}</b>"
    said.concat(next_and_uses(style)) if style.paragraph?
    said << "words in it are #{h document.styles.twin(style).name}" if document.styles.twin(style)
    said.join(" · ")
  end

  def next_and_uses(style)
    uses = counted(document.uses[style.id], "paragraph")
    ["next <b>#{h(document.styles[style.next_id]&.name || style.name)}</b>",
      %(<a href="#{path_to("galley", at: wearers(style).first&.id.to_i)}">#{uses}</a>)]
  end

  # The Field of a property, with what was typed last.
  def value_field(style, property)
    value, from = style_value(style, property)
    typed = @typed&.fetch(property.name, nil)
    value = said_of(property, typed) unless typed.nil?
    choices = %w[yes no] if property.flag?
    choices = property.type.words.values if property.type.is_a?(Norvel::Styles::Types::Choice)
    Field.new(property.name, property.label, value, choices, from)
  end

  # Where a leaf of the lineage is drawn.
  def leaf_x(leaf)
    12 + (leaf.depth * STEP)
  end

  def leaf_y(leaf)
    (leaf.row * ROW) + 18
  end

  def twig_from(leaf, rows)
    (leaf.parent_row * ROW) + 18 + (rows[leaf.parent_row].group? ? 14 : 26)
  end

  # Styles of text can be dragged onto another.
  def leaf_data(leaf)
    (leaf.style? && leaf.thing.type != "numbering") ? %(data-style="#{h leaf.thing.id}") : ""
  end

  def chosen_style
    return if params[:page] || params[:section]
    @chosen_style ||= document.styles[params[:style].to_s] || document.styles[document.uses.max_by(&:last)&.first] ||
      document.styles.default || document.styles.by_id.values.first
  end

  # Styles in use and their bases; all of them when asked.
  def lineage(all: false)
    Lineage.new(document) { |style| all || used?(style) || fresh?(style) || style.equal?(chosen_style) }
  end

  def leaf_path(leaf, **more)
    key = if leaf.style?
      {style: leaf.thing.id}
    else
      leaf.thing.style.name ? {page: leaf.thing.style.name} : {section: leaf.thing.sections.first}
    end
    path_to("styles", **key, **more)
  end

  def leaf_name(leaf)
    leaf.style? ? leaf.thing.name : page_name(leaf.thing)
  end

  def leaf_count(leaf)
    return leaf.thing.sections.size unless leaf.style?
    {"paragraph" => paragraph_uses, "character" => words_uses, "numbering" => list_uses}
      .fetch(leaf.thing.type)[leaf.thing.id]
  end

  # What it changes of what it is based on, in few words.
  def leaf_words(leaf)
    return page_words(leaf.thing.style) unless leaf.style?
    (leaf.thing.type == "numbering") ? list_words(leaf.thing) : branch_words(leaf.thing).first(3).join(" · ")
  end

  def leaf_here?(leaf)
    leaf.style? ? leaf.thing.equal?(chosen_style) : leaf.thing.style == chosen_page&.style
  end

  # In use by content, by a style in use, or chosen right now.
  def used?(style)
    @used ||= begin
      ids = document.styles_used.keys
      twins = ids.filter_map { |id| document.styles.twin(document.styles[id])&.id }
      found = (ids + twins + [chosen_style&.id]).compact.filter_map { |id| document.styles[id] }
      found.flat_map { |style| document.styles.chain(style) }.to_h { |style| [style.id, true] }
    end
    @used[style.id]
  end

  def unused_styles
    document.styles.by_id.values.reject do |style|
      used?(style) || fresh?(style) || style.default || style.equal?(chosen_style) ||
        %w[table numbering].include?(style.type)
    end
  end

  # Paragraphs in each style, those of notes, headers and footers too, by style id.
  def paragraph_uses
    @paragraph_uses ||= document.everything.filter_map { |paragraph| document.style_of(paragraph)&.id }.tally
      .tap { |counts| counts.default = 0 }
  end

  # Runs in each character style, by style id.
  def words_uses
    @words_uses ||= document.everything.flat_map { |paragraph| paragraph.runs.map(&:style_id) }.compact.tally
      .tap { |counts| counts.default = 0 }
  end

  # Spaces are said in points, whatever the person's unit.
  def said_of(property, value)
    property.spoken(value, %i[space_before space_after].include?(property.name) ? "pt" : unit)
  end

  def branch_words(style)
    [style.paragraph, style.run].flat_map do |set|
      shown = set.keys.map { |slot| Norvel::Styles::Properties[slot] }.select { |p| p.shown? && p.part_of.nil? }
      shown.map { |property| short_value(property, set[property.name]) }
    end
  end

  def short_value(property, value)
    if property.type.is_a?(Norvel::Styles::Types::Flag)
      return "#{"not " unless property.type.json(value)}#{property.label.downcase}"
    end
    said = said_of(property, value)
    %i[font size align line_spacing outline_level].include?(property.name) ? said : "#{property.label.downcase} #{said}"
  end

  # [value as a person reads it, where it comes from (nil: set here)]
  def style_value(style, property)
    value = said_of(property, style_look(style, property.on)[property.name])
    chain = document.styles.chain(style)
    slots = Norvel::Styles::Properties.slots_of(property.name)
    setter = chain.reverse.find { |link| slots.any? { |slot| link.set(property.on).key?(slot) } }
    [value, if setter.equal?(style)
              nil
            else
              setter&.name || (style.character? ? "its paragraph" : "document")
            end]
  end

  # What a style alone gives; words in a character style are taken to stand in text of the default style.
  def style_look(style, place, whose = document)
    return whose.cascade.of_style(style, place) if style.paragraph?
    whose.cascade.run(Norvel::Document::Run.new("", style.id, Norvel::Styles::PropertySet::EMPTY, nil), specimen_ground)
  end

  # Properties that a style can set, by the group they are shown in.
  def style_properties(style)
    places = style.paragraph? ? %i[paragraph run] : %i[run]
    places.flat_map { |place| Norvel::Styles::Properties.shown_on(place) }.group_by(&:group)
  end

  # {"Letter" => properties, …} of the groups that a style can set.
  def style_groups(style)
    properties = style_properties(style)
    GROUPS.filter_map { |group, name| [name, properties[group]] if properties[group] }.to_h
  end

  # The values that were typed into the form and differ from what the style shows; nil inherits again.
  def typed_values(style)
    inherit = Array(params[:inherit]).map(&:to_sym).select { |name| Norvel::Styles::Properties.key?(name) }
    changed = (params[:values] || {}).filter_map do |name, text|
      next unless Norvel::Styles::Properties.key?(name) && Norvel::Styles::Properties[name].group
      property = Norvel::Styles::Properties[name]
      now, = style_value(style, property)
      next if text.to_s.strip.empty? || text.to_s.strip == now || inherit.include?(property.name)
      [property.name, typed_property(property, text)]
    end.to_h
    changed.merge(inherit.to_h { |name| [name, nil] })
  end

  # Headings of the first level that are in its style, in order.
  def headings_to_number
    found = document.paragraphs.select do |one|
      one.container.nil? && !one.blank? && document.heading_level(one) == 1
    end
    Norvel::Structure::Matters.first_lines(document, found)
  end

  SWATCHES = 8

  # The colours that the document's styles and words are in, those of most styles first; black with them.
  def document_colours
    @document_colours ||= begin
      said = document.styles.by_id.each_value.flat_map { |style| [style.run[:color], style.paragraph[:shading]] }
      seen = document.paragraphs.uniq(&:formatting).flat_map { |one| one.letters.map { |run| run.direct[:color] } }
      ["#000000", *(said + seen).grep(Norvel::Colour::HEX).tally.sort_by { |_, count| -count }.map(&:first)]
        .uniq.first(SWATCHES)
    end
  end

  # Contrast of colour on ground (WCAG 2.2, 1.4.3).
  def contrast_words(style, whose = document)
    letters = style_look(style, :run, whose)
    ground = style.paragraph? ? style_look(style, :paragraph, whose)[:shading] : "auto"
    fore = (letters[:color] == "auto") ? "#000000" : letters[:color]
    ratio = Norvel::Colour.contrast(fore, (ground == "auto") ? "#ffffff" : ground)
    large = letters[:size] >= 18 || (letters[:size] >= 14 && letters[:bold])
    verdict = if ratio >= (large ? 3 : 4.5)
      "meets AA"
    else
      "too little"
    end
    "#{(ratio * 10).floor / 10.0} : 1 on #{(ground == "auto") ? "white" : "its shading"}, #{verdict}"
  end

  # What every form of the station sends: which state it was drawn from, and what it is about.
  def change_fields
    about = if chosen_page
      page_place(chosen_page)
    else
      {style: chosen_style&.id}
    end
    fields = about.map { |name, value| %(<input type="hidden" name="#{name}" value="#{h value.to_s}">) }
    csrf_field + version_field + fields.join
  end

  # How an address names a page set-up.
  def page_place(set)
    set.style.name ? {page: set.style.name} : {section: set.sections.first}
  end

  # What the ripple does to the contrast of the style shown: [before, after], nil when it stays.
  def contrast_change
    style = chosen_style && @ripple.after.styles[chosen_style.id]
    return if style.nil? || style.type == "numbering"
    said = [contrast_words(chosen_style), contrast_words(style, @ripple.after)]
    said if said.uniq.size == 2
  end

  # The properties in which two styles differ for a reader: [[property, value of one, value of the other], …].
  def style_differences(one, other)
    places = one.paragraph? ? %i[paragraph run] : %i[run]
    places.flat_map do |place|
      was, now = style_look(one, place), style_look(other, place)
      was.differences(now, place).map { |property| [property, was[property.name], now[property.name]] }
    end
  end
end
