# frozen_string_literal: true

module Norvel
  class Document
    # What an object in the text answers that the inventory does not count.
    module Uncounted
      # What it counts as in an Inventory.
      def kind
      end

      # What tells it from others of its kind in an Inventory.
      def key
      end
    end
  end
end
