# frozen_string_literal: true

module Norvel
  class Document
    # What else a field is made of: its instruction, what stands between that and its result, its end. Nobody reads it.
    #   role  "instruction", "separator" or "end"
    FieldPart = Value.define(:role) do
      include Uncounted
    end
  end
end
