# frozen_string_literal: true

# Sheets: all pages as they fall, one at size, and why each ends where it does.
module SheetRoutes
  def self.registered(app)
    app.get("/manuscripts/:id/sheets") do
      @chosen = chosen_sheet(params[:page]) if pages && params[:page]
      station :sheets
    end

    # Asked again and again while pages are being worked out: then the page is drawn with them.
    app.get("/manuscripts/:id/sheets/wall") do
      headers "HX-Refresh" => "true" if pages || no_pages
      partial(:wall)
    end

    app.get("/manuscripts/:id/sheets/block/:number") do
      number = params[:number].to_i
      block = (wall_blocks[number] if pages && number.between?(0, wall_blocks.size)) or halt 404
      partial(:wall_block, number:, block:)
    end

    # What is known of one sheet, for the bench.
    app.get("/manuscripts/:id/sheets/bench/:page") do
      pages ? partial(:sheet_bench, sheet: chosen_sheet(params[:page])) : halt(404)
    end

    # To a page by its label, by “sheet 12”, or by words on it.
    app.get("/manuscripts/:id/sheets/go") do
      redirect to(path_to("sheets")), 303 unless pages
      sheet, paragraph = sheet_for(params[:to])
      raise Norvel::Refused, "No page is labelled “#{params[:to]}”, and nothing in the text says so." unless sheet
      redirect to(path_to("sheets", sheet.page, **(paragraph ? {at: paragraph.id} : {}))), 303
    end

    # What would save the last page, before and after.
    app.get("/manuscripts/:id/sheets/saving") do
      @saving = Norvel::LastPage.new(document) if pages
      raise Norvel::Refused, "There is no page that could be saved." unless @saving&.surplus? && @saving.edit
      station :saving
    end

    app.post("/manuscripts/:id/sheets/saving") do
      edit = (Norvel::LastPage.new(document).edit if pages) or raise Norvel::Refused,
        "There is no page that could be saved."
      go_after manuscript.perform(edit, version: params[:version]).title, path_to("sheets")
    end

    # A finding about a page, mended from where it is seen.
    app.post("/manuscripts/:id/sheets/mend") do
      finding = findings_by_sheet.values.flatten.find { |one| finding_key(one) == params[:finding] } if pages
      raise Norvel::Refused, "That finding is not there any more." unless finding&.mend
      said = manuscript.perform(finding.mend.edit([finding], manuscript.rules), version: params[:version]).title
      go_after said, path_to("sheets", **({page: params[:page]} if params[:page].to_i.positive?).to_h)
    end

    # Front matter, body and back: where they begin, and their labels.
    app.get("/manuscripts/:id/sheets/matters") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { matters_edit } if params[:asked] && (@sent_matters = asked_matters)
      station :matters
    end

    app.post("/manuscripts/:id/sheets/matters/ripple") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { matters_edit }
      station :matters
    end

    app.post("/manuscripts/:id/sheets/matters") do
      said = manuscript.perform(matters_edit, version: params[:version]).title
      go_after said, path_to("sheets")
    end

    # A section joined to the one before.
    app.post("/manuscripts/:id/sheets/matters/join/ripple") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { join_edit }
      station :matters
    end

    app.post("/manuscripts/:id/sheets/matters/join") do
      go_after manuscript.perform(join_edit, version: params[:version]).title, path_to("sheets/matters")
    end

    # A change of pages from elsewhere, seen before it is kept.
    app.get("/manuscripts/:id/sheets/tried") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { tried_edit }
      station :tried
    end

    app.post("/manuscripts/:id/sheets/tried") do
      go_after manuscript.perform(tried_edit, version: params[:version]).title, path_to("sheets")
    end

    # Heads and feet: what matters show, and are to show.
    app.get("/manuscripts/:id/sheets/heads") do
      redirect to(path_to("sheets")), 303 unless pages && chosen_matter
      station :heads
    end

    app.post("/manuscripts/:id/sheets/heads/ripple") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { heads_edit }
      station :heads
    end

    app.post("/manuscripts/:id/sheets/heads") do
      redirect to(path_to("sheets")), 303 unless pages
      said = manuscript.perform(heads_edit, version: params[:version]).title
      go_after said, path_to("sheets/heads", matter: params[:matter].to_i, which: head_way)
    end

    # Contents lists: what they say and should say; one put in.
    app.get("/manuscripts/:id/sheets/contents") do
      redirect to(path_to("sheets")), 303 unless pages
      station :contents
    end

    app.post("/manuscripts/:id/sheets/contents/ripple") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { contents_edit }
      station :contents
    end

    app.post("/manuscripts/:id/sheets/contents") do
      go_after manuscript.perform(contents_edit, version: params[:version]).title, path_to("sheets/contents")
    end

    # Parts: which are there, in which order; one put in.
    app.get("/manuscripts/:id/sheets/parts") do
      redirect to(path_to("sheets")), 303 unless pages
      station :parts
    end

    app.post("/manuscripts/:id/sheets/parts/ripple") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { part_edit }
      station :parts
    end

    app.post("/manuscripts/:id/sheets/parts") do
      go_after manuscript.perform(part_edit, version: params[:version]).title, path_to("sheets/parts")
    end

    # Captions: their numbers, and what names them.
    app.get("/manuscripts/:id/sheets/captions") do
      redirect to(path_to("sheets")), 303 unless pages
      station :captions
    end

    app.post("/manuscripts/:id/sheets/captions/ripple") do
      redirect to(path_to("sheets")), 303 unless pages
      try_edit { captions_edit }
      station :captions
    end

    app.post("/manuscripts/:id/sheets/captions") do
      go_after manuscript.perform(captions_edit, version: params[:version]).title, path_to("sheets/captions")
    end

    app.get("/manuscripts/:id/sheets/:page") do
      redirect to(path_to("sheets")), 303 unless pages
      @sheet = chosen_sheet(params[:page])
      station :sheet
    end

    # The set-up of its pages: tried, in place where the sheet is shown, and kept.
    app.post("/manuscripts/:id/sheets/:page/setup/ripple") do
      redirect to(path_to("sheets")), 303 unless pages
      @sheet = chosen_sheet(params[:page])
      try_edit { @edit = setup_edit(@sheet) }
      request.env["HTTP_HX_REQUEST"] ? partial(:setup_ripple, sheet: @sheet) : station(:sheet)
    end

    app.post("/manuscripts/:id/sheets/:page/setup") do
      redirect to(path_to("sheets")), 303 unless pages
      sheet = chosen_sheet(params[:page])
      go_after manuscript.perform(setup_edit(sheet), version: params[:version]).title, path_to("sheets", sheet.page)
    end

    app.helpers do
      def chosen_sheet(number)
        sheet = (pages.sheets[number.to_i - 1] if number.to_i.positive?)
        sheet or raise Norvel::Refused, "There is no sheet #{number}: the document has #{pages.sheets.size}."
      end

      # The document as the edit of the block would make it, with its pages.
      def try_edit
        @edit = yield
        @after = @edit.change(document)
        @after.lay_out(known: pages)
      rescue Norvel::Error => refusal
        @after = nil
        @refused = refusal.message
      end

      def finding_key(finding)
        Digest::SHA256.hexdigest([finding.rule, finding.cause, finding.paragraph].inspect)[0, 12]
      end
    end
  end
end
