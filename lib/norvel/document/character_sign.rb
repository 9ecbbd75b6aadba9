# frozen_string_literal: true

module Norvel
  class Document
    # One character by its place in a symbol font (ISO/IEC 29500-1 17.3.3.30 sym).
    CharacterSign = Value.define(:font, :code) do
      # What it counts as in an Inventory.
      def kind
        :sign
      end

      # What tells it from others of its kind in an Inventory.
      def key
        "#{font} #{code}"
      end
    end
  end
end
