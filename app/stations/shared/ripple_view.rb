# frozen_string_literal: true

# What a change will move, in figures and words: for the Styles station and the templates.
module RippleView
  NAMED = 8

  # {words => figure} of the ripple that is shown.
  def ripple_figures
    moved = @ripple.moved.size
    words = (moved == 1) ? "paragraph changes" : "paragraphs change"
    {words => number(moved), **page_figures, **reach_figures, **finding_figures}
  end

  # What a template would do to a long document is counted beside the page, which is there at once.
  def figures_now?
    params[:figures] || manuscript.paragraphs <= Turns::LONG
  end

  def dress_figures
    {
      "paragraphs change" => number(@ripple.moved.size), "stay, set by hand" => number(@ripple.unmoved.size),
      "styles matched" => @match.pairs.size, "styles added" => @match.added.size,
      "printed numbers change" => @edit.renumbered(document).size, "sections change" => @ripple.sections.size,
      **finding_figures
    }
  end

  # Styles that change with the one shown, by name.
  def ripple_names
    names = @ripple.styles.map(&:name) - [chosen_style&.name]
    more = " and #{names.size - NAMED} more" if names.size > NAMED
    "#{names.first(NAMED).join(", ")}#{more}"
  end

  # The style that the one shown would be merged into.
  def merged_into
    (@change == "merge") ? document.styles[params[:into]] : nil
  end

  # A paragraph in its look, for showing before and after.
  def sample_of(paragraph, whose)
    text = h(cut(paragraph.text.strip, 110))
    letters = look_class(whose.letter_look(paragraph), :run)
    words = %(#{marker_html(paragraph, whose)}<span class="#{letters}">#{text}</span>)
    %(<p class="#{paragraph_class(paragraph, whose)}">#{words}</p>)
  end

  # [[own style, the template's, [[property, now, then], …]], …] of the matched styles that would look otherwise.
  def dress_differences
    own = @match.pairs.select { |style, _| style.paragraph? }
    own.map { |style, theirs| [style, theirs, differing(style)] }.reject { |_, _, differing| differing.empty? }
  end

  # Where running text in the base style goes.
  def dress_text_words(ids, style)
    "#{counted(ids.size, "paragraph")} of body text in #{document.styles.default.name} go in #{style.name}."
  end

  def values_words(values)
    cut(values.map { |property, value| short_value(property, value) }.join(" · "), 120)
  end

  # Is most text in the style that all other text would be in?
  def mostly_default?
    base = document.styles.default
    base && document.uses[base.id] * 2 > document.paragraphs.size
  end

  # What the text of a style without a namesake reads as.
  def reads_as(style)
    _, role = @match.roles[style.id]
    role ? "reads as #{role_words(role)}" : ""
  end

  # The template's style that a person chose for one of the document's, or that its role gives.
  def partner_of(style)
    return params[:partner][style.id] if params[:partner]
    @match.roles[style.id]&.first&.name
  end

  # What of pages changes, in a sentence with how many more or less; nil while pages are not known.
  def ripple_pages_words
    pages = @ripple.pages or return
    before, after = pages.before.sheets.size, pages.after.sheets.size
    return "No page changes." if pages.changed.empty?
    "#{counted(before, "page")} before, #{counted(after, "page")} after; #{number(pages.changed.size)} of them change."
  end

  private

  def page_figures
    more = @ripple.pages&.more or return {}
    {((more.abs == 1) ? "page" : "pages") => more.zero? ? "±0" : format("%+d", more).tr("-", "−")}
  end

  def reach_figures
    if @ripple.sections.any?
      return {"sections change" => @ripple.sections.size, "paragraphs stand in them" => number(@ripple.resized.size)}
    end
    inherit = [@ripple.styles.size - 1, 0].max
    {"styles that inherit it" => inherit, "override it by hand" => number(@ripple.overriding.size)}
  end

  def finding_figures
    {"findings" => "−#{number(@ripple.findings_gone)} +#{number(@ripple.findings_come)}"}
  end

  def differing(style)
    after = @ripple.after.styles[style.id]
    %i[paragraph run].flat_map do |place|
      was = document.cascade.of_style(style, place)
      now = @ripple.after.cascade.of_style(after, place)
      was.differences(now, place).map { |property| [property, was[property.name], now[property.name]] }
    end
  end
end
