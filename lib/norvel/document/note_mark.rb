# frozen_string_literal: true

module Norvel
  class Document
    # The mark of a note (ISO/IEC 29500-1 17.11). A value.
    #   of    "footnote" or "endnote"
    #   note  the id of its Story; nil for the mark at the note's own beginning
    NoteMark = Value.define(:of, :note) do
      # What it counts as in an Inventory.
      def kind
        note ? :note_mark : :note_sign
      end

      # What tells it from others of its kind in an Inventory.
      def key
        "#{of} #{note}"
      end
    end
  end
end
