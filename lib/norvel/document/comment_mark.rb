# frozen_string_literal: true

module Norvel
  class Document
    # Where a comment is about: the begin and end of the words, and its sign (ISO/IEC 29500-1 17.13.4). A value.
    #   comment  the id of its Story; edge: "start", "end" or "sign"
    CommentMark = Value.define(:comment, :edge) do
      def kind
        (edge == "sign") ? :comment : :comment_range
      end

      def key
        "#{edge} #{comment}"
      end
    end
  end
end
