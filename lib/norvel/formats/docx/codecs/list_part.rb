# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # One child of w:numPr; they merge child by child.
        class ListPart < Whole
          def initialize(name)
            super("numPr")
            @name = name
          end

          def read(element, part)
            node = part.child(element, @name) or return
            text = part.attr(node, "val")
            text.to_i if text&.match?(/\A\d{1,9}\z/)
          end

          def put(parent, value, part)
            part.set(part.place(part.place(parent, element), @name), "val", value)
          end

          def clear(parent, part)
            node = part.child(parent, element) or return
            part.drop(node, @name)
            node.remove if node.element_children.empty?
          end
        end
      end
    end
  end
end
