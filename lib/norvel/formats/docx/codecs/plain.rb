# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # A property whose element says all in w:val.
        class Plain < Whole
          def plain?
            true
          end
        end
      end
    end
  end
end
