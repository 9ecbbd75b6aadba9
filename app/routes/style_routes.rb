# frozen_string_literal: true

# Styles: defined once, with what a change will move shown before it moves.
module StyleRoutes
  def self.registered(app)
    app.get("/manuscripts/:id/styles") { station :styles }

    # What the typed values would move. For a plain form the same, as a page.
    app.post("/manuscripts/:id/styles/ripple") do
      values = typed_values(chosen_style)
      @ripple = values.empty? ? nil : Norvel::Ripple.new(Norvel::Edits::ChangeStyle.new(chosen_style.id, values), document, manuscript.check)
      @typed = values
      request.env["HTTP_HX_REQUEST"] ? partial(:ripple) + %(<div id="said" hx-swap-oob="true" aria-live="polite"></div>) : station(:styles)
    end

    app.post("/manuscripts/:id/styles/keep") do
      values = typed_values(chosen_style)
      style_change Norvel::Edits::ChangeStyle.new(chosen_style.id, values)
    end

    app.post("/manuscripts/:id/styles/make") do
      name = params[:name].to_s
      if params[:like].to_s.empty?
        manuscript.perform(Norvel::Edits::DefineStyle.new(name, based_on: params[:based_on].to_s.empty? ? nil : params[:based_on]), version: params[:version])
      else
        manuscript.perform(Norvel::Edits::DuplicateStyle.new(params[:like], name), version: params[:version])
      end
      @document = nil
      go_after "Made the style #{name.strip}", path_to("styles", style: document.sheet.named(name.strip)&.id)
    end

    app.post("/manuscripts/:id/styles/rename") { style_change Norvel::Edits::RenameStyle.new(chosen_style.id, params[:name]) }
    app.post("/manuscripts/:id/styles/base") { style_change Norvel::Edits::RebaseStyle.new(chosen_style.id, params[:base]) }
    app.post("/manuscripts/:id/styles/next") { style_change Norvel::Edits::StyleLinks.new(chosen_style.id, {next_id: params[:next].to_s.empty? ? nil : params[:next]}) }
    app.post("/manuscripts/:id/styles/merge") { style_change Norvel::Edits::MergeStyles.new(chosen_style.id, params[:into].to_s), params[:into] }
    app.post("/manuscripts/:id/styles/delete") { style_change Norvel::Edits::DeleteStyles.new([chosen_style.id], to: params[:to].to_s.empty? ? nil : params[:to], keep_look: params[:look] == "keep"), params[:to] }
    app.post("/manuscripts/:id/styles/unused") { style_change Norvel::Edits::DeleteStyles.new(unused_styles.map(&:id)) }

    app.post("/manuscripts/:id/styles/hide") { style_change Norvel::Edits::StyleLinks.new(chosen_style.id, {hidden: !chosen_style.hidden}) }
    app.post("/manuscripts/:id/styles/number") { style_change Norvel::Edits::NumberHeadings.new(params[:scheme].to_s, word: params[:word]) }

    # A style made from the look of one paragraph, from the galley.
    app.post("/manuscripts/:id/edits/make_style") { perform Norvel::Edits::StyleFromLook.new(chosen_ids, params[:name]) }

    # The style of a paragraph takes over its look, from the galley.
    app.post("/manuscripts/:id/edits/adopt") { perform Norvel::Edits::AdoptLook.new(one_id) }

    app.get("/manuscripts/:id/specimen.css") do
      content_type "text/css"
      look_rules(specimen_paragraphs(chosen_style).compact)
    end

    app.helpers do
      def style_change(edit, then_style = nil)
        stays = then_style.to_s.empty? ? chosen_style&.id : then_style
        go_after manuscript.perform(edit, version: params[:version]).title, path_to("styles", style: stays)
      end
    end
  end
end
