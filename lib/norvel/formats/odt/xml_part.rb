# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # One XML part, with the few questions and changes that readers and writers have. Names are told with the usual
      # prefixes ("text:style-name"), whatever prefixes the file binds.
      class XmlPart
        attr_reader :path, :xml

        def initialize(path, bytes)
          @path = path
          @xml = XML.parse(bytes, path)
          bindings = bound(bytes)
          @keys = bindings && Hash.new { |keys, name| keys[name] = actual(name, bindings) }
          @spaces = {}
        end

        # Its root element.
        def root
          @xml.root
        end

        # The value of an attribute, or nil.
        def attr(element, name)
          return element[@keys[name]] if @keys
          prefix, local = name.split(":")
          element.attribute_with_ns(local, Names::SPACES.fetch(prefix))&.value
        end

        # Sets an attribute by its name with prefix.
        def set(element, name, value)
          prefix, local = name.split(":")
          existing = element.attribute_with_ns(local, Names::SPACES.fetch(prefix))
          return existing.value = value.to_s if existing
          element.set_attribute("norvel", value.to_s)
          attribute = element.attribute("norvel")
          attribute.node_name = local
          attribute.namespace = space(prefix)
        end

        # Takes attributes away.
        def unset(element, *names)
          names.each do |name|
            prefix, local = name.split(":")
            element.attribute_with_ns(local, Names::SPACES.fetch(prefix))&.remove
          end
        end

        # Is the element of this name?
        def is?(element, name)
          prefix, local = name.split(":")
          element.name == local && element.namespace&.href == Names::SPACES.fetch(prefix)
        end

        # The name of an element with the usual prefix; nil for one of another vocabulary.
        def name(element)
          prefix = PREFIXES[element.namespace&.href] and "#{prefix}:#{element.name}"
        end

        # The first child of this name with prefix, nil for none.
        def child(parent, name)
          element = parent&.first_element_child
          element = element.next_element until element.nil? || is?(element, name)
          element
        end

        # The children of these names, in order.
        def children(parent, *names)
          parent ? parent.element_children.select { |element| names.any? { |name| is?(element, name) } } : []
        end

        # The child of this name, added at the end when it is missing.
        def place(parent, name)
          child(parent, name) || parent.add_child(create(name))
        end

        # A new element with these attributes, those that are nil left out.
        def create(name, attributes = {})
          prefix, local = name.split(":")
          element = @xml.create_element(local)
          element.namespace = space(prefix)
          attributes.each { |key, value| set(element, key, value) unless value.nil? }
          element
        end

        # An element like another, without what it holds.
        def shell(node)
          made = @xml.create_element(node.name)
          made.namespace = node.namespace
          node.attribute_nodes.each do |attribute|
            made["norvel"] = attribute.value
            copy = made.attribute("norvel")
            copy.node_name = attribute.node_name
            copy.namespace = attribute.namespace
          end
          made
        end

        # {"fo:margin-left" => "1cm", …} of an element; attributes of other vocabularies under {uri}name.
        def attributes(element)
          element.attribute_nodes.to_h { |attribute| [XmlPart.key(attribute), attribute.value] }
        end

        # The name of an attribute node as attributes tells it.
        def self.key(attribute)
          uri = attribute.namespace&.href
          prefix = PREFIXES[uri]
          prefix ? "#{prefix}:#{attribute.node_name}" : "{#{uri}}#{attribute.node_name}"
        end

        # The part as bytes: never formatted, so that no white space appears.
        def bytes
          XML.bytes(@xml)
        end

        PREFIXES = Names::SPACES.invert.freeze

        private

        # {uri => prefix} where the whole part binds each prefix once, else nil.
        def bound(bytes)
          declared = bytes.b.scan(/xmlns:([\w.-]+)\s*=\s*["']([^"']*)["']/n).uniq
          return if declared.map(&:first).uniq.size < declared.size || declared.map(&:last).uniq.size < declared.size
          declared.to_h { |prefix, uri| [uri.force_encoding("UTF-8"), prefix.force_encoding("UTF-8")] }
        end

        def actual(name, bindings)
          prefix, local = name.split(":")
          "#{bindings.fetch(Names::SPACES.fetch(prefix), prefix)}:#{local}".freeze
        end

        # A namespace of the root, declared there when it is not.
        def space(prefix)
          uri = Names::SPACES.fetch(prefix)
          @spaces[prefix] ||= root.namespace_scopes.find { |scope| scope.href == uri && scope.prefix } ||
            root.add_namespace_definition(free_prefix(prefix), uri)
        end

        def free_prefix(prefix)
          taken = root.namespaces.keys
          [prefix, *(1..9).map { |number| "#{prefix}#{number}" }].find { |one| !taken.include?("xmlns:#{one}") }
        end
      end
    end
  end
end
