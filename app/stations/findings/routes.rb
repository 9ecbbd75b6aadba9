# frozen_string_literal: true

# Findings against the guide, by cause; mend a group, or all that is safe.
class FindingsStation < Station
  helpers Answers, BenchView, ChosenView, ConsistencyView, FindingsView, GalleyRow, Gauge, HistoryView, ListView,
    LookSheet, MattersView, OutcomeView, PlaceView, PlanView, PortionView, Putting, SheetAtSize, SheetFormulas,
    SheetGround, SheetImages, SheetStrokes, SheetsView, StyleLetters, StyleView, SurveyView, TriedView, TypedSigns

  get("/manuscripts/:id/findings") { check_takes_long? ? waiting_page : station(:findings) }
  get("/manuscripts/:id/findings/progress") { partial(:check_progress) }

  # One place of a cause: in its line and on its sheet.
  get("/manuscripts/:id/findings/place") { station :place }

  get("/manuscripts/:id/findings/place.css") do
    content_type "text/css"
    chosen_group ? look_rules(lines_around(the_finding)) : ""
  end

  # An exception for what is found at a place, its style, its kind or everywhere.
  post("/manuscripts/:id/findings/except") do
    finding = finding_sent
    grant = Grant.from(finding, manuscript.check, scope: params[:scope], because: params[:because], by: params[:by])
    manuscript.grants << grant
    go_after "Granted an exception from #{finding.rule}", path_to("findings")
  end

  post("/manuscripts/:id/findings/ungrant") do
    manuscript.grants.find_by(id: whole(:grant))&.destroy
    go_after "Took the exception back", path_to("findings")
  end

  # A person's own note.
  post("/manuscripts/:id/findings/remark") do
    finding = finding_sent
    raise Norvel::Refused, "There is nothing in the note." if params[:text].to_s.strip.empty?
    manuscript.remarks.create!(rule: finding.rule, paragraph: finding.paragraph, text: params[:text].strip[0, 1000])
    go_after "Kept the note", path_to("findings/place", group: params[:group], nth: whole(:nth))
  end

  # The report of the check: as a page that prints, and as a table.
  get("/manuscripts/:id/findings/report") { paper Norvel::Report::CheckPage.new([check_report], manuscript.rules).text }

  get("/manuscripts/:id/findings.csv") do
    content_type "text/csv", charset: "utf-8"
    attachment "#{File.basename(manuscript.filename, ".*")} findings.csv"
    Norvel::Report::CheckTable.new([check_report], manuscript.rules).text
  end

  # What mending a cause would do to the others, in a line and as a page.
  get("/manuscripts/:id/findings/effect") { partial(:effect, groups: causes_there) }
  get("/manuscripts/:id/findings/outcome") { station :outcome }

  post("/manuscripts/:id/findings/mend") do
    change = mend_or_ask(causes_there)
    change ? after_mend(change.title) : go_ask
  end

  # The mends of several causes as one change.
  post("/manuscripts/:id/findings/mend_ticked") do
    groups = causes_sent.select { |group| tickable?(group) }
    raise Norvel::Refused, "No cause is ticked that has a mend." if groups.empty?
    change = mend_or_ask(groups)
    change ? go_after(change.title, path_to("findings")) : go_ask
  end

  # Every safe mend as a plan, before it is done; with other parts ticked, the same anew.
  get("/manuscripts/:id/plan") { plan_takes_long? ? station(:plan_waiting) : plan_page }
  get("/manuscripts/:id/plan/progress") { partial(:plan_progress) }
  post("/manuscripts/:id/plan") { plan_page }

  # The pages around one part of it.
  get("/manuscripts/:id/plan/pages") do
    @part = plan.parts.find { |one| one.key == params[:key].to_s && one.moves_pages? } or raise Norvel::Refused,
      "That part is not in the plan any more."
    request.env["HTTP_HX_REQUEST"] ? partial(:plan_pages, part: @part) : station(:plan_moved)
  end

  get("/manuscripts/:id/plan.css") do
    content_type "text/css"
    plan_looks
  end

  post("/manuscripts/:id/findings/mend_safe") do
    edit = Norvel::Guide::MendSafe.new(manuscript.rules, plan: (plan if current?), **plan_choices)
    go_after manuscript.perform(edit, version: params[:version]).title, path_to("findings")
  end

  # A guide or template to hold the document against, or none of them, from any station.
  post("/manuscripts/:id/guide") do
    manuscript.judge_by(against[:guide], template: against[:template],
      version: params[:version] || manuscript.lock_version)
    go_after "Held against #{against_words}.", back_to
  end

  private

  def causes_there
    causes_sent.tap do |groups|
      raise Norvel::Refused, "That group of findings is not there any more: it may have been mended with another." if
        groups.empty?
    end
  end

  # To the page that says what it would raise.
  def go_ask
    place = "#{path_to("findings/outcome")}?#{Rack::Utils.build_query(causes_fields)}"
    return redirect to(place), 303 unless request.env["HTTP_HX_REQUEST"]
    headers "HX-Redirect" => place
    ""
  end

  def check_takes_long?
    document.working.size > PlanView::LONG && params[:now].nil? && !Desk.checked?(manuscript) &&
      Desk.check_before(manuscript).nil?
  end

  # A page by itself: what stands in the frame of a station would ask for the check.
  def waiting_page
    @title = "Findings, #{manuscript.title}"
    erb :findings_waiting
  end

  # The edit of a cause as its own button does it; nil where there is none.
  def mend_of_group(group)
    how = group.first.mend&.put? ? {hand:, look: look_chosen} : {}
    group.edit(manuscript.rules, **how)
  end

  # The finding that a form is about: of its cause the one at its paragraph; one of a page by its place among them.
  def finding_sent
    raise Manuscript::Stale unless current?
    list = group_of_findings(params[:group])&.findings || []
    at = whole(:at)
    (at.zero? ? list[whole(:nth)] : list.find { |one| one.paragraph == at }) or raise Norvel::Refused,
      "That finding is not there any more."
  end

  def check_report
    Desk.pages_now(manuscript)
    Norvel::Report::CheckReport.new(manuscript.check).whole(file: manuscript.filename)
      .merge(seal: {text_digest: "sha256:#{Norvel::Seal.of(document).words}"})
  end

  # The same parts ticked, for the address of the looks.
  def plan_query
    lists = %i[shown part offered leave].to_h { |name| ["#{name}[]", Array(params[name])] }
    {**lists, "ids" => (id_spans(plan_among) if picked?), **params.slice("on", "from", "to")}
      .reject { |_, value| value.nil? || value.empty? }
  end

  def current?
    whole(:version) == manuscript.lock_version
  end

  def plan_page
    @title = "The plan, #{manuscript.title}"
    plan
    return station(:plan) unless request.env["HTTP_HX_REQUEST"]
    swapped = ->(id, name) { %(<div hx-swap-oob="innerHTML:#{id}">#{partial(name)}</div>) }
    swapped["#station", :plan] + swapped["#plan-bench", :plan_bench] +
      %(<div id="fresh-looks" hx-swap-oob="true" hidden>#{h plan_looks}</div>)
  end

  def after_mend(said)
    @document = nil
    return go_after(said, path_to("findings")) unless request.env["HTTP_HX_REQUEST"]
    headers "HX-Trigger" => {"document-changed" => {version: manuscript.lock_version}}.to_json
    partial(:findings) + partial(:answer, said:, touched: [], selected: [])
  end
end
