# frozen_string_literal: true

# Put documents together: a text into a template with front matter, chapters behind each other. What is made is a new
# document on the shelf; those that it is made of stay as they are.
class JoiningStation < Station
  helpers ErrandView, JoiningView, SurveyView

  get("/join") do
    @joining = joining
    show
  end

  post("/join") do
    @joining = joining
    raise Norvel::Refused, "Say first what takes in what." unless @joining.said?
    @joining.place # that it can be
    name = params[:name]
    @errand = Errands.begin(subject: @joining) { |told| @joining.make(name, &told) }
    @errand.ready?(within: Errands::PATIENCE) ? put_together : redirect(to("/join/#{@errand.id}"), 303)
  rescue Norvel::Error => error
    not_joined(error)
  end

  # How far it is, until it is there.
  get("/join/:errand") do
    @errand = Errands[params[:errand].to_s] or redirect to("/join"), 303
    next put_together if @errand.ready?
    @title = "Being put together"
    @head = %(<meta http-equiv="refresh" content="1">)
    erb :being_joined
  rescue Norvel::Error => error
    @joining = @errand.subject
    not_joined(error)
  end

  private

  def put_together
    made = @errand.result
    Errands.forget(@errand.id)
    go_after "Put together #{made.title}", "/manuscripts/#{made.id}/galley"
  end

  def not_joined(error)
    @complaint = error.message
    status 422
    show
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
