# frozen_string_literal: true

# The files that leave.
class HandoverStation < Station
  WRITTEN = Norvel::Recent.new(8) # files
  DRAWN = Norvel::Recent.new(20) # {file's key => [pages that are drawn, of how many]}

  helpers CarryingOut, HandoverView, ImagesView, SentFiles

  get("/manuscripts/:id/handover") { station :handover }

  # What a format would not carry, counted.
  get("/manuscripts/:id/handover/:format") do
    @format = leaving(params[:format])
    @carried = carried_as(@format)
    next partial(:carried, carried: @carried) if request.env["HTTP_HX_REQUEST"]
    station :carried
  end

  get("/manuscripts/:id/download") do
    format = params[:as] ? leaving(params[:as]) : manuscript.format
    next waiting_for(format) if drawn_long?(format)
    written = written_as(format)
    send_document written.bytes, clean_name(manuscript.filename, format)
  end

  get("/manuscripts/:id/download/progress") do
    @format = leaving(params[:as].to_s)
    status 286 if drawn? # nobody need ask again
    partial(:drawing_progress)
  end

  # Its styles without its text.
  get("/manuscripts/:id/alone/:ending") do
    ending = ".#{params[:ending]}"
    halt 404 unless Norvel::Formats::StylesAlone::ENDINGS.include?(ending)
    send_document Norvel::Formats::StylesAlone.bytes(document, ending),
      "#{File.basename(manuscript.filename, ".*")} styles#{ending}"
  end

  # One file for what stands before the first heading, and for each heading.
  get("/manuscripts/:id/parts") do
    @errand = dividing(whole(:level).clamp(1, 9))
    ready = @errand.ready?(within: Errands::PATIENCE)
    next send_parts if ready && (params[:now] || !@waited)
    @head = %(<meta http-equiv="refresh" content="1">) unless ready
    station :dividing
  end

  # The text that the document was made of.
  get("/manuscripts/:id/text") do
    text = manuscript.loose_text or raise ActiveRecord::RecordNotFound
    send_document text.bytes, text.filename
  end

  # The success criteria of WCAG 2.2 that are about documents.
  get("/manuscripts/:id/accessible") do
    Desk.pages_now(manuscript)
    @criteria = Norvel::Report::Criteria.new(document)
    station :accessible
  end

  # The trial office: what is handed in is answered beside the requests.
  post("/manuscripts/:id/submissions") do
    raise Manuscript::Stale unless whole(:version) == manuscript.lock_version
    Office.take(Submission.of(manuscript, params[:office]))
    redirect to("#{path_to("handover")}#office"), 303
  end

  get("/manuscripts/:id/submissions") { partial(:submissions) }

  get("/manuscripts/:id/submissions/:number") do
    @submission = manuscript.submissions.find(numbered(:number))
    station :submission
  end

  post("/manuscripts/:id/submissions/:number/away") do
    manuscript.submissions.find(numbered(:number)).destroy!
    go_after "Took the answer away", path_to("handover")
  end

  # The page that a supervisor signs and an office files.
  get("/manuscripts/:id/report") { paper Norvel::Report::SignedPage.new(signed_report).text }

  get("/manuscripts/:id/report.pdf") do
    content_type "application/pdf"
    attachment report_name("pdf")
    Norvel::Report::SignedPage.new(signed_report).pdf
  end

  get("/manuscripts/:id/report.json") do
    content_type "application/json"
    attachment report_name("json")
    JSON.generate(signed_report)
  end

  get("/manuscripts/:id/original") do
    send_document manuscript.original.bytes, manuscript.filename
  end

  # An image as it stands in the file, by its path in it: for the sheets.
  get("/manuscripts/:id/image") do
    send_image document.everything.flat_map(&:images).find { |image| image.path == params[:path].to_s }
  end

  # The images with what is said of them, and the words near each.
  get("/manuscripts/:id/images") do
    Desk.pages_now(manuscript)
    station :images
  end

  get("/manuscripts/:id/pictures/:number") do
    send_image document.pictures.find { |other| other.id == whole(:number) }
  end

  post("/manuscripts/:id/pictures") do
    changed, decorative = sent_descriptions, sent_decorations
    raise Norvel::Refused, "No description was changed." if changed.empty? && decorative.empty?
    edit = Norvel::Edits::DescribePictures.new(changed, decorative:)
    go_after manuscript.perform(edit, version: params[:version]).title, path_to("images", show: params[:show].to_s)
  end

  post("/manuscripts/:id/describe") do
    said = sent_information
    raise Norvel::Refused, "Nothing it says of itself was changed." if said.empty?
    go_after manuscript.perform(Norvel::Edits::Describe.new(said), version: params[:version]).title, path_to("handover")
  end

  private

  # The errand that divides the document at headings of a level, as it stands: one for all that ask for it.
  def dividing(level)
    whole = manuscript
    id = ["parts", level, whole.id, whole.lock_version].join("-")
    @waited = !Errands[id].nil?
    Errands[id] || Errands.begin("Divide into parts", back: path_to("handover"), id:) do |told|
      Norvel::Formats::Archive.build(Manuscript::WRITERS.ask(:divide, whole.handed_over.bytes, whole.filename, level,
        &told))
    end
  end

  def send_parts
    Errands.forget(@errand.id)
    send_document @errand.result, "#{File.basename(manuscript.filename, ".*")} in parts.zip"
  end

  # Of kinds that a browser draws and nothing can hide in; image: anything with a path, or nil
  def send_image(image)
    bytes = image&.path && document.source.read(image.path) or halt 404
    bytes = Pictures.png(bytes) || halt(404) unless SheetImages.kind(bytes)
    content_type SheetImages.kind(bytes)
    cache_control :private, max_age: 600
    bytes
  end

  # Of the fields that were sent, those that say something else now.
  def sent_information
    %i[title author subject keywords language].filter_map { |field|
      said = params[field].to_s.strip
      [field, said] if params.key?(field) && said != said_of_itself(field).to_s.strip
    }.to_h
  end

  # Of the images whose fields were sent, those that say something else now.
  def sent_descriptions
    said = (params[:description] || {}).to_h { |id, text| [id.to_i, text.to_s] }
    document.pictures.filter_map do |picture|
      was = picture.description.to_s
      [picture.id, said[picture.id]] if said.key?(picture.id) && said[picture.id].strip != was
    end.to_h
  end

  def sent_decorations
    shown, ticked = (params[:description] || {}).keys.map(&:to_i), Array(params[:decorative]).map(&:to_i)
    document.pictures.filter_map do |picture|
      now = ticked.include?(picture.id)
      [picture.id, now] if shown.include?(picture.id) && now != picture.decorative
    end.to_h
  end

  def signed_report
    Desk.pages_now(manuscript)
    changes = manuscript.ledger_entries.order(:id).map do |entry|
      Norvel::Report::SignedReport::Made.new(title: entry.title, kinds: entry.kinds, on: entry.created_at.to_date)
    end
    Norvel::Report::SignedReport.new(manuscript.check, file: manuscript.filename, first: manuscript.first_document,
      changes:).to_h
  end

  def report_name(ending)
    "#{File.basename(manuscript.filename, ".*")} report.#{ending}"
  end

  # A format by its name, PDF among them.
  def leaving(name)
    Norvel::Pdf::ALL.find { |format| format.name == name } || Norvel::Formats[name]
  end

  # A file of the format it came in keeps its ending.
  def clean_name(filename, format)
    same = Norvel::Formats.by_extension[File.extname(filename).downcase].equal?(format)
    "#{File.basename(filename, ".*")}, clean#{same ? File.extname(filename) : format.extension}"
  end

  # Is it drawn for longer than a person waits without a word, and not there yet?
  def drawn_long?(format)
    Norvel::Pdf::ALL.include?(format) && manuscript.paragraphs > Turns::LONG && params[:now].nil? &&
      !drawn?(format)
  end

  def drawn?(format = @format)
    !WRITTEN.fetch(written_key(format)).nil?
  end

  # The page stays; the file comes by itself.
  def waiting_for(format)
    @format = format
    station :drawing
  end

  # [pages that are drawn, of how many]; nil before the first.
  def drawn_so_far
    DRAWN.fetch(written_key(@format))
  end

  def written_key(format)
    [manuscript.original.digest, Digest::SHA256.digest(manuscript.head.to_s), format.name]
  end

  # Worked out once for a state of the document: what is looked at is what is taken.
  def written_as(format)
    key = written_key(format)
    WRITTEN.fetch(key) { manuscript.handed_over(format.name) { |*how_far| DRAWN.put(key, how_far) } }
  end

  def carried_as(format)
    written_as(format).carried
  end
end
