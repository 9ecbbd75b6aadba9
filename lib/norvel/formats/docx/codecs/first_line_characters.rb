# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # Likewise in hundredths of a character.
        class FirstLineCharacters < Count
          def initialize
            super("ind", "firstLineChars")
          end

          def read(element, part)
            (hanging = part.attr(element, "hangingChars")) ? -hanging.to_i : super
          end

          def put(parent, value, part)
            part.set(part.place(parent, element), value.negative? ? "hangingChars" : "firstLineChars", value.abs)
          end

          def clear(parent, part)
            super
            node = part.child(parent, element) and part.unset(node, "hangingChars")
          end
        end
      end
    end
  end
end
