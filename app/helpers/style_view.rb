# frozen_string_literal: true

# How the Styles station is drawn: lineage, specimen, values.
module StyleView
  ROW = 40
  STEP = 18
  GROUPS = {letter: "Letter", line: "Line", block: "Block", structure: "Structure"}.freeze

  # One style in the tree: how deep it stands, and the row of what it is based on.
  Branch = Struct.new(:style, :depth, :row, :parent_row)

  def chosen_style
    @chosen_style ||= document.sheet[params[:style].to_s] || document.sheet[document.uses.max_by(&:last)&.first] || document.sheet.default || document.sheet.styles.values.first
  end

  # Paragraph and character styles as a tree, those in use and their bases; all of them when asked.
  def lineage(all: false)
    shown = document.sheet.styles.values.select { |style| (style.paragraph? || style.character?) && (all || used?(style)) }
    rows = []
    visit = lambda do |style, depth, parent_row|
      rows << Branch.new(style, depth, rows.size, parent_row)
      mine = rows.size - 1
      shown.select { |other| other.based_on == style.id && document.sheet.chain(other).include?(style) }.sort_by(&:name).each { |child| visit.call(child, depth + 1, mine) }
    end
    shown.reject { |style| shown.any? { |other| other.id == style.based_on && document.sheet.chain(style).include?(other) } }.sort_by { |style| [style.paragraph? ? 0 : 1, style.name] }.each { |root| visit.call(root, 0, nil) }
    rows
  end

  # In use by content, by a style in use, or chosen right now.
  def used?(style)
    @used ||= begin
      ids = document.uses.select { |_, count| count.positive? }.keys + document.paragraphs.flat_map { |p| p.runs.map(&:style_id) }.compact.uniq
      (ids + [chosen_style&.id]).compact.flat_map { |id| (found = document.sheet[id]) ? document.sheet.chain(found).map(&:id) : [] }.to_h { |id| [id, true] }
    end
    @used[style.id]
  end

  def unused_styles
    document.sheet.styles.values.reject { |style| used?(style) || style.default || %w[table numbering].include?(style.type) || style.id == chosen_style&.id }
  end

  # Spaces are said in points, whatever the person's unit.
  def said_of(property, value)
    property.spoken(value, %i[space_before space_after].include?(property.name) ? "pt" : unit)
  end

  # What a style changes of its base, in few words.
  def branch_words(style)
    [style.paragraph, style.run].flat_map { |set| set.keys.map { |slot| Norvel::Styles::Properties[slot] }.select { |p| p.shown? && p.part_of.nil? }.map { |p| short_value(p, set[p.name]) } }
  end

  def short_value(property, value)
    return "#{"not " unless property.type.json(value)}#{property.label.downcase}" if property.type.is_a?(Norvel::Styles::Types::Flag)
    said = said_of(property, value)
    %i[font size align line_spacing outline_level].include?(property.name) ? said : "#{property.label.downcase} #{said}"
  end

  # [value as a person reads it, where it comes from (nil: set here)]
  def style_value(style, property)
    look = document.cascade.of_style(style, property.on)
    value = said_of(property, look[property.name])
    chain = document.sheet.chain(style)
    setter = chain.reverse.find { |link| Norvel::Styles::Properties.slots_of(property.name).any? { |slot| link.set(property.on).key?(slot) } }
    [value, setter.equal?(style) ? nil : (setter&.name || "document")]
  end

  # A paragraph in the style with its neighbours, for the specimen; [nil, nil, nil] when it is not in use.
  def specimen_paragraphs(style)
    worded = document.paragraphs.reject(&:blank?)
    at = worded.index { |p| document.style_of(p).equal?(style) && p.word_count >= 12 } || worded.index { |p| document.style_of(p).equal?(style) }
    if at
      [at.zero? ? nil : worded[at - 1], worded[at], worded[at + 1]]
    else
      [nil, nil, nil]
    end
  end

  # The values that were typed into the form and differ from what the style shows; nil inherits again.
  def typed_values(style)
    inherit = Array(params[:inherit]).map(&:to_sym)
    changed = (params[:values] || {}).filter_map do |name, text|
      next unless Norvel::Styles::Properties.key?(name) && Norvel::Styles::Properties[name].group
      property = Norvel::Styles::Properties[name]
      now, = style_value(style, property)
      next if text.to_s.strip.empty? || text.to_s.strip == now || inherit.include?(property.name)
      [property.name, property.type.typed(text)]
    end.to_h
    changed.merge(inherit.select { |name| Norvel::Styles::Properties.key?(name) }.to_h { |name| [name, nil] })
  end

  def contrast_words(style)
    letters = document.cascade.of_style(style, :run)
    ground = document.cascade.of_style(style, :paragraph)[:shading]
    fore = (letters[:color] == "auto") ? "#000000" : letters[:color]
    ratio = Norvel::Colour.contrast(fore, (ground == "auto") ? "#ffffff" : ground)
    large = letters[:size] >= 18 || (letters[:size] >= 14 && letters[:bold])
    "#{(ratio * 10).floor / 10.0} : 1 on #{(ground == "auto") ? "white" : "its shading"}, #{if ratio >= (large ? 3 : 4.5)
                                                                                              "meets AA"
                                                                                            else
                                                                                              "too little"
                                                                                            end}"
  end
end
