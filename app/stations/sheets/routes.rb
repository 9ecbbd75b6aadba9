# frozen_string_literal: true

# Sheets: all pages as they fall, one at size, and why each ends where it does.
class SheetsStation < Station
  helpers Gauge, MattersView, SetupView, SheetAtSize, SheetFormulas, SheetGround, SheetImages, SheetStrokes,
    SheetsView, TriedView

  get("/manuscripts/:id/sheets") do
    @chosen = chosen_sheet(params[:page]) if pages && params[:page]
    station :sheets
  end

  # Asked again and again while pages are being worked out: then the page is drawn with them.
  get("/manuscripts/:id/sheets/wall") do
    headers "HX-Refresh" => "true" if pages || no_pages
    partial(:wall)
  end

  get("/manuscripts/:id/sheets/block/:number") do
    number = whole(:number)
    block = (wall_blocks[number] if pages && number.between?(0, wall_blocks.size)) or halt 404
    partial(:wall_block, number:, block:)
  end

  # What is known of one sheet, for the bench.
  get("/manuscripts/:id/sheets/bench/:page") do
    pages ? partial(:sheet_bench, sheet: chosen_sheet(params[:page])) : halt(404)
  end

  # To a page by its label, by “sheet 12”, or by words on it.
  get("/manuscripts/:id/sheets/go") do
    redirect to(path_to("sheets")), 303 unless pages
    sheet, paragraph = sheet_for(params[:to])
    raise Norvel::Refused, "No page is labelled “#{params[:to]}”, and nothing in the text says so." unless sheet
    redirect to(path_to("sheets", sheet.page, **(paragraph ? {at: paragraph.id} : {}))), 303
  end

  # What would save the last page, before and after.
  get("/manuscripts/:id/sheets/saving") do
    @saving = Norvel::Report::LastPage.new(document) if pages
    raise Norvel::Refused, "There is no page that could be saved." unless @saving&.surplus? && @saving.edit
    station :saving
  end

  post("/manuscripts/:id/sheets/saving") do
    wait_for_pages
    edit = (Norvel::Report::LastPage.new(document).edit if pages) or raise Norvel::Refused,
      "There is no page that could be saved."
    go_after manuscript.perform(edit, version: params[:version]).title, path_to("sheets")
  end

  # A finding about a page, mended from where it is seen.
  post("/manuscripts/:id/sheets/mend") do
    wait_for_pages
    finding = findings_by_sheet.values.flatten.find { |one| finding_key(one) == params[:finding] } if pages
    raise Norvel::Refused, "That finding is not there any more." unless finding&.mend
    said = manuscript.perform(finding.mend.edit([finding], manuscript.rules), version: params[:version]).title
    go_after said, path_to("sheets", **({page: params[:page]} if whole(:page).positive?).to_h)
  end

  get("/manuscripts/:id/sheets/:page") do
    redirect to(path_to("sheets")), 303 unless pages
    @sheet = chosen_sheet(params[:page])
    station :sheet
  end
end
