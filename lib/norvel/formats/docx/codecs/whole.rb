# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # Base: a property that is the whole element.
        class Whole
          attr_reader :element

          def initialize(element)
            @element = element
          end

          def clear(parent, part)
            part.drop(parent, element)
          end

          # Does w:val say it all?
          def plain?
            false
          end

          private

          def fresh(parent, part)
            part.place(parent, element)
          end
        end
      end
    end
  end
end
