# frozen_string_literal: true

# Findings against the guide, by cause; mend a group, or all that is safe.
module FindingRoutes
  def self.registered(app)
    app.get("/manuscripts/:id/findings") { station :findings }

    app.post("/manuscripts/:id/findings/mend") do
      group = manuscript.check.groups.find { |g| g.key == params[:group] } or raise Norvel::Refused,
        "That group of findings is not there any more: it may have been mended with another."
      edit = group.edit(manuscript.rules, way: chosen_way) or raise Norvel::Refused,
        "There is no mend for this: it needs your eye."
      after_mend manuscript.perform(edit, version: params[:version]).title
    end

    # Every safe mend as a plan, before it is done; with other parts ticked, the same anew.
    app.get("/manuscripts/:id/plan") { plan_takes_long? ? station(:plan_waiting) : plan_page }
    app.get("/manuscripts/:id/plan/progress") { partial(:plan_progress) }
    app.post("/manuscripts/:id/plan") { plan_page }

    app.get("/manuscripts/:id/plan.css") do
      content_type "text/css"
      plan_looks
    end

    app.post("/manuscripts/:id/findings/mend_safe") do
      edit = Norvel::Edits::MendSafe.new(manuscript.rules, plan: (plan if current?), **plan_choices)
      go_after manuscript.perform(edit, version: params[:version]).title, path_to("findings")
    end

    app.post("/manuscripts/:id/guide") do
      raise Norvel::Refused, "There is no such guide." unless Norvel::Guide.shipped.key?(params[:guide])
      manuscript.judge_by(params[:guide], version: params[:version] || manuscript.lock_version)
      redirect to(path_to("findings")), 303
    end

    app.helpers do
      # How paragraphs go in a style that looks otherwise.
      def chosen_way
        Norvel::Edits::PutInStyle::WAYS.find { |way| way.to_s == params[:way] } || :keep
      end

      # The same parts ticked, for the address of the looks.
      def plan_query
        %i[shown part offered].to_h { |name| ["#{name}[]", Array(params[name])] }.reject { |_, list| list.empty? }
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
  end
end
