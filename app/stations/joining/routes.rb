# frozen_string_literal: true

# Put documents together: a text into a template with front matter, chapters behind each other. What is made is a new
# document on the shelf; those that it is made of stay as they are.
class JoiningStation < Station
  helpers CarryingOut, JoiningView, SurveyView

  get("/join") do
    @joining = joining
    show
  end

  post("/join") do
    @joining = joining
    raise Norvel::Refused, "Say first what takes in what." unless @joining.said?
    @joining.place # that it can be
    name = params[:name]
    carry_out(@joining.usual_name, back: join_path) do |told|
      made = @joining.make(name, &told)
      ["Put together #{made.title}", "/manuscripts/#{made.id}/galley"]
    end
  rescue Norvel::Error => error
    @complaint = error.message
    status 422
    show
  end

  private

  # What was chosen, as an address.
  def join_path
    chosen = params.to_h.slice("base", "order", "from", "till", "apart", "partner")
    "/join?#{Rack::Utils.build_nested_query(chosen)}"
  end

  def show
    @title = "Put documents together"
    @stretches = @joining.said? ? stretches : []
    erb :joining
  end

  # What stays and what goes; where that can't be, why is said above.
  def stretches
    @joining.joined.stretches
  rescue Norvel::Refused => error
    @complaint ||= error.message
    []
  end

  # What the address or the form says. text: one document alone
  def joining
    order = params[:order] || {}
    order = {params[:text].to_s => "1"} if order.empty? && params[:text]
    place = params.key?(:from) ? {from: params[:from], till: params[:till]} : nil
    Joining.new(base: params[:base], order:, place:, apart: params[:apart] == "1", partners: params[:partner] || {})
  end
end
