# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # pPr and rPr to property sets and back, driven by the property table. Equal sets that a reader meets are one object.
      class Formatting
        TABLE = {paragraph: Styles::Properties.by_element(:paragraph), run: Styles::Properties.by_element(:run)}.freeze

        def initialize
          @sets = {{} => Styles::PropertySet::EMPTY}
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
          properties = TABLE[place][child.name] or return
          return unless part.ours?(child)
          properties.each do |property|
            value = property.docx.read(child, part)
            values[property.name] = value unless value.nil?
          end
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
