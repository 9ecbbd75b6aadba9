# frozen_string_literal: true

module Norvel
  # The one door for files: every format that can be read and written is told here once, by the module that knows it
  # (FORMAT in each). What a file is decides, not its name.
  module Formats
    # name         its key in the command line's JSON ("docx"); label: what a person reads
    # extensions   {".docx" => media type, …}, the usual one first
    # marks        ->(bytes) { is it a file of this format? }
    # reader       ->(bytes, name:) { Document }, raises UnreadableFile
    # writer       ->(document) { Written }
    # template     ->(document) { bytes without what the document says }
    # conventions  Document::Conventions
    # canonical    ->(document) { the document as a file of this format tells it, to be compared with what was written }
    # terms        what a Translation needs to know of it
    # builder      ->(document in its terms, CarryReport) { bytes of a new file }
    # joiner       ->(base, text, from:, till:, apart:) { bytes of the one with the text of the other in it }, both
    # Documents of the format as they were read: Docx::Joining says what the others are
    # joined_as    the name of the format that a document is made into first, where it is not joined in its own
    # tracked      ->(document as its file has it) { its words with what was inserted: Docx::Tracked.words }
    # stretches    ->(document as it was read) { Docx::Stretch or its like }: parts of it as files of their own
    # kinds        ->(bytes, extension) { the file as a template or a document, as the extension says }, where both
    # exist
    Format = Value.define(:name, :label, :extensions, :marks, :reader, :writer, :template, :conventions, :canonical,
      :terms, :builder, :joiner, :joined_as, :tracked, :stretches, :kinds,
      canonical: ->(document) { document }) do
      # The usual extension: ".docx".
      def extension
        extensions.keys.first
      end

      # What a file of it with this name is served as.
      def media_type(name)
        extensions.fetch(File.extname(name).downcase, extensions.values.first)
      end
    end

    # The bytes of a file, and what could not be carried over into it: CarryReport.
    Written = Struct.new(:bytes, :carried)

    class << self
      # Every Format, in the order in which they are asked whether a file is theirs.
      def all
        @all ||= [Odt::FORMAT, Odt::FLAT, Docx::FORMAT].freeze
      end

      # Every MarkupFormat: text without styles, which is dressed in those of a template.
      def markups
        @markups ||= [Markdown::MARKUP, Html::MARKUP, PlainText::MARKUP].freeze
      end

      # {".docx" => Format, …}
      def by_extension
        @by_extension ||= (all + markups).flat_map { |format| format.extensions.keys.map { |one| [one, format] } }.to_h
          .freeze
      end

      # Of documents; of all that can be brought in.
      def extensions
        all.flat_map { |format| format.extensions.keys }
      end

      # Of documents and of texts in markup.
      def every_extension
        by_extension.keys
      end

      # The usual extensions as a sentence has them: ".docx, .odt or .fodt".
      def spoken
        endings = [Docx::FORMAT, Odt::FORMAT, Odt::FLAT].map(&:extension)
        "#{endings[0..-2].join(", ")} or #{endings.last}"
      end

      # By its key. Raises Refused.
      def [](name)
        (all + markups).find { |format| format.name == name } or raise Refused, "Norvel knows no format “#{name}”."
      end

      # The MarkupFormat that a file's name says, where its bytes are no document; nil for documents.
      def markup(bytes, name)
        found = by_extension[File.extname(name).downcase]
        found if found.is_a?(MarkupFormat) && all.none? { |format| format.marks.call(bytes) }
      end

      # The document in a file. Raises UnreadableFile.
      def read_file(path, template: nil)
        raise UnreadableFile, "There is no file #{path}." unless File.exist?(path)
        raise UnreadableFile, "#{path} is a folder, not a file." if File.directory?(path)
        Container.refuse_larger(File.size(path), File.basename(path))
        read(File.binread(path), name: File.basename(path), template:)
      rescue SystemCallError => error
        raise UnreadableFile, "#{path} could not be opened: #{error.message.split(" @ ").first}."
      end

      # The format that bytes are in, whatever their name says. Raises UnreadableFile.
      def of(bytes)
        all.find { |known| known.marks.call(bytes) } or raise UnreadableFile, Signature.complaint(bytes)
      end

      # template: a Document that a text without styles is dressed in; the plainest that ships where none is given.
      # Raises UnreadableFile.
      def read(bytes, name:, template: nil)
        markup = markup(bytes, name)
        return dressed(markup.read(bytes), template || Template.plain, name) if markup
        of(bytes).reader.call(bytes, name:)
      end

      # A text without styles as a file of a template's format, in its styles and on its pages. text: Markup::Text.
      # Raises Unwritable.
      def dress(text, template, name:)
        report = CarryReport.new
        loose = FromMarkup.new(text, template, name:, report:).document
        Conversion.new(loose, self[template.format], report:).written
      end

      # The document as a file of a format, read back and found to hold the same words, and the same objects where it is
      # the format it came in. Raises Unwritable.
      def write(document, as: document.format)
        target = self[as]
        return MarkupFile.new(document, target).written if target.is_a?(MarkupFormat)
        patched = as == document.format && document.source.respond_to?(:bytes)
        return Conversion.new(document, target).written unless patched
        written = self[as].writer.call(document)
        canonical = self[as].canonical
        again = canonical.call(read_back(written.bytes, document))
        lost = Seal.of(canonical.call(document)).lost_in(Seal.of(again))
        if lost
          raise Unwritable, "The file that was written does not read back with the same #{lost}, " \
            "so it was not handed over."
        end
        written
      rescue Error
        raise
      rescue => error
        raise Unwritable, "Norvel made a mistake of its own while the file was written (#{error.class}), so it was " \
          "not handed over.", cause: error
      end

      # The same as a file of this name: its ending says the format, and whether it is a template.
      def write_for(document, path)
        format = for_path(path)
        written = write(document, as: format.name)
        return written unless format.kinds
        Written.new(format.kinds.call(written.bytes, File.extname(path).downcase), written.carried)
      end

      # The bytes of a template: styles and page set-up of a document without what it says.
      def template(document, as: document.format)
        self[as].template.call(document)
      end

      # The format that an output's name asks for. Raises Refused.
      def for_path(path)
        ending = File.extname(path).downcase
        by_extension[ending] or
          raise Refused, "Norvel can't write “#{ending}” files: give the output a name that ends in #{spoken}."
      end

      private

      # The same, read.
      def dressed(text, template, name)
        read(dress(text, template, name:).bytes, name: File.basename(name, ".*"))
      end

      def read_back(bytes, document)
        read(bytes, name: document.name)
      rescue UnreadableFile => error
        raise Unwritable, "The file that was written can't be read back, so it was not handed over: #{error.message}"
      end
    end
  end
end
