# frozen_string_literal: true

# The shelf: documents that were brought in; bring one in, take one off.
class ShelfStation < Station
  helpers ShelfView

  get "/" do
    shelf
  end

  post "/manuscripts" do
    arrival = Arrival.keep(sent_file[:tempfile].read, filename: sent_file[:filename], **against)
    redirect to(Intake.settle(arrival) || "/arrivals/#{arrival.id}"), 303
  rescue Norvel::Error => error
    @complaint = error.message
    @filename = params[:file][:filename] if params[:file].is_a?(Hash)
    status 422
    shelf
  end

  # A file that is being read, until it is a document.
  get "/arrivals/:id" do
    place = Intake.place(numbered(:id)) and redirect to(place), 303
    @arrival = Arrival.find_by(id: numbered(:id)) or redirect to("/"), 303
    @title = "Being read"
    @head = %(<meta http-equiv="refresh" content="1">) unless @arrival.fault
    erb :arrival
  end

  post "/arrivals/:id/discard" do
    Arrival.find_by(id: numbered(:id))&.discard
    redirect to("/"), 303
  end

  # The unit of lengths, for all documents.
  post "/unit" do
    Preference.unit = params[:unit]
    place = params[:back].to_s
    redirect to(place.match?(%r{\A/manuscripts/\d+/[[:graph:]]*\z}) ? place : "/"), 303
  end

  get "/manuscripts/:id" do
    redirect to(path_to("galley"))
  end

  # How far the document is, counted anew for the shelf.
  post "/manuscripts/:id/count" do
    manuscript.count!
    request.env["HTTP_HX_REQUEST"] ? shelf_standing(manuscript) : redirect(to("/"), 303)
  end

  get "/manuscripts/:id/discard" do
    @title = "Take off the shelf"
    erb :discard
  end

  post "/manuscripts/:id/discard" do
    manuscript.discard
    redirect to("/"), 303
  end

  private

  def shelf
    @manuscripts = Manuscript.order(updated_at: :desc, id: :desc).to_a
    @texts = LooseText.waiting.to_a
    @arrivals = Arrival.order(id: :desc).to_a
    @title = "Shelf"
    erb :shelf
  end
end
