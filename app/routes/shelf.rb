# frozen_string_literal: true

# The shelf: documents that were brought in; bring one in, take one off.
module Shelf
  def self.registered(app)
    app.get "/" do
      @manuscripts = Manuscript.order(updated_at: :desc, id: :desc).to_a
      @title = "Shelf"
      erb :shelf
    end

    app.post "/manuscripts" do
      brought = Manuscript.bring_in(sent_file[:tempfile].read, filename: sent_file[:filename])
      redirect to("/manuscripts/#{brought.id}/galley"), 303
    rescue Norvel::UnreadableFile => error
      @complaint = error.message
      @filename = params[:file][:filename] if params[:file].is_a?(Hash)
      @manuscripts = Manuscript.order(updated_at: :desc, id: :desc).to_a
      @title = "Shelf"
      status 422
      erb :shelf
    end

    app.get "/manuscripts/:id" do
      redirect to(path_to("galley"))
    end

    # How far the document is, counted anew for the shelf.
    app.post "/manuscripts/:id/count" do
      manuscript.count!
      request.env["HTTP_HX_REQUEST"] ? shelf_standing(manuscript) : redirect(to("/"), 303)
    end

    app.get "/manuscripts/:id/discard" do
      @title = "Take off the shelf"
      erb :discard
    end

    app.post "/manuscripts/:id/discard" do
      manuscript.discard
      redirect to("/"), 303
    end
  end
end
