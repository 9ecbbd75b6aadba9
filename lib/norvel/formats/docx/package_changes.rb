# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Parts that a package gets or loses. A part is an entry, a content type and a relationship (ISO/IEC 29500-2):
      # all three come and go together, and no relationship is given another id.
      class PackageChanges
        # {path => bytes} of what is to be written; paths that go
        attr_reader :changed, :gone

        def initialize(package)
          @package = package
          @changed = {}
          @gone = []
        end

        # A part of a kind that the main part names, of its class (strict or transitional), with the id of its
        # relationship. empty: its root without contents
        def add(kind, empty)
          path = free_path(kind)
          strict = @package.main.strict?
          relation = "#{strict ? Names::STRICT_RELS : Names::OFFICE_RELS}/#{kind}"
          id = announce(@package.main_path, path, relation, "#{Names::TYPE}#{kind}+xml")
          [XmlPart.new(path, strict ? empty.gsub(Names::TRANSITIONAL, Names::STRICT) : empty), id]
        end

        # Tells the package of a part. Returns the id of its relationship, which none had before.
        def announce(source, path, type, content_type)
          id = nil
          edit(@package.rels_path(source), %(<Relationships xmlns="#{Names::PACKAGE_RELS}"/>)) do |root|
            taken = root.element_children.map { |one| one["Id"] }
            id = (1..).lazy.map { |number| "rId#{number}" }.find { |candidate| !taken.include?(candidate) }
            target = source.empty? ? path : "/#{path}"
            put(root, "Relationship", "Id" => id, "Type" => type, "Target" => target)
          end
          edit("[Content_Types].xml") do |root|
            put(root, "Override", "PartName" => "/#{path}", "ContentType" => content_type)
          end
          id
        end

        # Takes a part out that only the main part names.
        def withdraw(path)
          ids = @package.relationships(@package.main_path).select { |one| one.target == path }.map(&:id)
          edit(@package.rels_path(@package.main_path)) do |root|
            root.element_children.each { |one| one.remove if ids.include?(one["Id"]) }
          end
          edit("[Content_Types].xml") do |root|
            root.element_children.each { |one| one.remove if one["PartName"].to_s.casecmp?("/#{path}") }
          end
          @gone.push(path, @package.rels_path(path))
        end

        private

        # A path beside the main part that no part has: "word/header3.xml".
        def free_path(kind)
          folder = @package.main_path.rpartition("/").first
          names = ["#{kind}.xml"].chain((1..).lazy.map { |number| "#{kind}#{number}.xml" })
          paths = names.lazy.map { |name| [folder, name].reject(&:empty?).join("/") }
          taken = (@package.container.archive.entries.map(&:name) + @changed.keys + @made.to_a).map(&:downcase)
          path = paths.find { |one| !taken.include?(one.downcase) }
          (@made ||= []) << path
          path
        end

        def put(root, name, attributes)
          root.add_child(root.document.create_element(name, attributes)).namespace = root.namespace
        end

        def edit(path, empty = nil)
          xml = XML.parse(@changed[path] || @package.container.read(path) || empty, path)
          yield xml.root
          @changed[path] = xml.serialize(encoding: "UTF-8", save_with: Nokogiri::XML::Node::SaveOptions::AS_XML)
        end
      end
    end
  end
end
