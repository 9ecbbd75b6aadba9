# frozen_string_literal: true

module Norvel
  class Document
    # A link that words stand in: to an address outside, or to a bookmark of this document (ISO/IEC 29500-1 17.16.22).
    Link = Value.define(:address, :bookmark, :title) do
      # What it counts as in an Inventory.
      def kind
        :link
      end

      # What tells it from others of its kind in an Inventory.
      def key
        address || "##{bookmark}"
      end
    end
  end
end
