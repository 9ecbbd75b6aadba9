# frozen_string_literal: true

module Norvel
  class Document
    # Where a comment is about: the begin and end of the words, and its sign (ISO/IEC 29500-1 17.13.4). A value.
    #   comment  the id of its Story; edge: "start", "end" or "sign"
    CommentMark = Value.define(:comment, :edge) do
      # What it counts as in an Inventory.
      def kind
        (edge == "sign") ? :comment : :comment_range
      end

      # What tells it from others of its kind in an Inventory.
      def key
        "#{edge} #{comment}"
      end
    end
  end
end
