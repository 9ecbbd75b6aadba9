# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The parts of a .docx by what they are, found by relationships and never by fixed paths (ISO/IEC 29500-2).
      # Parts are parsed once and kept: a writer changes them and asks for their bytes.
      class Package
        # kind: the last word of its type; target: a path in the package, or an address where it is external
        Relationship = Struct.new(:id, :kind, :target, :external, :type)

        KINDS = {
          /wordprocessingml\.(?:document|template)\.main\+xml\z/ => :text,
          /\.(?:document|template)\.macroEnabled(?:Template)?\.main\+xml\z/i => :text,
          /macroEnabled\.main\+xml\z/i => :text, /spreadsheetml/ => "This is a spreadsheet",
          /presentationml/ => "This is a set of slides"
        }.freeze

        NOT_YET = "This is an OpenDocument file, which Norvel can't read yet: save it as .docx."

        attr_reader :container, :parts

        # +short+: the main part is only read, with repeated formatting told once.
        def initialize(container, short: false)
          @container = container
          @short = short
          @parts = {}
          @relationships = {}
          unless container.include?("[Content_Types].xml")
            raise UnreadableFile, "The archive is not a .docx: it has no list of content types."
          end
          raise UnreadableFile, NOT_YET if container.include?("mimetype")
          check_kind
        end

        # The part at a path; raises UnreadableFile when there is none.
        def part(path)
          @parts[path] ||= XmlPart.new(path, @container.read(path) ||
            raise(UnreadableFile, "A part of the document is missing: “#{path}”."), theme:, short: @short &&
              path == main_path)
        end

        # The part with the text.
        def main
          part(main_path)
        end

        # Its path. Raises UnreadableFile where the package names none.
        def main_path
          @main_path ||= relationships("").find { |r| r.kind == "officeDocument" }&.target ||
            raise(UnreadableFile, "The package does not say which part is the document.")
        end

        # The first part of a kind that the main part names ("styles", "numbering" …), or nil.
        def related(kind)
          path = relationships(main_path).find { |r| r.kind == kind && !r.external }&.target
          part(path) if path && @container.include?(path)
        end

        # All relationships of a source part ("" for the package).
        def relationships(source)
          @relationships[source] ||= read_relationships(source)
        end

        # The Relationship of a part with this id, nil for none.
        def relationship(source, id)
          relationships(source).find { |r| r.id == id }
        end

        # The path of the part with the relationships of another.
        def rels_path(source)
          folder, _, name = source.rpartition("/")
          "#{"#{folder}/" unless folder.empty?}_rels/#{name}.rels"
        end

        # The core properties part, or nil (29500-2).
        def core_path
          relationships("").find { |r| r.kind == "core-properties" }&.target
        end

        # The type of a part as the package says it, or nil.
        def content_type(path)
          types = XML.parse(@container.read("[Content_Types].xml"), "[Content_Types].xml").root.element_children
          type = types.find { |e| e["PartName"].to_s.casecmp?("/#{path}") } ||
            types.find { |e| e["Extension"].to_s.casecmp?(File.extname(path).delete(".")) }
          type && type["ContentType"].to_s
        end

        private

        def theme
          @theme ||= read_theme
        end

        def read_theme
          path = relationships(main_path).find { |r| r.kind == "theme" && !r.external }&.target
          bytes = path && @container.read(path) or return Theme::NONE
          settings = relationships(main_path).find { |r| r.kind == "settings" }&.target
          mapping = settings ? @container.read(settings).to_s[/<(?:\w+:)?clrSchemeMapping[^>]*>/n].to_s
            .scan(/(\w+)="(\w+)"/).to_h : {}
          Theme.new(XML.parse(bytes, path).root, mapping: theme_mapping(mapping))
        end

        # t1="dark1" in the settings says what text1 means.
        def theme_mapping(attributes)
          Theme::MAPPED.filter_map { |name, short| [name, attributes[short]] if attributes[short] }.to_h
        end

        def read_relationships(source)
          path = rels_path(source)
          bytes = @container.read(path) or return []
          folder = source.rpartition("/").first
          XML.parse(bytes, path).root.element_children.map do |element|
            external = element["TargetMode"] == "External"
            kind = element["Type"].to_s.split("/").last.to_s
            target = external ? element["Target"] : resolve(folder, element["Target"].to_s)
            Relationship.new(element["Id"], kind, target, external, element["Type"].to_s)
          end
        end

        # A target is relative to its source's folder; a leading slash is the root of the package.
        def resolve(folder, target)
          steps = target.start_with?("/") ? [] : folder.split("/")
          target.split("/").each { |step| (step == "..") ? steps.pop : (steps << step unless ["", "."].include?(step)) }
          steps.join("/").gsub(/%(\h\h)/) { $1.hex.chr }
        end

        def check_kind
          type = content_type(main_path)
          kind = KINDS.find { |pattern, _| type&.match?(pattern) }&.last
          raise UnreadableFile, "#{kind}, not a text document." if kind.is_a?(String)
          raise UnreadableFile, "The package holds no text document." unless kind
        end
      end
    end
  end
end
