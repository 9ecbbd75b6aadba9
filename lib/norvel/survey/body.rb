# frozen_string_literal: true

module Norvel
  module Survey
    # What most of the text wears: the measure that everything else stands out from.
    class Body
      attr_reader :size, :font, :look, :letters

      def initialize(document, paragraphs)
        worn = {}.compare_by_identity
        paragraphs.each do |paragraph|
          next if paragraph.part == :table || paragraph.word_count < 8
          under = worn[document.look(paragraph)] ||= Hash.new(0).compare_by_identity
          under[document.letter_look(paragraph)] += paragraph.word_count
        end
        weights = worn.flat_map { |look, under| under.map { |letters, words| [[look, letters], words] } }
        sizes = Hash.new(0)
        weights.each do |(_, letters), words|
          sizes[[letters[:size], letters[:font], letters[:bold], letters[:italic]]] += words
        end
        @size, @font, @bold, @italic = sizes.max_by(&:last)&.first || default(document, paragraphs)
        @look, @letters = weights.select { |(_, l), _| l[:size] == @size && l[:bold] == @bold && l[:italic] == @italic }
          .max_by(&:last)&.first || [nil, nil]
      end

      # Is running text bold?
      def bold?
        @bold
      end

      # Is running text italic?
      def italic?
        @italic
      end

      # In points.
      def indent_left
        @look ? @look[:indent_left] : 0.0
      end

      # In points.
      def indent_right
        @look ? @look[:indent_right] : 0.0
      end

      # As of a look.
      def align
        @look ? @look[:align] : "left"
      end

      # In points.
      def space_before
        @look ? @look[:space_before] : 0.0
      end

      private

      # A document without running text: the smallest size that words have.
      def default(document, paragraphs)
        letters = paragraphs.reject(&:blank?).map { |p| document.letter_look(p) }.min_by { |l| l[:size] }
        letters ? [letters[:size], letters[:font], false, false] : [12.0, "Times New Roman", false, false]
      end
    end
  end
end
