# frozen_string_literal: true

module Norvel
  class Document
    # What a paragraph is set with, whatever its words are: its style, what it and its mark set directly, where it
    # stands in a table, and every way its letters are set, in order. Equal for all paragraphs that are set alike, so
    # that what follows from it is worked out once for them.
    class Formatting
      attr_reader :letters, :hash

      # letters: Run, the first of each way
      def initialize(paragraph, letters)
        @letters = letters.freeze
        @parts = [paragraph.style_id, paragraph.direct, paragraph.mark, paragraph.table,
          *letters.flat_map { |run| Formatting.way(run) }].freeze
        @hash = @parts.hash
        freeze
      end

      # How a run is set; a symbol's font is its meaning, so symbols are another way.
      def self.way(run)
        [run.style_id, run.direct, run.symbols?]
      end

      def eql?(other)
        equal?(other) || (other.is_a?(Formatting) && @hash == other.hash && @parts == other.parts)
      end
      alias_method :==, :eql?

      protected

      attr_reader :parts
    end
  end
end
