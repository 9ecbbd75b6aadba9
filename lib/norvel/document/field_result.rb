# frozen_string_literal: true

module Norvel
  class Document
    # Says of words that they are the result of a field, by the field's id.
    FieldResult = Value.define(:field) do
      include Uncounted
    end
  end
end
