# frozen_string_literal: true

# Texts in markup, which wear no styles: looked at, dressed in a template, taken off again.
class TextStation < Station
  helpers CarryingOut, SentFiles, TextView

  get("/texts/:id") do
    @title = "Dress a text"
    erb :text
  end

  post("/texts/:id/dress") do
    text, guide = loose_text, against[:guide]
    template = SavedTemplate.bytes_of(brought_template || params[:template])
    carry_out("Dress #{text.title}", back: "/texts/#{text.id}") do
      ["Dressed #{text.title}", "/manuscripts/#{text.dress(template, guide:).id}/galley"]
    end
  end

  post("/texts/:id/discard") do
    loose_text.destroy!
    redirect to("/"), 303
  end

  private

  # One that waits; those that were dressed belong to their documents.
  def loose_text
    @loose_text ||= LooseText.waiting.find(numbered(:id))
  end
end
