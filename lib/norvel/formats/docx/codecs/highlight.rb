# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # One of sixteen names; none takes it away again.
        class Highlight < Plain
          def read(element, part)
            name = part.attr(element, "val")
            (name == "none") ? "auto" : Colour::HIGHLIGHTS[name]
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", (value == "auto") ? "none" : Colour::HIGHLIGHTS.key(value))
          end
        end
      end
    end
  end
end
