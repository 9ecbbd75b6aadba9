# frozen_string_literal: true

module Norvel
  class Document
    # Text that is computed: where it begins. A value.
    #   id        its ordinal in its story, from 1
    #   computes  what it computes, of Computed
    #   cached    the text that was computed last; nil when the field is nowhere closed
    #   source    how its file says it, where that is another way than the usual; for writers of that format alone
    Field = Value.define(:id, :computes, :cached, :source) do
      # Those that begin in a paragraph, or whose result it shows.
      def self.in(paragraph)
        paragraph.runs.flat_map { |run| (run.objects + run.within).grep(self) }.uniq
      end

      # What it computes in a word: "page", "sequence".
      def does
        computes.kind
      end

      # What it counts as in an Inventory.
      def kind
        :field
      end

      # What tells it from others of its kind in an Inventory.
      def key
        does
      end
    end
  end
end
