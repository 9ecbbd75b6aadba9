# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Properties elements to property sets and back, driven by the property table. Equal sets are one object.
      class Formatting
        SIDES = {"fo:margin-left" => nil, "fo:margin-right" => nil, "fo:margin-top" => nil, "fo:margin-bottom" => nil}
          .freeze

        def initialize
          @sets = {{} => Styles::PropertySet::EMPTY}
          @fonts = {}.compare_by_identity
        end

        # The property set of a style's paragraph or text properties; +indent+: the left indent below, which tab stops
        # are counted from.
        def read(style, place, part, indent: 0.0)
          node = part.child(style, PropertyTable::ELEMENTS.fetch(place)) or return Styles::PropertySet::EMPTY
          attributes = part.attributes(node)
          values = PropertyTable::CODECS.fetch(place).filter_map do |slot, codec|
            value = codec.read(attributes, fonts(part)) if codec.names.any? { |name| attributes.key?(name) } ||
              attributes.key?("fo:margin")
            [slot, Styles::Properties[slot].type.held(value)] unless value.nil?
          end.to_h
          vendor_contextual(attributes, values)
          others = others(attributes, place)
          values[PropertyTable::OTHERS[place]] = others unless others.empty?
          tabs(node, part, values, indent) if place == :paragraph
          share(values)
        end

        # One PropertySet for all that set the same.
        def share(values)
          @sets[values] ||= Styles::PropertySet.new(values)
        end

        # Changes the properties elements of a style from one set to the other, touching nothing else.
        #   indents: [was, now] of the left indent that tab stops are counted from
        def self.write(style, place, was, now, part, indents: [0.0, 0.0])
          return if was == now && (indents.uniq.size == 1 || !now.key?(:tabs))
          name = PropertyTable::ELEMENTS.fetch(place)
          node = part.child(style, name) || insert(style, part, part.create(name), name)
          attributes = changes(place, was, now)
          spread(node, part) if SIDES.keys.intersect?(attributes.keys)
          attributes.each { |key, text| text ? part.set(node, key, text) : unset(node, part, key) }
          write_others(node, part, was[PropertyTable::OTHERS[place]] || {}, now[PropertyTable::OTHERS[place]] || {})
          TabStops.write(node, part, now[:tabs], indents.last) if place == :paragraph &&
            (was[:tabs] != now[:tabs] || (now.key?(:tabs) && indents.uniq.size == 2))
          node.remove if node.attribute_nodes.empty? && node.element_children.empty?
        end

        # {attribute => text or nil} of the slots that differ: those that go first, as several may share an attribute.
        def self.changes(place, was, now)
          changed = PropertyTable::CODECS.fetch(place).reject { |slot, _| was[slot] == now[slot] }
          going, coming = changed.partition { |slot, _| now[slot].nil? }
          (going + coming).inject({}) { |all, (slot, codec)| all.merge(codec.write(now[slot])) }
        end

        # The order of children in a style: paragraph properties, then those of text (16.2).
        def self.insert(style, part, node, name)
          return style.add_child(node) unless name == PropertyTable::ELEMENTS[:paragraph]
          text = part.child(style, PropertyTable::ELEMENTS[:run])
          text ? text.add_previous_sibling(node) : style.prepend_child(node)
          node
        end

        # The margin of all sides, told side by side before one of them changes.
        def self.spread(node, part)
          all = part.attr(node, "fo:margin") or return
          SIDES.each_key { |side| part.set(node, side, all) unless part.attr(node, side) }
          part.unset(node, "fo:margin")
        end

        # An attribute of whatever vocabulary: {uri}name for those of others.
        def self.unset(node, part, key)
          part.unset(node, key)
          return unless key == "style:contextual-spacing"
          node.attribute_nodes.each { |attribute| attribute.remove if attribute.node_name == "contextual-spacing" }
        end

        # Writes attributes that only this format knows.
        def self.write_others(node, part, was, now)
          return if was == now
          going = was.keys - now.keys
          node.attribute_nodes.each { |attribute| attribute.remove if going.include?(XmlPart.key(attribute).to_sym) }
          (now.to_a - was.to_a).each { |key, text| part.set(node, key.to_s, text) unless key.start_with?("{") }
        end

        private_class_method :changes, :insert, :unset, :write_others

        private

        def fonts(part)
          @fonts[part] ||= FontFaces.names(part)
        end

        # Version 1.2 has the attribute in a vocabulary of its writer's own.
        def vendor_contextual(attributes, values)
          key = attributes.keys.find { |name| name.end_with?("}contextual-spacing") } or return
          values[:contextual_spacing] = attributes[key] == "true" unless values.key?(:contextual_spacing)
        end

        def others(attributes, place)
          owned = PropertyTable::OWNED.fetch(place)
          attributes.reject { |name, _| owned.key?(name) || name.end_with?("}contextual-spacing") }
            .transform_keys(&:to_sym)
        end

        # Positions count from the paragraph's left indent (17.8), in a document from the margin.
        def tabs(node, part, values, indent)
          stops = part.child(node, "style:tab-stops") or return
          own = values[:indent_left]
          from = own.is_a?(Float) ? own : indent
          values[:tabs] = TabStops.read(stops, part, from)
        end
      end
    end
  end
end
