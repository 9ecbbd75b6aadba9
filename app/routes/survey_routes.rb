# frozen_string_literal: true

# The survey: what is really in the file. From here whole looks go in styles, and values that were meant to be equal
# become so.
module SurveyRoutes
  VIEWS = {"overview" => "Looks and values", "outline" => "Outline", "lines" => "First lines", "aloud" => "Read aloud"}
    .freeze

  def self.registered(app)
    app.get("/manuscripts/:id/survey") do
      @view = VIEWS.key?(params[:view]) ? params[:view] : "overview"
      station :survey
    end

    app.get("/manuscripts/:id/roles") { station :roles }

    app.post("/manuscripts/:id/edits/roles") do
      if params[:denied]
        edit = Norvel::Edits::Decide.new([whole(:denied)], Norvel::Document::NO_HEADING)
        next go_after manuscript.perform(edit, version: params[:version]).title, path_to("roles")
      end
      groups = suggested_groups.slice(*Array(params[:role]))
      clear = {"all" => :all, "emphasis" => :emphasis_kept}.fetch(params[:clear], :nothing)
      ids = groups.transform_values { |list| list.map(&:id) }
      edit = Norvel::Edits::PutInRoles.new(ids, manuscript.rules, clear:)
      go_after manuscript.perform(edit, version: params[:version]).title, path_to("survey")
    end

    app.post("/manuscripts/:id/edits/look") do
      ids = look_group(params[:look]).paragraphs.map(&:id)
      edit = params[:name].to_s.strip.empty? ? look_edit(ids) : Norvel::Edits::StyleFromLook.new(ids, params[:name])
      go_after manuscript.perform(edit, version: params[:version]).title, path_to("survey")
    end

    app.post("/manuscripts/:id/edits/equal") do
      miss = survey.near_misses.misses.find { |m| miss_key(m) == params[:miss] } or raise Norvel::Refused,
        "That near miss is not there any more."
      go_after manuscript.perform(Norvel::Edits::MakeEqual
        .new(miss.paragraphs.map(&:id), miss.property.name, miss.usual), version: params[:version]).title,
        path_to("survey")
    end

    app.helpers do
      def look_edit(ids)
        way, style = GalleyRoutes::WAYS[params[:clear]], document.sheet[params[:style].to_s]
        return Norvel::Edits::PutInStyle.new(ids, style.name, way:) if way && style
        clear = {"all" => :all, "emphasis" => :emphasis_kept}.fetch(params[:clear], :nothing)
        Norvel::Edits::AssignStyle.new(ids, params[:style].to_s, clear:)
      end

      def look_group(key)
        survey.looks.find { |group| group.key == key } or raise Norvel::Refused, "No paragraph has that look any more."
      end

      # Paragraphs by suggested role, those that are not in the role's style yet.
      def suggested_groups
        @suggested_groups ||= document.paragraphs.group_by { |paragraph| document.suggestions.role(paragraph.id) }
          .to_h { |role, list| [role, outside(list, Norvel::Edits::PutInRoles.style_name(role, manuscript.rules))] }
          .reject { |_, list| list.empty? }
      end

      # Those that are not in a style; none where there is no such style.
      def outside(paragraphs, style)
        style ? paragraphs.reject { |paragraph| document.style_name(paragraph) == style } : []
      end
    end
  end
end
