# frozen_string_literal: true

module Norvel
  # The formats that can be read and written, by extension. A format is a module with read(bytes, name:) and write(document).
  module Formats
    EXTENSIONS = {".docx" => "Docx", ".docm" => "Docx", ".dotx" => "Docx"}.freeze

    module_function

    # The document in a file. Raises UnreadableFile.
    def read_file(path)
      raise UnreadableFile, "There is no file #{path}." unless File.exist?(path)
      raise UnreadableFile, "#{path} is a folder, not a file." if File.directory?(path)
      raise UnreadableFile, "#{File.basename(path)} is larger than #{Container::LARGEST_FILE / 1_000_000} MB, which no text document needs to be." if File.size(path) > Container::LARGEST_FILE
      read(File.binread(path), name: File.basename(path))
    rescue SystemCallError => error
      raise UnreadableFile, "#{path} could not be opened: #{error.message.split(" @ ").first}."
    end

    # What the file is decides, not its extension. Raises UnreadableFile.
    def read(bytes, name:)
      Signature.check(bytes)
      Docx::Reader.new(Container.new(bytes), name:).document
    end

    # The module that writes files with this extension. Raises Refused.
    def for_path(path)
      name = EXTENSIONS[File.extname(path).downcase] or raise Refused, "Norvel can't write “#{File.extname(path)}” files: give the output a name that ends in .docx."
      const_get(name)
    end
  end
end
