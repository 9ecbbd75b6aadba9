# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # w:lang: the Latin language of the text.
        class Language < Plain
          def read(element, part)
            part.attr(element, "val")
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", value)
          end
        end
      end
    end
  end
end
