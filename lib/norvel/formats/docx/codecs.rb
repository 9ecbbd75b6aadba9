# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # How one property stands in pPr or rPr, one file a kind. A codec answers read(element, part) with the value or
      # nil for "not set here", writes it with put(parent, value, part) and takes it out with clear(parent, part).
      # Clauses: ISO/IEC 29500-1 17.3.1, 17.3.2.
      module Codecs
      end
    end
  end
end
