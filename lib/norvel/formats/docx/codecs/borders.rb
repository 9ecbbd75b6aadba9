# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # Lines by side (ISO/IEC 29500-1 17.3.1.24): w:sz in eighths of a point, w:space in points.
        class Borders < Whole
          OWN = %i[val sz space color].freeze

          # The Styles::BorderLine of attributes: {val: "single", sz: "4", space: "1", color: "auto"}
          def self.line(attributes)
            more = attributes.except(*OWN)
            Styles::BorderLine.new(kind: attributes[:val], width: attributes[:sz].to_i / 8.0,
              color: Norvel::Colour.hex(attributes[:color]) || "auto", space: attributes[:space].to_f,
              more: (more.freeze unless more.empty?))
          end

          # {attribute => its text} of a line.
          def self.attributes(line)
            color = (line.color == "auto") ? "auto" : line.color.delete("#").upcase
            {val: line.kind, sz: (line.width * 8).round.to_s, space: Length.plain(line.space.round), color:,
             **(line.more || {})}
          end

          def read(element, part)
            element.element_children.select { |child| part.ours?(child) }.to_h do |child|
              [child.name.to_sym, Borders.line(child.attribute_nodes.to_h { |one| [one.node_name.to_sym, one.value] })]
            end
          end

          def put(parent, value, part)
            part.drop(parent, element)
            node = fresh(parent, part)
            value.each do |side, line|
              part.insert(node, part.create(side.to_s, Borders.attributes(line).transform_keys(&:to_s)))
            end
          end
        end
      end
    end
  end
end
