# frozen_string_literal: true

# The survey: what is really in the file. From here whole looks go in styles, and values that were meant to be equal
# become so.
class SurveyStation < Station
  VIEWS = {"overview" => "Looks and values", "outline" => "Outline", "lines" => "First lines",
           "consistency" => "Consistency", "aloud" => "Read aloud"}
    .freeze

  helpers Answers, CausesView, ConsistencyView, FindingsView, GalleyRow, Gauge, LookSheet, MattersView, OutlineView,
    PlanView, Putting, StyleView, SurveyView, TriedView

  get("/manuscripts/:id/survey") do
    @view = VIEWS.key?(params[:view]) ? params[:view] : "overview"
    station :survey
  end

  get("/manuscripts/:id/roles") { station :roles }

  # The looks that the outcomes of that page are drawn in.
  get("/manuscripts/:id/roles.css") do
    content_type "text/css"
    suggested_groups.map { |role, list| outcome_rules(role_outcomes(role, least_sure_first(list))) }.join("\n")
  end

  post("/manuscripts/:id/edits/roles") do
    if params[:denied]
      edit = Norvel::Edits::Decide.new([whole(:denied)], Norvel::Document::NO_HEADING)
      next go_after manuscript.perform(edit, version: params[:version]).title, path_to("roles")
    end
    groups = suggested_groups.slice(*Array(params[:role]))
    ids = groups.transform_values { |list| list.map(&:id) }
    edit = put_in_roles(ids, looks: ids.keys.to_h { |role| [role, look_chosen(params["look_#{role}"])] })
    go_after manuscript.perform(edit, version: params[:version]).title, path_to("survey")
  end

  post("/manuscripts/:id/edits/look") do
    ids = look_group(params[:look_group]).paragraphs.map(&:id)
    name = params[:name].to_s.strip
    edit = (params[:by] == "name" && !name.empty?) ? style_of_look(ids, name) : put_in_style(ids, params[:style])
    go_after manuscript.perform(edit, version: params[:version]).title, path_to("survey")
  end

  # Both outcomes of putting a look group in a style, drawn on its own line.
  get("/manuscripts/:id/survey/outcomes") do
    ids = look_group(params[:look_group]).paragraphs.map(&:id)
    partial(:outcomes, outcomes: outcomes(ids, params[:style]), chosen: look_offered(params[:style]))
  end

  post("/manuscripts/:id/edits/outline") do
    go_after manuscript.perform(outline_edit, version: params[:version]).title, back_to
  end

  post("/manuscripts/:id/edits/equal") do
    miss = survey.near_misses.misses.find { |m| miss_key(m) == params[:miss] } or raise Norvel::Refused,
      "That near miss is not there any more."
    go_after manuscript.perform(Norvel::Edits::MakeEqual
      .new(miss.paragraphs.map(&:id), miss.property.name, miss.usual), version: params[:version]).title,
      path_to("survey")
  end

  private

  def look_group(key)
    survey.looks.find { |group| group.key == key } or raise Norvel::Refused, "No paragraph has that look any more."
  end

  # Paragraphs by suggested role, those that are not in the role's style yet.
  def suggested_groups
    suggestions = Norvel::Survey::Suggestions.of(document)
    @suggested_groups ||= document.paragraphs.group_by { |paragraph| suggestions.role(paragraph.id) }
      .to_h { |role, list| [role, outside(list, style_of_role(role))] }
      .reject { |_, list| list.empty? }
  end

  # Those that are not in a style; none where there is no such style.
  def outside(paragraphs, style)
    style ? paragraphs.reject { |paragraph| document.style_name(paragraph) == style } : []
  end
end
