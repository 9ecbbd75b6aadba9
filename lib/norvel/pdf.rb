# frozen_string_literal: true

module Norvel
  # A document as a tagged PDF (ISO 32000-1), drawn from its sheets: nothing is measured again.
  module Pdf
    # How it stands among the formats that a document can leave in; nothing is read of it.
    Leaving = Value.define(:name, :label, :extension, :media_type)
    FORMAT = Leaving.new(name: "pdf", label: "PDF", extension: ".pdf", media_type: "application/pdf")

    # The same for an archive: PDF/A-2u.
    ARCHIVE = FORMAT.with(name: "pdfa", label: "PDF/A")
    ALL = [FORMAT, ARCHIVE].freeze

    # Is a file to be one, by its name?
    def self.named?(path)
      File.extname(path.to_s).downcase == FORMAT.extension
    end

    # The document as a file: Formats::Written. Raises Layout::Defeated where its pages can't be worked out, Unwritable.
    # archive: is it to be PDF/A-2u? The block is told how many pages are drawn, and of how many.
    def self.write(document, archive: false, &told)
      Writer.new(document, archive:).written(&told)
    rescue Error
      raise
    rescue => error
      raise Unwritable, "Norvel made a mistake of its own while the PDF was written (#{error.class}), so it was not " \
        "handed over.", cause: error
    end
  end
end
