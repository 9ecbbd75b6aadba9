# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # One XML part of a package, with the few questions and changes that readers and writers have. Names are local
      # names in the main namespace, whatever prefix the file binds; the class (strict or transitional) is the file's.
      class XmlPart
        # Elements of other vocabularies that have a local name of ours: mathematics, drawings, later additions to text
        # formatting.
        OURS = %w[p r t pPr rPr tbl tr tc tblPr sectPr shadow outline b i u lang highlight color sz jc ind spacing
          effect style lvl].freeze
        STRANGERS = /<(?!w:)[A-Za-z][\w.-]*:(?:#{OURS.join("|")})[\s\/>]/n
        TRUE_WORDS = ["1", "true", "on", nil].freeze

        attr_reader :path, :xml, :theme, :shorthand

        # +short+: read only, with repeated formatting told once (Shorthand).
        def initialize(path, bytes, theme: Theme::NONE, short: false)
          bytes, @shorthand = Shorthand.of(bytes) if short
          @path = path
          @theme = theme
          @lengths = Hash.new { |known, unit| known[unit] = {} }
          @xml = XML.parse(bytes, path)
          @space = @xml.root.namespace
          @uri = Names::WORDS.find { |uri| @xml.root.namespaces.value?(uri) } || Names::TRANSITIONAL
          @root_ours = @space&.href == @uri
          settle_prefix(bytes)
          @alone = @keys && !bytes.match?(STRANGERS)
        end

        # Its root element.
        def root
          @xml.root
        end

        # Is it written in the names of the standard's strict kind?
        def strict?
          @uri == Names::STRICT
        end

        # Does the element belong to the main namespace?
        def ours?(element)
          return true if @alone
          space = element.namespace
          space.equal?(@space) ? @root_ours : space&.href == @uri
        end

        # The value of an attribute of the main namespace, or nil.
        def attr(element, name)
          return element[@keys[name]] if @keys
          element.attribute_with_ns(name, @uri)&.value
        end

        # Sets an attribute of the standard's own names.
        def set(element, name, value)
          existing = element.attribute_with_ns(name, @uri)
          return existing.value = value.to_s if existing
          attribute = element.set_attribute("norvel", value.to_s) && element.attribute("norvel")
          attribute.node_name = name
          attribute.namespace = prefixed_space(element)
        end

        # Takes attributes away.
        def unset(element, *names)
          names.each { |name| element.attribute_with_ns(name, @uri)&.remove }
        end

        # Points of a length as the file holds it; the same few lengths stand in thousands of places.
        def length(text, unit)
          known = @lengths[unit]
          known.fetch(text) { known[text] = Length.from_file(text, unit) }
        end

        # The value of an on/off element: absent attribute means on (ISO/IEC 29500-1 ST_OnOff).
        def on?(element, name = "val")
          TRUE_WORDS.include?(attr(element, name))
        end

        # The first child of this name, nil for none.
        def child(parent, name)
          element = parent.first_element_child
          element = element.next_element until element.nil? || (element.name == name && ours?(element))
          element
        end

        # The children of this name.
        def children(parent, name)
          parent.element_children.select { |element| element.name == name && ours?(element) }
        end

        # The child of this name, made at its schema place when missing.
        def place(parent, name)
          child(parent, name) || insert(parent, create(name), name)
        end

        # Puts a child where the schema wants it among the others.
        def insert(parent, element, name = element.name)
          order = Names::ORDER.fetch(parent.name)
          rank = order.index(name) || order.size
          after = parent.element_children.reverse.find do |other|
            ours?(other) && (order.index(other.name) || (order.size + 1)) <= rank
          end
          if after
            after.add_next_sibling(element)
          else
            parent.prepend_child(element)
          end
          element
        end

        # Takes the children of this name away.
        def drop(parent, name)
          children(parent, name).each(&:remove)
        end

        # A new element of the main namespace, with attributes of the same.
        def create(name, attributes = {})
          element = @xml.create_element(name)
          element.namespace = @root_ours ? @space : prefixed_space(@xml.root)
          attributes.each { |key, value| set(element, key, value) }
          element
        end

        # The part as bytes: never formatted, so that no white space appears.
        def bytes
          XML.bytes(@xml)
        end

        private

        # Attributes are looked up fastest by prefix and name. That holds only where the file binds one prefix, once.
        def settle_prefix(bytes)
          declared = bytes.b.scan(/xmlns(?::([\w.-]+))?\s*=\s*["']([^"']*)["']/n)
          bindings = declared.select { |_, uri| uri == @uri }.map(&:first).uniq
          prefix = bindings.first
          return if prefix.nil? || bindings.size > 1 || declared.any? { |bound, uri| bound == prefix && uri != @uri }
          @keys = Hash.new { |keys, name| keys[name] = "#{prefix}:#{name}".freeze }
        end

        def prefixed_space(element)
          element.namespace_scopes.find { |space| space.href == @uri && space.prefix } ||
            @xml.root.add_namespace_definition("w", @uri)
        end
      end
    end
  end
end
