# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # A number in w:val: w:sz in half-points, w:outlineLvl, w:position.
        class Number < Plain
          def initialize(element, unit)
            super(element)
            @unit = unit
          end

          def read(element, part)
            text = part.attr(element, "val") and part.length(text, @unit)
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", Length.whole(value, @unit))
          end
        end
      end
    end
  end
end
