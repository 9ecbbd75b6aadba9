# frozen_string_literal: true

module Norvel
  class Document
    # A place with a name (ISO/IEC 29500-1 17.13.6): where it begins, or where it ends. A value.
    #   edge  "start" or "end"; name: nil at the end
    Bookmark = Value.define(:id, :edge, :name) do
      # What it counts as in an Inventory.
      def kind
        :bookmark
      end

      # What tells it from others of its kind in an Inventory.
      def key
        "#{edge} #{id} #{name}".rstrip
      end
    end
  end
end
