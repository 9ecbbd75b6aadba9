# frozen_string_literal: true

# What is set on Sheets: each way shows how it is, tries a change with its pages, and keeps it.
class SheetSettingsStation < Station
  # {address below sheets => what makes the edit of its form}
  EDITS = {"matters" => :matters_edit, "matters/join" => :join_edit, "heads" => :heads_edit, "parts" => :part_edit,
           "contents" => :contents_edit, "captions" => :captions_edit}.freeze

  helpers CaptionsView, ContentsView, Gauge, HeadsView, MattersView, PageSetView, PartsView, SectionsView, SetupView,
    SheetAtSize, SheetFormulas, SheetGround, SheetImages, SheetStrokes, SheetsView, TriedView

  EDITS.each do |way, edit|
    view = way[/\A\w+/].to_sym
    get("/manuscripts/:id/sheets/#{way}") { setting(view) } unless way.include?("/")
    post("/manuscripts/:id/sheets/#{way}/ripple") { setting(view) { send(edit) } }
    post("/manuscripts/:id/sheets/#{way}") { keep(view) { send(edit) } }
  end

  # A change of pages from elsewhere, seen before it is kept.
  get("/manuscripts/:id/sheets/tried") { setting(:tried) { tried_edit } }
  post("/manuscripts/:id/sheets/tried") { keep(:tried) { tried_edit } }

  # The set-up of a sheet's pages: tried, in place where the sheet is shown, and kept.
  post("/manuscripts/:id/sheets/:page/setup/ripple") do
    wait_for_pages
    @sheet = chosen_sheet(params[:page])
    try_edit { setup_edit(@sheet) }
    request.env["HTTP_HX_REQUEST"] ? partial(:setup_ripple, sheet: @sheet) : station(:sheet)
  end

  post("/manuscripts/:id/sheets/:page/setup") do
    wait_for_pages
    @sheet = chosen_sheet(params[:page])
    keep(:sheet) { setup_edit(@sheet) }
  end

  private

  # The view of what is set, with what the edit of the block would do.
  def setting(view, &edit)
    wait_for_pages
    @sent_matters = asked_matters if view == :matters && params[:asked]
    edit ||= -> { matters_edit } if @sent_matters
    try_edit(&edit) if edit
    station view
  end

  def keep(view)
    wait_for_pages
    go_after manuscript.perform(yield, version: params[:version]).title, place_after(view)
  end

  # Where a change is seen once it is kept.
  def place_after(view)
    case view
    when :matters then path_to(params[:join] ? "sheets/matters" : "sheets")
    when :tried then path_to("sheets")
    when :heads then path_to("sheets/heads", matter: whole(:matter), which: head_way)
    when :sheet then path_to("sheets", @sheet.page)
    else path_to("sheets/#{view}")
    end
  end

  # The document as the edit of the block would make it, with its pages.
  def try_edit
    @edit = yield
    @after = @edit.change(document)
    Norvel::Layout.of(@after, known: pages)
  rescue Norvel::Error => refusal
    @after = nil
    @refused = refusal.message
  end
end
