# frozen_string_literal: true

# The files that leave.
module HandoverRoutes
  TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml.document"

  def self.registered(app)
    app.get("/manuscripts/:id/handover") { station :handover }

    app.get("/manuscripts/:id/download") do
      bytes = Norvel::Formats::Docx.write(document)
      raise Norvel::Error, "The file that was written did not read back with the same words, so it was not handed over." unless Norvel::Formats.read(bytes, name: manuscript.filename).seal.same_words?(document.seal)
      content_type TYPE
      attachment "#{File.basename(manuscript.filename, ".*")}, clean#{File.extname(manuscript.filename)}"
      bytes
    end

    app.get("/manuscripts/:id/original") do
      content_type TYPE
      attachment manuscript.filename
      manuscript.original.bytes
    end

    app.post("/manuscripts/:id/describe") do
      manuscript.perform(Norvel::Edits::Describe.new(%i[title author language].select { |field| params.key?(field) }.to_h { |field| [field, params[field]] }), version: params[:version])
      redirect to(path_to("handover")), 303
    end
  end
end
