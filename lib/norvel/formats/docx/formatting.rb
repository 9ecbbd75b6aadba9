# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # pPr and rPr to property sets and back, driven by the property table. Equal sets that a reader meets are one
      # object.
      class Formatting
        TABLE = PropertyTable::BY_ELEMENT

        # Elements that say all they say in w:val, with the one property they hold: what a value means is worked out
        # once.
        PLAIN = TABLE.transform_values do |table|
          table.select { |_, entries| entries.size == 1 && entries.first.last.plain? }.transform_values(&:first)
        end.freeze

        def initialize
          @sets = {{} => Styles::PropertySet::EMPTY}
          @plain = Hash.new { |known, codec| known[codec] = {} }.compare_by_identity
        end

        # The property set of a pPr or rPr element (nil reads as empty).
        def read(node, place, part)
          return Styles::PropertySet::EMPTY unless node
          values = {}
          child = node.first_element_child
          while child
            read_element(child, place, part, values)
            child = child.next_element
          end
          share(values)
        end

        # Adds to values what a child of pPr or rPr sets.
        def read_element(child, place, part, values)
          name = child.name
          entries = TABLE[place][name] or return
          return unless part.ours?(child)
          plain = PLAIN[place][name] and return read_plain(child, *plain, part, values)
          entries.each do |slot, codec|
            value = held(slot, codec.read(child, part))
            values[slot] = value unless value.nil?
          end
        end

        # The same of an element whose w:val says it all.
        def read_plain(child, slot, codec, part, values)
          known = @plain[codec]
          text = part.attr(child, "val")
          value = known.fetch(text) { known[text] = held(slot, codec.read(child, part)) }
          values[slot] = value unless value.nil?
        end

        # A value within what its property can be.
        def held(slot, value)
          value.nil? ? nil : Styles::Properties[slot].type.held(value)
        end

        # One PropertySet for all that set the same.
        def share(values)
          @sets[values] ||= Styles::PropertySet.new(values)
        end

        # Changes the element under +owner+ (a paragraph, run or style) from one set to the other, touching nothing
        # else.
        def self.write(owner, name, place, was, now, part)
          return if was == now
          node = part.place(owner, name)
          changed = PropertyTable::CODECS[place].reject { |slot, _| was[slot] == now[slot] }
          changed.each { |slot, codec| codec.clear(node, part) if now[slot].nil? }
          changed.each { |slot, codec| codec.put(node, now[slot], part) unless now[slot].nil? }
          node.remove if node.element_children.empty? && node.attribute_nodes.empty?
        end
      end
    end
  end
end
