# frozen_string_literal: true

module Norvel
  module Survey
    # How paragraphs of running text are told from the one before: by a first-line indent, space, a blank line, several
    # of these, or nothing. The first after a heading needs no sign and is not among them.
    class ParagraphBreaks
      WAYS = {indent: "a first-line indent", space: "space", blank: "a blank line", none: "nothing"}.freeze
      SPACE = 3.0 # points; less is no space to a reader
      INDENT = 1.0

      # ["indent", "space"] in words.
      def self.words(ways)
        ways.map { |one| WAYS.fetch(one.to_sym) }.join(" and ")
      end

      # settled: SettledRoles or what answers role(paragraph)
      def initialize(document, settled = SettledRoles.of(document))
        @document = document
        @settled = settled
      end

      # [[Paragraph, [:indent, :space]], …]
      def all
        @document.paragraphs.chunk_while { |_, other| other.part == :body }.flat_map do |run|
          run.reject(&:blank?).each_cons(2).filter_map do |before, one|
            [one, ways(before, one)] if text?(before) && text?(one)
          end
        end
      end

      private

      def text?(paragraph)
        paragraph.part == :body && @settled.role(paragraph) == "body" &&
          @document.look(paragraph)[:align] != "center" && !@document.cascade.list_of(paragraph)
      end

      def ways(before, one)
        blank = @document.position(one.id) - @document.position(before.id) > 1
        space = [@document.look(before)[:space_after], @document.look(one)[:space_before]].max >= SPACE
        indent = @document.look(one)[:first_line] > INDENT
        found = [(:indent if indent), (:space if space), (:blank if blank)].compact
        found.empty? ? [:none] : found
      end
    end
  end
end
