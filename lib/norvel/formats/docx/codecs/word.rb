# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # A word in w:val, mapped to ours; one that the map lacks reads as nil. Of several words for one value the first
        # is written.
        class Word < Plain
          def initialize(element, map, strict: {})
            super(element)
            @map = map
            @written = map.to_a.reverse.to_h { |word, value| [value, word] }
            @strict = strict
          end

          def read(element, part)
            @map[part.attr(element, "val")]
          end

          def put(parent, value, part)
            word = (part.strict? && @strict[value]) || @written.fetch(value)
            part.set(fresh(parent, part), "val", word)
          end
        end
      end
    end
  end
end
