# frozen_string_literal: true

# How page set-ups are shown: by name or by their sections, as words and as a sheet with its margins.
module PageSetView
  FIELDS = {
    "Sheet" => %i[width height], "Margins" => %i[margin_top margin_bottom margin_left margin_right],
    "Within" => %i[header footer columns]
  }.freeze

  # The Lineage::PageSet that the address asks for.
  def chosen_page
    return unless params[:page] || params[:section]
    sets = Lineage.pages(document)
    @chosen_page ||= sets.find { |set| asked_for?(set) } || sets.first
  end

  def asked_for?(set)
    params[:page] ? set.style.name == params[:page] : set.sections.include?(whole(:section))
  end

  def page_name(set)
    set.style.name || "Section#{"s" unless set.sections.size == 1} #{id_spans(set.sections).tr("-", "–")}"
  end

  def page_words(style)
    margins = style.to_h.values_at(:margin_top, :margin_right, :margin_bottom, :margin_left)
    said = margins.map { |margin| length_words(margin).delete_suffix(" #{unit}") }
    "#{sheet_name(style)}, margins #{said.join(" ")} #{unit}"
  end

  def sheet_name(style)
    across, along = [style.width, style.height].minmax
    name = Norvel::PaperSizes.name_of(across, along, 3) ||
      "#{length_words(across)} × #{length_words(along)}"
    (style.width > style.height) ? "#{name} across" : name
  end

  def page_value(style, name)
    (name == :columns) ? style.columns.to_s : length_words(style[name])
  end

  # "page style · sections 1–3"
  def page_set_words(set)
    kind = set.style.name ? "page style" : "a page set-up without a name"
    return "#{kind} · no section is in it" if set.sections.empty?
    "#{kind} · section#{"s" if set.sections.size > 1} #{id_spans(set.sections).tr("-", "–")}"
  end

  def sections_outside(set)
    (1..document.sections.size).to_a - set.sections
  end

  # What stands at a measure of the drawing.
  def sheet_word(style, word)
    case word.name
    when :header then "head at #{page_value(style, :header)}"
    when :footer then "foot at #{page_value(style, :footer)}"
    when :sheet
      measure = length_words(style.measure)
      "#{page_value(style, :width)} × #{page_value(style, :height)} · measure #{measure}"
    else page_value(style, word.name)
    end
  end

  # The values that were typed and differ from those of the set-up.
  def typed_page(style)
    (params[:of_page] || {}).filter_map do |name, text|
      name = name.to_sym
      next unless Norvel::Document::SetUp::FIELDS.include?(name)
      next if text.strip.empty? || text.strip == page_value(style, name)
      [name, (name == :columns) ? typed_columns(text) : typed_length(text)]
    end.to_h
  end

  private

  def typed_columns(text)
    number = Integer(text, 10, exception: false)
    raise Norvel::Refused, "A sheet has 1 to 12 columns." unless number&.between?(1, 12)
    number
  end
end
