# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # The kind of underline (17.3.2.40), with its colour untouched.
        class Underline < Plain
          def read(element, part)
            part.attr(element, "val") || "none"
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", value)
          end
        end
      end
    end
  end
end
