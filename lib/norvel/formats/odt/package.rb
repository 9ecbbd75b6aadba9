# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The parts of an OpenDocument text and the places in them (ISO/IEC 26300-1 3.1): two automatic pools, common
      # styles, page layouts and master pages, the text. In a single file all of them are one part. Parts are parsed
      # once and kept: a writer changes them and asks for their bytes.
      class Package
        OTHERS = {
          "spreadsheet" => "This is a spreadsheet, not a text document.",
          "presentation" => "This is a set of slides, not a text document.",
          "graphics" => "This is a drawing, not a text document.",
          "text-master" => "This is a master document, which only points at the files that hold the text: " \
            "bring those.",
          "text-web" => "This is a web page under another name: save it as .odt."
        }.freeze
        KINDS = {"spreadsheet" => "spreadsheet", "presentation" => "presentation", "drawing" => "graphics"}.freeze

        attr_reader :container

        def initialize(container)
          @container = container
          @parts = {}
          vet(type)
          refuse_protected
          raise UnreadableFile, "The file holds no document: its content is missing." unless content
          text
        end

        # Is it one XML file, not a package?
        def flat?
          @container.is_a?(FlatFile)
        end

        # What the file says it is; nil where it does not.
        def type
          return part(nil).attr(part(nil).root, "office:mimetype") if flat?
          @container.read("mimetype")&.b&.strip || manifest_type
        end

        # Is it a template?
        def template?
          type == TEMPLATE_TYPE
        end

        # The part with the text.
        def content
          part("content.xml")
        end

        # The part with styles and masters.
        def styles
          part("styles.xml")
        end

        # The part with title, author and the like.
        def meta
          part("meta.xml")
        end

        # The part of this name, or nil; the only one of a single file.
        def part(name)
          name = nil if flat?
          return @parts[name] if @parts.key?(name)
          bytes = flat? ? @container.xml : @container.read(name)
          @parts[name] = bytes && XmlPart.new(name || "document", bytes)
        end

        # The parts that were asked for.
        def parsed
          @parts.values.compact
        end

        # The element that holds the text. Raises UnreadableFile.
        def text
          @text ||= begin
            body = content.child(content.root, "office:body") or raise UnreadableFile, "The document has no body."
            content.child(body, "office:text") || other_kind(body)
          end
        end

        # A section of a part, such as "office:automatic-styles", made at its place where it is missing.
        def section(part, name)
          part.child(part.root, name) || add_section(part, name)
        end

        # The file's bytes with these parts as they are now, and other files: {path => bytes}. What marks its kind
        # stands first and is not packed (26300-3 3.3).
        def packed(parts, files: {})
          unless flat?
            changed = parts.to_h { |part| [part.path, part.bytes] }
            return Archive.write(@container, changed.merge(files), first: ["mimetype", type.to_s])
          end
          parts.empty? ? @container.bytes : @container.filled(content.bytes)
        end

        SEQUENCE = %w[office:meta office:settings office:scripts office:font-face-decls office:styles
          office:automatic-styles office:master-styles office:body].freeze

        private

        def add_section(part, name)
          made = part.create(name)
          rank = SEQUENCE.index(name)
          following = part.root.element_children.find { |one| (SEQUENCE.index(part.name(one)) || 0) > rank }
          following ? following.add_previous_sibling(made) : part.root.add_child(made)
          made
        end

        def vet(type)
          return if type.nil? || [TYPE, TEMPLATE_TYPE].include?(type)
          kind = type.to_s[/opendocument\.([\w-]+)/, 1].to_s.delete_suffix("-template")
          raise UnreadableFile, OTHERS.fetch(kind, "The package holds no text document.")
        end

        def other_kind(body)
          found = body.first_element_child&.name
          raise UnreadableFile, OTHERS.fetch(KINDS[found], "The document has no text.")
        end

        def manifest_type
          node = manifest&.root&.element_children&.find { |one| manifest.attr(one, "manifest:full-path") == "/" }
          node && manifest.attr(node, "manifest:media-type")
        end

        def manifest
          @manifest ||= part("META-INF/manifest.xml")
        end

        # The list of files stays readable when the files are not.
        def refuse_protected
          return if flat?
          locked = @container.include?("encrypted-package") ||
            @container.read("META-INF/manifest.xml").to_s.b.match?(/<(?:[\w.-]+:)?encryption-data/n)
          return unless locked
          raise UnreadableFile, "The file is protected by a password: open it where it was written, take the " \
            "password off and save it again."
        end
      end
    end
  end
end
