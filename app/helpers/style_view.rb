# frozen_string_literal: true

# How the Styles station is drawn: lineage, specimen, values.
module StyleView
  ROW = 40
  STEP = 18
  GROUPS = {letter: "Letter", line: "Line", block: "Block", structure: "Structure"}.freeze

  def chosen_style
    return if params[:page] || params[:section]
    @chosen_style ||= document.sheet[params[:style].to_s] || document.sheet[document.uses.max_by(&:last)&.first] ||
      document.sheet.default || document.sheet.styles.values.first
  end

  # Styles in use and their bases; all of them when asked.
  def lineage(all: false)
    Lineage.new(document) { |style| all || used?(style) || style.equal?(chosen_style) }
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
      twins = ids.filter_map { |id| document.sheet.twin(document.sheet[id])&.id }
      (ids + twins + [chosen_style&.id]).compact.flat_map { |id|
        (found = document.sheet[id]) ? document.sheet.chain(found).map(&:id) : []
      }.to_h { |id|
        [id, true]
      }
    end
    @used[style.id]
  end

  def unused_styles
    document.sheet.styles.values.reject do |style|
      used?(style) || style.default || %w[table numbering].include?(style.type) || style.equal?(chosen_style)
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
    chain = document.sheet.chain(style)
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

  # The values that were typed into the form and differ from what the style shows; nil inherits again.
  def typed_values(style)
    inherit = Array(params[:inherit]).map(&:to_sym).select { |name| Norvel::Styles::Properties.key?(name) }
    changed = (params[:values] || {}).filter_map do |name, text|
      next unless Norvel::Styles::Properties.key?(name) && Norvel::Styles::Properties[name].group
      property = Norvel::Styles::Properties[name]
      now, = style_value(style, property)
      next if text.to_s.strip.empty? || text.to_s.strip == now || inherit.include?(property.name)
      [property.name, property.type.typed(text)]
    end.to_h
    changed.merge(inherit.to_h { |name| [name, nil] })
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

  # This page without what was typed.
  def here_again
    if chosen_page
      path_to("styles", **page_place(chosen_page))
    else
      path_to("styles", **{style: chosen_style&.id, level: params[:level]}.compact)
    end
  end

  # What the ripple does to the contrast of the style shown: [before, after], nil when it stays.
  def contrast_change
    style = chosen_style && @ripple.after.sheet[chosen_style.id]
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
