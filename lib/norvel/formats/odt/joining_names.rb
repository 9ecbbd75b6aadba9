# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # What ids and names of an OpenDocument text become in the one that takes it in, and the files that come along
      # (ISO/IEC 26300-1 19.770 text:id, 19.837 text:ref-name, 19.910 xlink:href, 19.293 form:id that draw:control
      # names; 26300-3 for the list of files).
      class JoiningNames
        IDS = [%w[xml id], %w[text id], %w[text change-id], %w[text continue-list], %w[office name],
          %w[form id], %w[draw control]].freeze
        OTHERS = {"#{Names::OASIS}form:1.0" => "form", Names::XML_SPACE => "xml"}.freeze
        MARKS = %w[bookmark bookmark-start bookmark-end reference-mark reference-mark-start reference-mark-end].freeze
        REFERENCES = %w[bookmark-ref reference-ref].freeze
        COUNTED = %w[sequence sequence-ref note-ref].freeze
        NAMED = {"table" => "table:name", "section" => "text:name", "frame" => "draw:name"}.freeze

        # {path => bytes} of what comes along.
        attr_reader :files

        # base, text: Readers
        def initialize(base, text)
          @base, @text = base, text
          @part = text.package.content
          @files = {}
          @came = {} # {path here => path in the text's file}
          @taken = {marks: names_here(*MARKS)}
          @given = {}
          @stem = (1..).lazy.map { |number| "j#{number}" }
            .find { |one| !base.package.content.xml.to_s.match?(/:(?:id|ref-name)="#{one}[^"]/) }
        end

        # Renames in elements of the text.
        def rename(nodes)
          nodes.each { |node| node.xpath("descendant-or-self::*").each { |one| in_element(one) } }
        end

        # The list of files with those that came along, nil where none did.
        def manifest
          return if @files.empty?
          part = @base.package.part("META-INF/manifest.xml") or return
          @files.each_key do |path|
            part.root.add_child(part.create("manifest:file-entry", "manifest:full-path" => path,
              "manifest:media-type" => media_types[@came[path]].to_s))
          end
          part
        end

        private

        def in_element(node)
          ids(node)
          begin_anew(node) if node.name == "list"
          name = NAMED[node.name] and unique(node, name)
          mark(node, "text:name") if MARKS.include?(node.name)
          mark(node, "text:ref-name") if REFERENCES.include?(node.name)
          own(node, "text:ref-name") if COUNTED.include?(node.name)
          address(node)
        end

        def ids(node)
          node.attribute_nodes.each do |attribute|
            space = attribute.namespace&.href
            prefix = Names::SPACES.key(space) || OTHERS[space]
            next unless IDS.include?([prefix, attribute.node_name])
            next if prefix == "office" && !node.name.start_with?("annotation")
            attribute.value = "#{@stem}#{attribute.value}"
          end
        end

        # The first list of a style has none of its own text to count on from.
        def begin_anew(node)
          return if (@lists ||= {})[style = @part.attr(node, "text:style-name")]
          @lists[style] = true
          @part.unset(node, "text:continue-numbering")
        end

        def own(node, name)
          value = @part.attr(node, name)
          @part.set(node, name, "#{@stem}#{value}") if value
        end

        # Places keep their name where it is free.
        def mark(node, name)
          value = @part.attr(node, name)
          @part.set(node, name, named(:marks, value)) if value
        end

        # Tables, sections and frames have names of their own.
        def unique(node, name)
          value = @part.attr(node, name) or return
          @taken[name] ||= names_here(node.name, attribute: name)
          @part.set(node, name, named(name, value))
        end

        def named(kind, value)
          @given[[kind, value]] ||= [value].chain((2..).lazy.map { |number| "#{value}_#{number}" })
            .find { |one| !@taken[kind].include?(one) }
        end

        def names_here(*elements, attribute: "text:name")
          here = @base.package.content
          wanted = elements.map { |name| "local-name()='#{name}'" }.join(" or ")
          here.root.xpath("//*[#{wanted}]").to_set { |node| here.attr(node, attribute) }
        end

        # Addresses within the text, and files that it shows.
        def address(node)
          value = @part.attr(node, "xlink:href") or return
          if value.start_with?("#")
            name, kind = value.delete_prefix("#").split("|", 2)
            @part.set(node, "xlink:href", "##{[named(:marks, name), kind].compact.join("|")}") if kind.nil?
          elsif (path = path_of(value))
            @part.set(node, "xlink:href", value.start_with?("./") ? "./#{copied(path)}" : copied(path))
          end
        end

        # Of a file in the package, or of a folder that is an object.
        def path_of(value)
          path = value.delete_prefix("./").delete_suffix("/")
          path if container.names.any? { |name| name == path || name.start_with?("#{path}/") }
        end

        def container
          @text.package.container
        end

        # Its path here.
        def copied(path)
          (@paths ||= {})[path] ||= free(path).tap do |fresh|
            container.names.select { |name| name == path || name.start_with?("#{path}/") }.each do |name|
              here = name.sub(path, fresh)
              @came[here] = name
              @files[here] = container.read(name)
            end
          end
        end

        def free(path)
          ending = File.extname(path)
          stem = path.delete_suffix(ending)
          taken = @base.package.container.names + @files.keys
          [path].chain((1..).lazy.map { |number| "#{stem}j#{number}#{ending}" })
            .find { |one| taken.none? { |name| name == one || name.start_with?("#{one}/") } }
        end

        # {path => media type} of the text's file.
        def media_types
          @media_types ||= begin
            list = @text.package.part("META-INF/manifest.xml")
            entries = list ? list.root.element_children : []
            entries.to_h { |node| %w[full-path media-type].map { |name| list.attr(node, "manifest:#{name}") } }
          end
        end
      end
    end
  end
end
