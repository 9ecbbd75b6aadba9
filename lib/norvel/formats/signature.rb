# frozen_string_literal: true

module Norvel
  module Formats
    # Says from a file's first bytes what it is, and why it can't be read: in a sentence with what to do about it.
    module Signature
      COMPOUND = "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b
      ENCRYPTED = "EncryptedPackage".encode("UTF-16LE").b
      MIMETYPE = "mimetype".b # ISO/IEC 26300-3 2.2.4
      MANIFEST = "META-INF/manifest.xml".b
      CONTENT_TYPES = "[Content_Types].xml".b # ISO/IEC 29500-2
      DIRECTORY = 1_000_000 # bytes at the end in which an archive's directory stands
      ARCHIVE = "PK\x03\x04".b

      module_function

      # Does the file begin like a zip archive?
      def archive?(bytes)
        bytes.byteslice(0, 4).to_s.b == ARCHIVE
      end

      # Does an archive say that it is OpenDocument: by its first entry, or by the list of files that those have?
      def open_document?(bytes)
        return false unless archive?(bytes)
        return true if bytes.byteslice(30, 8).to_s.b == MIMETYPE
        directory = bytes.byteslice([bytes.bytesize - DIRECTORY, 0].max, DIRECTORY).to_s.b
        directory.include?(MANIFEST) && !directory.include?(CONTENT_TYPES)
      end

      # Why a file that no format knows can't be read.
      def complaint(bytes)
        head = bytes.byteslice(0, 1024).to_s.b
        save_as = "save it as #{Formats.spoken}"
        case head
        when "" then "The file is empty."
        when /\APK\x05\x06/n, /\APK\x07\x08/n then "The file is an empty or incomplete archive: it holds no document."
        when /\A#{Regexp.escape(COMPOUND)}/no then compound(bytes, save_as)
        when /\A\{\\rtf/n then "This is a rich text file: open it where it was written and #{save_as}."
        when /\A%PDF-/n then "This is a PDF, which holds pages and not paragraphs: bring the file it was made from, " \
          "as #{Formats.spoken}."
        when /\A(\xEF\xBB\xBF)?\s*</n then markup(head, save_as)
        else "This is not a #{Formats.spoken} file."
        end
      end

      # A compound binary file holds its stream names as UTF-16 in its directory: an encrypted package has a telling
      # one.
      def compound(bytes, save_as)
        unless bytes.b.include?(ENCRYPTED)
          return "The file is in an old binary format: open it where it was written and #{save_as}."
        end
        "The file is protected by a password: open it where it was written, take the password off and save it again."
      end

      def markup(head, save_as)
        return "This is a web page under another name: #{save_as}." if head.match?(/<(!doctype\s+)?html/in)
        "This is a single XML file, not a package: #{save_as}."
      end

      private_class_method :compound, :markup
    end
  end
end
