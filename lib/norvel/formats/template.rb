# frozen_string_literal: true

module Norvel
  module Formats
    # A template is a plain document: its styles and page set-up count, its text is one sample paragraph of each style.
    module Template
      FOLDER = File.join(ROOT, "templates")

      module_function

      # Names of the templates that ship, with their paths.
      def shipped
        Dir[File.join(FOLDER, "*{#{Formats.extensions.join(",")}}")].sort.to_h do |path|
          [File.basename(path, ".*"), path]
        end
      end

      # A shipped template's name, or a path. Raises UnreadableFile.
      def find(name)
        Formats.read_file(shipped.fetch(name, name))
      end

      PLAIN = "ravelmouth-report"

      # What a text without styles is dressed in where nothing else is asked for.
      def plain
        @plain ||= find(PLAIN)
      end

      # A template in the terms of a document's format, so that its styles can be taken along.
      def in_terms_of(document, template)
        Formats::Translation.new(template, Formats[document.format]).document
      end

      # The bytes of a template with the styles and page set-up of a document.
      def bytes(document)
        Formats.template(document)
      end
    end
  end
end
