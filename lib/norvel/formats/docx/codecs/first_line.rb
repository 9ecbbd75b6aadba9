# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # firstLine and hanging are one slot, hanging wins within one element; negative is hanging (17.3.1.12).
        class FirstLine < Measure
          def initialize
            super("ind", "firstLine", beaten_by: %w[hanging firstLineChars hangingChars])
          end

          def read(element, part)
            (hanging = part.attr(element, "hanging")) ? part.length(hanging, "twip")&.-@ : super
          end

          def put(parent, value, part)
            return super unless value.negative?
            node = part.place(parent, element)
            part.unset(node, "firstLine", *@beaten_by)
            part.set(node, "hanging", Length.whole(-value, "twip"))
          end
        end
      end
    end
  end
end
