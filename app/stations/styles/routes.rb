# frozen_string_literal: true

# Styles: defined once, with what a change will move shown before it moves.
class StylesStation < Station
  helpers Answers, BenchView, GalleyRow, Gauge, ListView, LookSheet, PageSetView, Putting, RippleView, SheetAtSize,
    SheetFormulas, SheetGround, SheetImages, SheetStrokes, SheetsView, SpecimenView, StyleChanges, StyleLetters,
    StyleView, SurveyView, TypedSigns

  # With try, a change is shown as if its form had been sent: a style that was dragged onto another comes so.
  get("/manuscripts/:id/styles") do
    begin
      ripple_of(params[:try]) if params[:try]
    rescue Norvel::Refused => refusal
      @refused = refusal.message
    end
    station :styles
  end

  # What a change would move. For a plain form the same, as a page.
  post("/manuscripts/:id/styles/:change/ripple") do
    ripple_of(params[:change])
    next station(:styles) unless request.env["HTTP_HX_REQUEST"]
    partial(:ripple) + partial(:specimen_fresh) + %(<div id="said" hx-swap-oob="true" aria-live="polite"></div>)
  end

  # A page at size before and after a change that is tried.
  post("/manuscripts/:id/styles/:change/sheets/:sheet") do
    ripple_of(params[:change])
    @pair = pair_of_sheets(whole(:sheet))
    raise Norvel::Refused, "There is no such page before and after." unless @pair.size == 2
    next station(:styles) unless request.env["HTTP_HX_REQUEST"]
    partial(:sheet_pair, was: @pair.first, now: @pair.last)
  end

  post("/manuscripts/:id/styles/:change") do
    edit = style_change(params[:change]) or raise Norvel::Refused, "Nothing was changed: type another value first."
    place = after_change(params[:change]) unless params[:change] == "make"
    said = manuscript.perform(edit, version: params[:version]).title
    go_after said, path_to("styles", **(place || after_change("make")))
  end

  # A style made from the look of one paragraph, from the galley.
  post("/manuscripts/:id/edits/make_style") do
    perform Norvel::Edits::StyleFromLook.new(chosen_ids, params[:name])
  end

  # A style takes over the look of paragraphs, which go in it, from the galley.
  post("/manuscripts/:id/edits/adopt") do
    perform Norvel::Edits::PutInStyle.new(chosen_ids, params[:style].to_s, look: :theirs, pattern: style_pattern)
  end

  get("/manuscripts/:id/specimen.css") do
    content_type "text/css"
    (chosen_style && chosen_style.type != "numbering") ? look_rules(specimen_looks(chosen_style)) : ""
  end

  private

  # This page without what was typed.
  def here_again
    return super unless @refused || @ripple
    about = chosen_page ? page_place(chosen_page) : {style: chosen_style&.id, level: params[:level]}.compact
    path_to("styles", **about)
  end

  # A sheet before the change that is tried, and the one with its number after it.
  def pair_of_sheets(number)
    both = @ripple&.pages or return []
    number.positive? ? [both.before, both.after].filter_map { |one| one.sheets[number - 1] } : []
  end

  def ripple_of(change)
    @change = change
    @edit = style_change(change)
    @ripple = @edit && Norvel::Report::Ripple.new(@edit, document, manuscript.check)
    @typed = (change == "values") ? typed_values(chosen_style) : {}
  end
end
