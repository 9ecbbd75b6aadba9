# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # An on/off element such as w:keepNext or w:b.
        class Flag < Plain
          def read(element, part)
            part.on?(element)
          end

          def put(parent, value, part)
            node = fresh(parent, part)
            value ? part.unset(node, "val") : part.set(node, "val", "0")
          end
        end
      end
    end
  end
end
