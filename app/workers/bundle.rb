# frozen_string_literal: true

# Documents that come together in a zip, read within the limits that a document itself is.
module Bundle
  MOST = 100 # documents
  HIDDEN = %r{(?:\A|/)(?:\.|__)}

  module_function

  # Is a file one, by its name?
  def bundle?(filename)
    File.extname(filename.to_s).downcase == ".zip"
  end

  # [[name, bytes], …] of the documents in it, whatever folders they stand in. Raises Norvel::Error.
  def files(bytes)
    archive = Norvel::Formats::Container.new(bytes)
    names = archive.names.select { |name| document?(name) }
    raise Norvel::Refused, "The .zip holds no #{Norvel::Formats.spoken}." if names.empty?
    raise Norvel::Refused, "The .zip holds more than #{MOST} documents: divide it." if names.size > MOST
    names.sort.map { |name| [File.basename(name), archive.read(name)] }
  end

  def document?(name)
    Norvel::Formats.every_extension.include?(File.extname(name).downcase) && !name.match?(HIDDEN)
  end
  private_class_method :document?
end
