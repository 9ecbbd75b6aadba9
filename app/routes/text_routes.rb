# frozen_string_literal: true

# Texts in markup, which wear no styles: looked at, dressed in a template, taken off again.
module TextRoutes
  def self.registered(app)
    app.get("/texts/:id") do
      @title = "Dress a text"
      erb :text
    end

    app.post("/texts/:id/dress") do
      made = loose_text.dress(SavedTemplate.bytes_of(brought_template || params[:template]), guide: against[:guide])
      redirect to("/manuscripts/#{made.id}/galley"), 303
    end

    app.post("/texts/:id/discard") do
      loose_text.destroy!
      redirect to("/"), 303
    end

    app.helpers do
      # One that waits; those that were dressed belong to their documents.
      def loose_text
        @loose_text ||= LooseText.waiting.find(numbered(:id))
      end
    end
  end
end
