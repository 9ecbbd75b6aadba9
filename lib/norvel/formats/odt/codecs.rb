# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # How one property stands among the attributes of a properties element, one file a kind. A codec tells the
      # attributes it owns (names), answers read(attributes, fonts) with the value or nil for "not set here", and
      # write(value) with {attribute => text, or nil to take it out}. Clauses: ISO/IEC 26300-1 20.
      module Codecs
      end
    end
  end
end
