# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # A word in w:val that is kept as it stands, other attributes untouched: the kind of underline (17.3.2.40), the
        # Latin language of w:lang (17.3.2.20).
        class Text < Plain
          # absent: what an element without the word means
          def initialize(element, absent: nil)
            super(element)
            @absent = absent
          end

          def read(element, part)
            part.attr(element, "val") || @absent
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", value)
          end
        end
      end
    end
  end
end
