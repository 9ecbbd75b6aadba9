# frozen_string_literal: true

# The shelf: documents that were brought in; bring one in, take one off.
class ShelfStation < Station
  helpers CarryingOut, SentFiles, ShelfView

  get "/" do
    shelf
  end

  # One is waited for; of several the shelf tells how they go.
  post "/manuscripts" do
    sent = sent_documents
    next bring_in_all(sent) if sent.size > 1
    @filename, bytes = sent.first
    arrival = Arrival.keep(bytes, filename: @filename, **against)
    redirect to(Intake.settle(arrival) || "/arrivals/#{arrival.id}"), 303
  rescue Norvel::Error => error
    @complaint = error.message
    status 422
    shelf
  end

  # Every document on the shelf as its guide has it, in one report: a page that prints, or a table.
  get("/report") { paper Norvel::Report::CheckPage.new(check_reports, nil).text }

  get("/report.csv") do
    content_type "text/csv", charset: "utf-8"
    attachment "shelf.csv"
    Norvel::Report::CheckTable.new(check_reports, nil).text
  end

  # A file that is being read, until it is a document.
  get "/arrivals/:id" do
    place = Intake.place(numbered(:id)) and redirect to(place), 303
    @arrival = Arrival.find_by(id: numbered(:id)) or redirect to("/"), 303
    @title = "Being read"
    @head = %(<meta http-equiv="refresh" content="1">) unless @arrival.fault
    erb :arrival
  end

  # Work that takes longer than a request waits, until it is done.
  get "/errands/:errand" do
    @errand = Errands[params[:errand].to_s] or redirect to("/"), 303
    next arrive(@errand) if @errand.ready?
    @title = @errand.title
    @head = %(<meta http-equiv="refresh" content="1">)
    erb :errand
  rescue Norvel::Error => error
    @complaint = error.message
    @title = @errand.title
    status 422
    erb :errand
  end

  post "/arrivals/:id/discard" do
    Arrival.find_by(id: numbered(:id))&.discard
    redirect to("/"), 303
  end

  # The unit of lengths, for all documents.
  post "/unit" do
    Preference.unit = params[:unit]
    redirect to(own_page(params[:back])), 303
  end

  # Light or dark around the paper.
  post "/surround" do
    Preference.surround = params[:surround]
    redirect to(own_page(params[:back])), 303
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

  # The page of a document that a form came from, else the shelf.
  def own_page(place)
    place.to_s.match?(%r{\A/manuscripts/\d+/[[:graph:]]*\z}) ? place : "/"
  end

  def bring_in_all(sent)
    chosen, taken = against, 0
    sent.each do |name, bytes|
      Intake.put(Arrival.keep(bytes, filename: name, **chosen))
      taken += 1
    end
    go_after "Brought in #{taken} files: they are read one after the other.", "/"
  rescue Norvel::Error => error
    raise if taken.zero?
    go_after "Brought in #{taken} of #{sent.size} files. #{error.message}", "/"
  end

  def check_reports
    Manuscript.order(:filename, :id).map { |item| report_of(item) }
  end

  def report_of(item)
    Desk.pages_now(item) # the shelf counts with pages too
    Norvel::Report::CheckReport.new(item.check).whole(file: item.filename, path: item.filename)
  rescue Norvel::Error => error
    {file: item.filename, path: item.filename, error: error.message}
  end

  def shelf
    @manuscripts = by_order(Manuscript.order(updated_at: :desc, id: :desc).to_a)
    @texts = LooseText.waiting.to_a
    @arrivals = Arrival.order(id: :desc).to_a
    @title = "Shelf"
    erb :shelf
  end
end
