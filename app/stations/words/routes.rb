# frozen_string_literal: true

# Edits that change words or where paragraphs end, made in the galley; and text that is pasted in.
class WordsStation < Station
  # How words in a new character style look.
  NEW_LOOKS = {"" => "as the text", "italic" => "italic", "bold" => "bold", "small_caps" => "small capitals"}.freeze
  NEW_VALUES = {"italic" => {italic: true}, "bold" => {bold: true}, "small_caps" => {small_caps: true}}.freeze

  helpers Answers, BareView, BenchView, GalleyRow, Gauge, Hits, ListView, LookSheet, Putting, SheetAtSize,
    SheetFormulas, SheetGround, SheetImages, SheetsBesideView, SheetStrokes, SheetsView, StyleLetters, StyleView,
    SurveyView, TypedSigns, WordsView

  post("/manuscripts/:id/edits/retype") { perform Norvel::Edits::Retype.new(one_id, typed_texts) }
  post("/manuscripts/:id/edits/join") { perform Norvel::Edits::JoinParagraphs.new(one_id) }
  post("/manuscripts/:id/edits/add") {
    perform Norvel::Edits::AddParagraphs
      .text(one_id, params[:text].to_s.tr("\r\n", " ").strip)
  }
  post("/manuscripts/:id/edits/move") do
    perform Norvel::Edits::MoveParagraphs.new(chosen_ids, params[:way].to_s)
  end
  post("/manuscripts/:id/edits/delete") { perform Norvel::Edits::DeleteParagraphs.new(chosen_ids) }
  post("/manuscripts/:id/edits/case") { perform Norvel::Edits::ChangeCase.new(chosen_ids, params[:case].to_s) }
  post("/manuscripts/:id/edits/run_in") { perform Norvel::Edits::RunIn.new(chosen_ids, on: params[:on] == "1") }

  post("/manuscripts/:id/edits/words") do
    range = Norvel::Edits::StyleWords.range(document.paragraph(one_id), params[:words].to_s, whole(:nth)
      .clamp(0, 10_000))
    perform in_character_style([[one_id, range]], "“#{cut(params[:words].to_s, 40)}”")
  end

  # Every hit of a search in a character style, or those that were ticked.
  post("/manuscripts/:id/edits/hits") do
    raise Norvel::Refused, "Nothing in the text is “#{cut(params[:q].to_s, 60)}”." if hits.empty?
    places = (params[:ticked] ? ticked_hits : hits).map { |hit| [hit.paragraph, hit.places.first..hit.places.last] }
    raise Norvel::Refused, "Tick a place first." if places.empty?
    perform params[:plain] ? plainly(places) : in_character_style(places, counted(places.size, "place"))
  end

  # What is found, place by place, with what it would become.
  get("/manuscripts/:id/words") { station :found }

  # The ticked places get other words, as one change.
  post("/manuscripts/:id/words") do
    places = ticked_hits.reject(&:fixed).map { |hit| [hit.paragraph, hit.places, search.instead(hit, instead)] }
    edit = Norvel::Edits::ReplaceWords.new(places, sought: params[:q].to_s, with: instead)
    said = manuscript.perform(edit, version: params[:version]).title
    go_after said, path_to("words", **asked)
  end

  # Words that hold the place of others, each with a field.
  get("/manuscripts/:id/placeholders") { station :placeholders }

  post("/manuscripts/:id/placeholders") do
    raise Manuscript::Stale unless whole(:version) == manuscript.lock_version
    sent = params[:placeholder] || {}
    words = placeholders.each_with_index.to_h { |(name, _), at| [name, sent[at.to_s].to_s] }
    raise Norvel::Refused, "Nothing was filled in." if words.values.all? { |text| text.strip.empty? }
    said = manuscript.perform(Norvel::Edits::FillPlaceholders.new(words), version: params[:version]).title
    go_after said, path_to("placeholders")
  end

  get("/manuscripts/:id/paste") do
    @after = document.include?(whole(:after)) ? whole(:after) : document.paragraphs.last&.id
    station :paste
  end

  # Shown before it goes in; with keep it goes in.
  post("/manuscripts/:id/paste") do
    @after = whole(:after)
    plain = params[:html].to_s.strip.empty?
    @source = params[plain ? :text : :html].to_s
    @blocks = plain ? Norvel::Intake::Pasted.plain(@source) : Norvel::Intake::Pasted.html(@source)
    raise Norvel::Refused, "There are no words in what was pasted." if @blocks.empty?
    @body = pasted_body
    @pieces = Norvel::Intake::Pasted.pieces(@blocks, document, manuscript.rules, body: @body)
    next station(:paste) unless params[:keep] == "1"
    manuscript.perform(Norvel::Edits::AddParagraphs.new(@after, @pieces), version: params[:version])
    redirect to(path_to("galley", at: @after)), 303
  end

  # The text beside what it was: as it came, or before a change of the ledger.
  get("/manuscripts/:id/beside") do
    @pairs = differing(pairs)
    @page = whole(:page).clamp(0, [(@pairs.size - 1) / WordsView::PAIRS, 0].max)
    station :beside
  end

  # All formatting off, shown in figures first; once done, beside what it was.
  get("/manuscripts/:id/bare") { station :bare }
  post("/manuscripts/:id/bare") do
    said = manuscript.perform(bare_edit, version: params[:version]).title
    go_after said, path_to("beside", before: manuscript.ledger_entries.last.id, only: "1")
  end

  get("/manuscripts/:id/beside/sheets") do
    wait_for_pages
    station :beside_sheets
  end

  get("/manuscripts/:id/beside.css") do
    content_type "text/css"
    shown = differing(pairs).slice(whole(:page).clamp(0, 10_000) * WordsView::PAIRS, WordsView::PAIRS).to_a
    look_rules(shown.filter_map(&:first), beside) + "\n" + look_rules(shown.filter_map(&:last))
  end

  private

  # The style for running text that is pasted: as a person says, else that of the text it stands after.
  def pasted_body
    return params[:body] if document.styles[params[:body].to_s]&.paragraph?
    before = document.include?(@after) && document.paragraph(@after)
    document.style_of(before)&.id if before && Norvel::Survey.role(document, before) == "body"
  end

  def ticked_hits
    Array(params[:hit]).grep(/\A\d{1,6}\z/).filter_map { |number| hits[number.to_i] }
  end

  # places: [[id, range], …]; in the style that was chosen, or in a new one
  def in_character_style(places, said)
    name = params[:new_character].to_s.strip
    make = Norvel::Edits::DefineStyle.new(name, type: "character", values: new_letters) unless name.empty?
    name = params[:character].to_s if name.empty?
    words = places.map { |id, range| Norvel::Edits::StyleWords.new(id, range, name.empty? ? nil : name) }
    title = "#{said} in #{name.empty? ? "no character style" : name}"
    Norvel::Edits::Several.new([make, *words].compact, title:)
  end

  # Nothing sets them apart any more, neither a character style nor what was set by hand.
  def plainly(places)
    words = places.map { |id, range| Norvel::Edits::StyleWords.new(id, range, nil, plain: true) }
    Norvel::Edits::Several.new(words, title: "Let #{counted(places.size, "place")} look as the paragraph does")
  end

  def new_letters
    NEW_VALUES.fetch(params[:new_look].to_s, {})
  end

  # The paragraphs as they were and as they are, in step: [before, now], either nil.
  def pairs
    first, now = beside.working, document.working
    Diff::LCS.sdiff(first.map(&:id), now.map(&:id)).flat_map do |pair|
      original = first[pair.old_position] unless pair.adding?
      copy = now[pair.new_position] unless pair.deleting?
      pair.changed? ? [[original, nil], [nil, copy]] : [[original, copy]]
    end
  end
end
