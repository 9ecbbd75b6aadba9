# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # An element that is carried whole, for what has an effect on the look and that no rule asks about.
        class Opaque < Whole
          def read(element, _part)
            element.attribute_nodes.to_h { |a| [a.node_name.to_sym, a.value] }
          end

          def put(parent, value, part)
            part.drop(parent, element)
            part.insert(parent, part.create(element, value.transform_keys(&:to_s)))
          end
        end
      end
    end
  end
end
