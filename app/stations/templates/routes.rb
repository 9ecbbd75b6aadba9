# frozen_string_literal: true

# Templates: dress a document in one, with the whole ripple shown first; save a document's styles as one; take one
# along.
class TemplatesStation < Station
  helpers GalleyRow, LookSheet, PageSetView, RippleView, SentFiles, SpecimenView, StyleView, SurveyView

  get("/manuscripts/:id/templates") do
    look_at(params[:template] || SavedTemplate.all_by_key.keys.first)
    station :templates
  end

  # What it would do with what is ticked and chosen now.
  get("/manuscripts/:id/templates/figures") do
    look_at(params[:template])
    partial(:template_figures)
  end

  post("/manuscripts/:id/templates/apply") do
    edit = template_edit(params[:template])
    go_after manuscript.perform(edit, version: params[:version]).title, path_to("styles")
  end

  post("/manuscripts/:id/templates/save") do
    name = params[:name].to_s.strip
    raise Norvel::Refused, "A template needs a name." if name.empty?
    raise Norvel::Refused, "There is a template “#{name}” already." if SavedTemplate.exists?(name:)
    SavedTemplate.create!(name: name[0, 100], bytes: Norvel::Formats::Template.bytes(document))
    go_after "Saved the template #{name}", path_to("templates")
  end

  # A file of one's own becomes a template: its styles and pages; what it says is kept beside, to begin a document with.
  post("/manuscripts/:id/templates/bring") do
    made = SavedTemplate.keep(sent_file[:tempfile].read, sent_file[:filename])
    go_after "Brought in the template #{made.name}", path_to("templates", template: "own:#{made.id}")
  end

  get("/new") do
    @title = "Start from a template"
    erb :new_document
  end

  post("/new") do
    template = SavedTemplate.document_of(brought_template || params[:template])
    fields = Norvel::Intake::NewDocument::FIELDS.keys.to_h { |field| [field, params[field]] }
    bytes = Norvel::Intake::NewDocument.new(template, fields).bytes
    name = params[:title].to_s.strip[0, 60].gsub(/[^[:alnum:] -]/, "")
    made = Manuscript.bring_in(bytes, filename: "#{name}#{Norvel::Formats.of(bytes).extension}")
    redirect to("/manuscripts/#{made.id}/galley"), 303
  end

  get("/templates/:key/download") do
    bytes = SavedTemplate.bytes_of(params[:key])
    send_document bytes, "#{SavedTemplate.all_by_key.fetch(params[:key])}#{Norvel::Formats.of(bytes).extension}"
  end

  private

  def template_edit(key)
    chosen = (params[:partner] || {}).transform_values { |name| name.to_s.empty? ? nil : name }
    only = (params[:some] == "1") ? Array(params[:take]) : nil
    raise Norvel::Refused, "No style is chosen." if only && only.empty?
    Norvel::Edits::ApplyTemplate.new(in_our_terms(SavedTemplate.document_of(key)), page: along?(:page) && only.nil?,
      numbering: along?(:numbering), chosen:, only:, name: SavedTemplate.all_by_key[key])
  end

  # Was the template brought in with what it says?
  def kept_whole?
    SavedTemplate.kept_whole.exists?(id: @key.to_s.delete_prefix("own:")) && @key.to_s.start_with?("own:")
  end

  def in_our_terms(template)
    Norvel::Formats::Template.in_terms_of(document, template)
  end

  # Page set-up and numbering come along unless the form was sent without them.
  def along?(name)
    params[name] == "1" || !params[:asked]
  end

  # What a template would do: its match with this document's styles, and the ripple.
  def look_at(key)
    @key = key
    @template = in_our_terms(SavedTemplate.document_of(key))
    @edit = template_edit(key)
    @match = @edit.match(document)
    @ripple = Norvel::Report::Ripple.new(@edit, document, manuscript.check)
  end
end
