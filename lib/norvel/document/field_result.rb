# frozen_string_literal: true

module Norvel
  class Document
    # Says of words that they are the result of a field, by the field's id.
    FieldResult = Value.define(:field) do
      def kind
      end

      def key
      end
    end
  end
end
