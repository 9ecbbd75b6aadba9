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

          # The value that an element says, nil for none.
          def read(_element, _part)
            raise NotImplementedError
          end

          # Says a value in the element under +parent+.
          def put(_parent, _value, _part)
            raise NotImplementedError
          end

          # Takes away what says the value.
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
