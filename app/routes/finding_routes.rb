# frozen_string_literal: true

# Findings against the guide, by cause; mend a group, or all that is safe.
module FindingRoutes
  def self.registered(app)
    app.get("/manuscripts/:id/findings") { station :findings }

    app.post("/manuscripts/:id/findings/mend") do
      group = manuscript.check.groups.find { |g| g.key == params[:group] } or raise Norvel::Refused,
        "That group of findings is not there any more: it may have been mended with another."
      edit = group.edit(manuscript.rules) or raise Norvel::Refused, "There is no mend for this: it needs your eye."
      after_mend manuscript.perform(edit, version: params[:version]).title
    end

    app.post("/manuscripts/:id/findings/mend_safe") do
      after_mend manuscript.perform(Norvel::Edits::MendSafe.new(manuscript.rules), version: params[:version]).title
    end

    app.post("/manuscripts/:id/guide") do
      raise Norvel::Refused, "There is no such guide." unless Norvel::Guide.shipped.key?(params[:guide])
      manuscript.judge_by(params[:guide], version: params[:version] || manuscript.lock_version)
      redirect to(path_to("findings")), 303
    end

    app.helpers do
      def after_mend(said)
        @document = nil
        return go_after(said, path_to("findings")) unless request.env["HTTP_HX_REQUEST"]
        headers "HX-Trigger" => {"document-changed" => {version: manuscript.lock_version}}.to_json
        partial(:findings) + partial(:answer, said:, touched: [], selected: [])
      end
    end
  end
end
