# frozen_string_literal: true

module Norvel
  class Document
    # Something in the text that Norvel passes through untouched, by the name of its element.
    Unknown = Value.define(:name) do
      include Uncounted
    end
  end
end
