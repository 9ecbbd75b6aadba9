# frozen_string_literal: true

# The changes that the Styles station offers, by the name that their forms go by: each makes an edit from what was sent.
# The same edit is shown as a ripple first and kept afterwards.
module StyleChanges
  E = Norvel::Edits
  CHANGES = {
    "values" => -> { (values = typed_values(style_here)).empty? ? nil : E::ChangeStyle.new(style_here.id, values) },
    "rename" => -> { E::RenameStyle.new(style_here.id, params[:name]) },
    "base" => -> { with_usual(:base) { |base| E::RebaseStyle.new(style_here.id, base) } },
    "next" => -> { with_usual(:next) { |following| E::StyleLinks.new(style_here.id, {next_id: following}) } },
    "adopt" => -> { put_in_style(chosen_ids, style_here.id, look: :theirs) },
    "hide" => -> { E::StyleLinks.new(style_here.id, {hidden: !style_here.hidden}) },
    "place" => -> { E::PlaceStyle.new(style_here.id, before: sent(:before)) },
    "merge" => -> { E::MergeStyles.new(style_here.id, params[:into].to_s) },
    "delete" => -> { E::DeleteStyles.new([style_here.id], to: sent(:to), keep_look: params[:look] == "keep") },
    "unused" => -> { E::DeleteStyles.new(unused_styles.map(&:id)) },
    "number" => -> { number_edit },
    "list" => -> {
      E::ListOfStyle.new(style_here.id, (whole(:list) if sent(:list)), level: whole(:level).clamp(1, 9) - 1)
    },
    "level" => -> { level_edit },
    "page" => -> { page_edit },
    "page_name" => -> { page_name_edit },
    "page_put" => -> { E::PutInPageStyle.new(Array(params[:sections]).map(&:to_i), params[:page].to_s) },
    "page_delete" => -> { E::DeletePageStyle.new(params[:page].to_s) },
    "value" => -> { value_edit },
    "unnumbered" => -> { E::StyleUnnumbered.new(style_here.id) },
    "make" => -> { made }
  }.freeze

  # The edit of that name; nil where nothing was changed.
  def style_change(name)
    instance_exec(&CHANGES.fetch(name) { halt 404 })
  end

  # Where a person stands after it.
  def after_change(name)
    case name
    when "merge" then {style: params[:into]}
    when "delete" then sent(:to) ? {style: params[:to]} : {}
    when "make" then made_place
    when "page_name" then {page: params[:name].to_s.strip}
    when "page_delete" then {section: 1}
    when "page", "page_put" then page_place(page_here)
    else {style: chosen_style&.id, level: sent(:level)}.compact
    end
  end

  private

  # The edit that the block makes of the style that was sent; a usual one that is not there is made first.
  def with_usual(name)
    sent = sent(name)
    return yield(sent) if sent.nil? || document.styles[sent] || Norvel::Styles::Usual[sent].nil?
    make = E::DefineUsual.new(sent, pattern: style_pattern)
    edit = yield(make.change(document).styles.called(sent).id)
    E::Several.new([make, edit], title: "Make #{sent}. #{edit.title(make.change(document))}")
  end

  # One value for all paragraphs of the ticked roles.
  def value_edit
    ids = E::SetValue.chosen(document, Array(params[:on]))
    raise Norvel::Refused, "Nothing is ticked that should have the value." if ids.empty?
    E::SetValue.new(ids, *typed_value)
  end

  # The property and value that were typed.
  def typed_value
    name = params[:property].to_s
    known = Norvel::Styles::Properties.key?(name) && Norvel::Styles::Properties[name].shown?
    raise Norvel::Refused, "There is no property of that name." unless known
    raise Norvel::Refused, "Type a value first." unless sent(:value)
    [name.to_sym, typed_property(Norvel::Styles::Properties[name], params[:value])]
  end

  # The page set-up that is changed.
  def page_here
    chosen_page or raise Norvel::Refused, "No page set-up is chosen."
  end

  # The style that is changed.
  def style_here
    chosen_style or raise Norvel::Refused, "No style is chosen."
  end

  # A field that was sent and says something.
  def sent(name)
    params[name].to_s.empty? ? nil : params[name]
  end

  # Numbers typed before headings go where the counted ones say the same, when asked.
  def number_edit
    numbered = E::NumberHeadings.new(params[:scheme].to_s, word: params[:word], after: params[:after],
      separator: params[:separator] || "space", hanging: params[:hanging] == "1",
      without: Array(params[:without]).map(&:to_i).select { |id| document.include?(id) })
    return numbered unless params[:typed] == "1"
    typed = E::TakeTypedNumbers.places(numbered.change(document)).size
    E::Several.new([numbered, E::TakeTypedNumbers.new],
      title: "#{numbered.title(document)}, #{counted(typed, "typed number")} taken away")
  end

  def level_edit
    definition_id, number, level = chosen_level(style_here)
    raise Norvel::Refused, "#{style_here.name} is in no list." unless level
    values = typed_level(level, number)
    values.empty? ? nil : E::ChangeListLevel.new(definition_id, number, values)
  end

  # Sections that share a set-up without a name get one; a named set-up is renamed.
  def page_name_edit
    return E::DefinePageStyle.new(params[:name], page_here.sections.first) unless page_here.style.name
    E::ChangePageStyle.new(page_here.style.name, {name: params[:name].to_s.strip})
  end

  def page_edit
    values = typed_page(page_here.style)
    return if values.empty?
    return E::SetPage.new(page_here.sections, values) unless page_here.style.name
    E::ChangePageStyle.new(page_here.style.name, values)
  end

  def made
    typed_letter(params[:letter])
    case params[:kind]
    when "list" then E::DefineListStyle.new(params[:name], params[:form].to_s)
    when "page" then E::DefinePageStyle.new(params[:name], whole(:section))
    else sent(:like) ? E::DuplicateStyle.new(params[:like], params[:name]) : made_of_values
    end
  end

  def made_of_values
    with_usual(:based_on) do |based_on|
      E::DefineStyle.new(params[:name], type: params[:kind] || "paragraph", based_on:, next_id: sent(:next),
        values: made_values)
    end
  end

  def made_values
    sent(:outline) ? {outline_level: Norvel::Styles::Properties[:outline_level].type.typed(params[:outline])} : {}
  end

  def made_place
    name = params[:name].to_s.strip
    return {page: name} if params[:kind] == "page"
    style = manuscript.document.styles.named(name)
    set_letter(style.id, params[:letter], manuscript.document) if style && sent(:letter)
    {style: style&.id}
  end
end
