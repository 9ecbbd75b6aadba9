# frozen_string_literal: true

# The galley: the whole text, where paragraphs get their styles. Only the blocks near the place asked for are sent; the
# others are asked for as they come near.
class GalleyStation < Station
  NEAR = 1 # blocks sent before and after the one asked for

  helpers Answers, BenchView, ConsistencyView, FindingsView, GalleyRow, Gauge, Hits, ListView, LookSheet, PlanView,
    Putting, SpecimenView, StyleChanges, StyleLetters, StyleView, SurveyView, TypedSigns

  get("/manuscripts/:id/galley") do
    near(whole(:at))
    @picked = picked(params[:pick].to_s)
    station :galley
  end

  # The text alone, around a paragraph.
  get("/manuscripts/:id/galley/text") do
    near(whole(:at))
    partial(:galley_text, first: @sent.begin, last: @sent.end) +
      partial(:fresh_looks, paragraphs: blocks[@sent].to_a.flatten)
  end

  get("/manuscripts/:id/galley/blocks/:number") do
    number = whole(:number)
    paragraphs = (blocks[number] if number.between?(0, blocks.size)) or halt 404
    partial(:block, number:, paragraphs:) + partial(:fresh_looks, paragraphs:)
  end

  get("/manuscripts/:id/survey_looks.css") do
    content_type "text/css"
    look_rules(survey.looks.map(&:example))
  end

  # The looks of the blocks that a page is drawn with.
  get("/manuscripts/:id/looks.css") do
    first, last = params[:blocks].to_s.split("-", 2).map { |number| number.to_i.clamp(0, blocks.size) }
    content_type "text/css"
    look_rules(blocks[(first || 0)..(last || 0)].to_a.flatten)
  end

  post("/manuscripts/:id/galley/bench") do
    partial(:bench, ids: chosen_ids)
  end

  # Paragraphs like one: in its style, of its look or kind, or on to the next heading.
  get("/manuscripts/:id/galley/like") do
    content_type :json
    like(document.paragraph(whole(:paragraph)), params[:by].to_s).map(&:id).to_json
  end

  # Paragraphs that hold a text, or match a pattern between slashes.
  get("/manuscripts/:id/galley/find") do
    content_type :json
    places = hits.map(&:paragraph)
    {ids: places.uniq, places:}.to_json
  end

  post("/manuscripts/:id/letters") do
    begin
      set_letter(params[:style].to_s, params[:letter])
    rescue Norvel::Refused => refusal
      @refused = refusal.message
      status 422
      near(whole(:at))
      next station(:galley)
    end
    go_after letter_words(params[:style].to_s), path_to("galley")
  end

  post("/manuscripts/:id/edits/style") do
    perform style_edit
  end

  post("/manuscripts/:id/edits/clear") do
    properties = params[:property].to_s.empty? ? nil : [params[:property].to_sym]
    raise Norvel::Refused, "There is no property of that name." if properties &&
      !Norvel::Styles::Properties.key?(properties.first)
    perform Norvel::Edits::ClearDirect.new(chosen_ids, properties:, keep_emphasis: params[:keep] == "emphasis")
  end

  post("/manuscripts/:id/edits/value") { perform Norvel::Edits::SetValue.new(chosen_ids, *typed_value) }

  # What a person says that paragraphs are.
  post("/manuscripts/:id/edits/decide") do
    perform Norvel::Edits::Decide.new(chosen_ids, params[:said].to_s.empty? ? nil : params[:said])
  end

  # What becomes of paragraphs in a style, before they go in it.
  post("/manuscripts/:id/galley/outcome") do
    ids = chosen_ids
    next "" if ids.empty? || params[:style].to_s.empty?
    put = put_in_style(ids, params[:style])
    next partial(:put_outcome, put:) if ids.one?
    drawn = outcomes(ids, params[:style])
    partial(:put_outcome, put:) + partial(:outcomes, outcomes: drawn, chosen: look_offered(params[:style]))
  end

  post("/manuscripts/:id/edits/list") { perform list_edit }
  post("/manuscripts/:id/edits/restart") do
    perform Norvel::Edits::StartList.new(one_id, again: params[:again] == "1")
  end

  post("/manuscripts/:id/take_back") do
    before = document
    entries = manuscript.take_back(version: params[:version], to: (whole(:entry) if params[:entry]))
    raise Norvel::Refused, "There is nothing to take back: the document is as it came." if entries.empty?
    @document = nil
    what = (entries.size == 1) ? entries.first.title : "the last #{entries.size} changes"
    answer(before, "Taken back: #{what}", [])
  end

  get("/manuscripts/:id/ledger") do
    station :ledger
  end

  get("/manuscripts/:id/spine") { partial(:spine) }
  get("/manuscripts/:id/standing") { partial(:standing) }

  private

  # Sets the paragraph to stand at and the blocks to send.
  def near(id)
    @at = document.include?(id) ? id : nearest(id)
    middle = @at ? block_of(@at) : 0
    @sent = [middle - NEAR, 0].max..[middle + NEAR, blocks.size - 1].min
  end

  # The paragraph that stands where one has gone.
  def nearest(id)
    ((document.paragraphs.find { |one| one.id > id } if id.positive?) || document.paragraphs.first)&.id
  end

  # Paragraphs that another station points at: [what they are, their ids], or nil.
  def picked(pick)
    kind, key = pick.split(":", 2)
    label, list = case kind
    when "finding" then (group = group_of_findings(key)) &&
      [group.first.message, group.paragraphs]
    when "look" then (group = survey.looks.find { |g| g.key == key }) &&
      ["Look #{group.letter}", group.paragraphs.map(&:id)]
    when "style" then (style = document.styles[key]) && ["In #{style.name}", wearers(style).map(&:id)]
    when "setby" then (style = document.styles[key]) &&
      ["In #{style.name}, with values of their own", departing(wearers(style)).values.flatten.map(&:id).uniq]
    when "hand" then (job = SurveyView::JOBS[key.to_s.to_sym]) && [job, survey.by_hand[key.to_sym].map(&:id)]
    when "direct" then ["Formatted by hand", direct_ids((key == "words") ? :words : :paragraphs)]
    when "miss" then (miss = survey.near_misses.misses.find { |m| miss_key(m) == key }) &&
      ["#{miss.property.label} #{miss.property.spoken(miss.odd, unit)}", miss.paragraphs.map(&:id)]
    end
    [label, list] if list&.any?
  end

  # A style by its id or name, or the style of a kind of paragraphs.
  def style_edit
    return put_in_style(chosen_ids, params[:style]) unless params[:role]
    raise Norvel::Refused, "There is no such kind of paragraph." unless Norvel::Guide::ROLES.include?(params[:role])
    put_in_roles({params[:role] => chosen_ids}, looks: {params[:role] => look_chosen})
  end

  # Into a list that is there, out of lists, or into one that is made now.
  def list_edit
    level = params[:level].to_s.empty? ? nil : whole(:level) - 1
    unless ListView::READY.key?(params[:list])
      return Norvel::Edits::PutInList.new(chosen_ids, whole(:list), level:)
    end
    define = Norvel::Edits::DefineListStyle.new(params[:list], ListView::READY[params[:list]])
    list_id = define.change(document).styles.named(params[:list]).paragraph[:list_id]
    put = Norvel::Edits::PutInList.new(chosen_ids, list_id, level:)
    Norvel::Edits::Several.new([define, put],
      title: "Put #{counted(chosen_ids.size, "paragraph")} in #{params[:list]}")
  end
end
