# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # pPr and rPr to property sets and back, driven by the property table. Equal sets that a reader meets are one object.
      class Formatting
        TABLE = {paragraph: Styles::Properties.by_element(:paragraph), run: Styles::Properties.by_element(:run)}.freeze

        # Elements that say all they say in w:val, with the one property they hold: what a value means is worked out once.
        PLAIN = TABLE.transform_values { |table| table.select { |_, properties| properties.size == 1 && properties.first.docx.plain? }.transform_values(&:first) }.freeze

        def initialize
          @sets = {{} => Styles::PropertySet::EMPTY}
          @plain = Hash.new { |known, property| known[property] = {} }.compare_by_identity
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

        def read_element(child, place, part, values)
          name = child.name
          properties = TABLE[place][name] or return
          return unless part.ours?(child)
          plain = PLAIN[place][name] and return read_plain(child, plain, part, values)
          properties.each do |property|
            value = property.docx.read(child, part)
            values[property.name] = value unless value.nil?
          end
        end

        def read_plain(child, property, part, values)
          known = @plain[property]
          text = part.attr(child, "val")
          value = known.fetch(text) { known[text] = property.docx.read(child, part) }
          values[property.name] = value unless value.nil?
        end

        def share(values)
          @sets[values] ||= Styles::PropertySet.new(values)
        end

        # Changes the element under +owner+ (a paragraph, run or style) from one set to the other, touching nothing else.
        def self.write(owner, name, place, was, now, part)
          return if was == now
          node = part.place(owner, name)
          Styles::Properties.on(place).each do |property|
            old, new = was[property.name], now[property.name]
            next if old == new || property.docx.nil?
            new.nil? ? property.docx.clear(node, part) : nil
          end
          Styles::Properties.on(place).each do |property|
            new = now[property.name]
            property.docx.put(node, new, part) unless new.nil? || was[property.name] == new
          end
          node.remove if node.element_children.empty? && node.attribute_nodes.empty?
        end
      end
    end
  end
end
