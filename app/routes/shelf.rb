# frozen_string_literal: true

# The shelf: documents that were brought in; bring one in, take one off.
module Shelf
  def self.registered(app)
    app.get "/" do
      shelf
    end

    app.post "/manuscripts" do
      bytes = sent_file[:tempfile].read
      if LooseText.markup?(bytes, sent_file[:filename])
        redirect to("/texts/#{LooseText.bring_in(bytes, filename: sent_file[:filename]).id}"), 303
      end
      brought = Manuscript.bring_in(bytes, filename: sent_file[:filename])
      redirect to("/manuscripts/#{brought.id}/galley"), 303
    rescue Norvel::UnreadableFile => error
      @complaint = error.message
      @filename = params[:file][:filename] if params[:file].is_a?(Hash)
      status 422
      shelf
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

    app.helpers do
      def shelf
        @manuscripts = Manuscript.order(updated_at: :desc, id: :desc).to_a
        @texts = LooseText.waiting.to_a
        @title = "Shelf"
        erb :shelf
      end
    end
  end
end
