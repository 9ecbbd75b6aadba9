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
          path = free_path([@package.main_path.rpartition("/").first, "#{kind}.xml"].reject(&:empty?).join("/"))
          strict = @package.main.strict?
          relation = "#{strict ? Names::STRICT_RELS : Names::OFFICE_RELS}/#{kind}"
          id = announce(@package.main_path, path, relation, "#{Names::TYPE}#{kind}+xml")
          [XmlPart.new(path, strict ? empty.gsub(Names::TRANSITIONAL, Names::STRICT) : empty), id]
        end

        # Tells the package of a part. Returns the id of its relationship, which none had before.
        def announce(source, path, type, content_type)
          typed(path, content_type)
          relate(source, source.empty? ? path : "/#{path}", type)
        end

        # Tells the package what a part is.
        def typed(path, content_type)
          edit("[Content_Types].xml") do |root|
            put(root, "Override", "PartName" => "/#{path}", "ContentType" => content_type)
          end
        end

        # A relationship of a part. Returns its id, which none had before, and which nothing in the part speaks of.
        def relate(source, target, type, external: false)
          id = nil
          words = source.empty? ? "" : @package.container.read(source).to_s
          edit(@package.rels_path(source), %(<Relationships xmlns="#{Names::PACKAGE_RELS}"/>)) do |root|
            taken = root.element_children.map { |one| one["Id"] }
            id = (1..).lazy.map { |number| "rId#{number}" }
              .find { |candidate| !taken.include?(candidate) && !words.include?(%("#{candidate}")) }
            mode = external ? {"TargetMode" => "External"} : {}
            put(root, "Relationship", "Id" => id, "Type" => type, "Target" => target, **mode)
          end
          id
        end

        # A path with the folder and ending of another that no part has: "word/media/image3.png".
        def free_path(like)
          folder, _, name = like.rpartition("/")
          ending = File.extname(name)
          base = File.basename(name, ending).sub(/\d+\z/, "")
          names = ["#{base}#{ending}"].chain((1..).lazy.map { |number| "#{base}#{number}#{ending}" })
          paths = names.lazy.map { |one| [folder, one].reject(&:empty?).join("/") }
          taken = (@package.container.archive.entries.map(&:name) + @changed.keys + @made.to_a).map(&:downcase)
          paths.find { |one| !taken.include?(one.downcase) }.tap { |path| (@made ||= []) << path }
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

        def put(root, name, attributes)
          root.add_child(root.document.create_element(name, attributes)).namespace = root.namespace
        end

        def edit(path, empty = nil)
          xml = XML.parse(@changed[path] || @package.container.read(path) || empty, path)
          yield xml.root
          @changed[path] = XML.bytes(xml)
        end
      end
    end
  end
end
