# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # Children that merge one by one, kept as a hash: tab stops by place, borders by side.
        class Children < Whole
          def initialize(element, key: nil)
            super(element)
            @key = key
          end

          def read(element, part)
            element.element_children.filter_map do |child|
              next unless part.ours?(child)
              key = @key ? part.attr(child, @key).to_s : child.name
              [key.to_sym, child.attribute_nodes.to_h { |a| [a.node_name.to_sym, a.value] }]
            end.to_h
          end

          def put(parent, value, part)
            part.drop(parent, element)
            node = fresh(parent, part)
            value.each do |key, attributes|
              part.insert(node, part.create(@key ? "tab" : key.to_s, attributes.transform_keys(&:to_s)))
            end
          end
        end
      end
    end
  end
end
