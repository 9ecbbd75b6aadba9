# frozen_string_literal: true

module Norvel
  module Formats
    # Says from a file's first bytes why it can't be a .docx, in a sentence with what to do about it.
    module Signature
      COMPOUND = "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b
      ENCRYPTED = "EncryptedPackage".encode("UTF-16LE").b

      module_function

      # Raises UnreadableFile unless the bytes begin like a zip archive.
      def check(bytes)
        complaint = complaint(bytes) and raise UnreadableFile, complaint
      end

      def complaint(bytes)
        head = bytes.byteslice(0, 1024).b
        case head
        when "" then "The file is empty."
        when /\APK\x03\x04/n then nil
        when /\APK\x05\x06/n, /\APK\x07\x08/n then "The file is an empty or incomplete archive: it holds no document."
        when /\A#{Regexp.escape(COMPOUND)}/no then compound(bytes)
        when /\A\{\\rtf/n then "This is a rich text file: open it where it was written and save it as .docx."
        when /\A%PDF-/n then "This is a PDF, which holds pages and not paragraphs: bring the file it was made from, as .docx."
        when /\A(\xEF\xBB\xBF)?\s*</n then markup(head)
        else "This is not a .docx file."
        end
      end

      # A compound binary file holds its stream names as UTF-16 in its directory: an encrypted package has a telling one.
      def compound(bytes)
        return "The file is protected by a password: open it where it was written, take the password off and save it again." if bytes.b.include?(ENCRYPTED)
        "The file is in an old binary format: open it where it was written and save it as .docx."
      end

      def markup(head)
        return "This is a web page under another name: save the text as .docx." if head.match?(/<(!doctype\s+)?html/in)
        "This is a single XML file, not a .docx package: save it as .docx."
      end
    end
  end
end
