# frozen_string_literal: true

# The files that leave.
module HandoverRoutes
  # Raster images by their first bytes.
  IMAGES = {"\x89PNG\r\n\x1A\n".b => "image/png", "\xFF\xD8\xFF".b => "image/jpeg", "GIF8".b => "image/gif",
            "BM".b => "image/bmp"}.freeze

  def self.registered(app)
    app.get("/manuscripts/:id/handover") { station :handover }

    app.get("/manuscripts/:id/download") do
      send_document manuscript.handed_over, clean_name(manuscript.filename)
    end

    app.get("/manuscripts/:id/original") do
      send_document manuscript.original.bytes, manuscript.filename
    end

    # An image as it stands in the file; only kinds that a browser draws and nothing can hide in.
    app.get("/manuscripts/:id/pictures/:number") do
      picture = document.pictures.find { |other| other.id == params[:number].to_i }
      bytes = picture&.path && document.source.read(picture.path) or halt 404
      content_type IMAGES.find { |mark, _| bytes.start_with?(mark) }&.last || halt(404)
      bytes
    end

    app.post("/manuscripts/:id/pictures") do
      said = (params[:description] || {}).to_h { |id, text| [id.to_i, text.to_s] }
      changed = document.pictures.to_h { |picture| [picture.id, picture.description.to_s] }
        .filter_map { |id, was| [id, said[id]] if said.key?(id) && said[id].strip != was }.to_h
      raise Norvel::Refused, "No description was changed." if changed.empty?
      go_after manuscript.perform(Norvel::Edits::DescribePictures.new(changed), version: params[:version]).title,
        path_to("handover")
    end

    app.helpers do
      # As what its bytes are; a file that is damaged as what it is, too.
      def send_document(bytes, name)
        type = begin
          Norvel::Formats.of(bytes).media_type(name)
        rescue Norvel::UnreadableFile
          "application/octet-stream"
        end
        content_type type
        attachment name
        bytes
      end

      def clean_name(filename)
        "#{File.basename(filename, ".*")}, clean#{File.extname(filename)}"
      end
    end

    app.post("/manuscripts/:id/describe") do
      said = %i[title author language].select { |field| params.key?(field) }.to_h { |field| [field, params[field]] }
      manuscript.perform(Norvel::Edits::Describe.new(said), version: params[:version])
      redirect to(path_to("handover")), 303
    end
  end
end
