# frozen_string_literal: true

# Files that come with a form, and those that are sent back.
module SentFiles
  # [[name, bytes], …] of all that a form sends, those of a .zip one by one. Raises Norvel::Error.
  def sent_documents
    sent = Array(params[:files]).select { |file| file.is_a?(Hash) && file[:tempfile] }
    sent = [sent_file] if sent.empty?
    sent.flat_map do |file|
      bytes = file[:tempfile].read
      Bundle.bundle?(file[:filename]) ? Bundle.files(bytes) : [[file[:filename], bytes]]
    end
  end

  # As what its bytes are; a file that is damaged as what it is, too.
  def send_document(bytes, name)
    content_type type_of(bytes, name)
    attachment name
    bytes
  end

  def type_of(bytes, name)
    return Norvel::Pdf::FORMAT.media_type if Norvel::Pdf.named?(name)
    return "text/css" if File.extname(name) == ".css"
    (Norvel::Formats.markup(bytes, name) || Norvel::Formats.of(bytes)).media_type(name)
  rescue Norvel::UnreadableFile
    "application/octet-stream"
  end

  # The key of a template made of the file that was sent with a form; nil where none was.
  def brought_template
    file = params[:file]
    return unless file.is_a?(Hash) && file[:tempfile]
    name = File.basename(file[:filename], ".*")
    pattern = Norvel::Formats.read(file[:tempfile].read, name:)
    "own:#{SavedTemplate.create!(name: name[0, 100], bytes: Norvel::Formats::Template.bytes(pattern)).id}"
  end
end
