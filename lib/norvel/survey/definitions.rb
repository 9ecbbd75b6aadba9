# frozen_string_literal: true

module Norvel
  module Survey
    # Terms with what they mean after a tab, several below each other, whose second lines go back to the margin: lists
    # of definitions that want a hanging indent.
    class Definitions
      # paragraphs: [Document::Paragraph, …]; indent: where the meanings begin, points from the left indent
      List = Value.define(:paragraphs, :indent)
      ENTRY = /\A(?<term>[^\t\n]{1,40})\t(?<meaning>[^\t\n]*[[:alpha:]]{3}[^\t\n]*)\z/
      TERM = 5 # words at most
      MEANING = 4 # words, of most of the entries
      FEWEST = 3 # entries
      LETTER = 0.5 # of the size, a letter's usual width
      ROLES = %w[body list_item other].freeze

      def initialize(document)
        @document = document
      end

      # [List, …] in order.
      def all
        runs = @document.paragraphs.chunk_while { |one, other| entry?(one) && entry?(other) && alike?(one, other) }
        runs.select { |run| run.size >= FEWEST && entry?(run.first) && meanings?(run) }
          .map { |run| List.new(paragraphs: run, indent: indent(run)) }
      end

      private

      def entry?(paragraph)
        (@entries ||= {}).fetch(paragraph.id) do |id|
          @entries[id] = paragraph.container.nil? && paragraph.raw_text.include?("\t") && entry(paragraph) &&
            ROLES.include?(Survey.role(@document, paragraph)) && flush?(@document.look(paragraph))
        end
      end

      def entry(paragraph)
        match = ENTRY.match(paragraph.seen_text)
        match && match[:term].split.size <= TERM && !match[:term].match?(/[.!?]\s*\z/)
      end

      # Does every line of it begin at the same place?
      def flush?(look)
        look[:first_line].zero? && look[:list].nil? && %w[left justify].include?(look[:align])
      end

      def alike?(one, other)
        @document.style_of(one).equal?(@document.style_of(other)) &&
          @document.look(one)[:indent_left] == @document.look(other)[:indent_left]
      end

      def meanings?(run)
        lengths = run.map { |one| ENTRY.match(one.seen_text)[:meaning].split.size }.sort
        lengths[lengths.size / 2] >= MEANING
      end

      # The tab stop that the longest term reaches.
      def indent(run)
        longest = run.map { |one| ENTRY.match(one.seen_text)[:term].size * @document.letter_look(one)[:size] }.max
        left = @document.look(run.first)[:indent_left]
        width = longest * LETTER
        stops = Styles::Properties[:tabs].type.seen(@document.look(run.first)[:tabs]).map { |stop| stop.place - left }
        step = @document.settings.default_tab_stop
        stops.sort.find { |stop| stop > width } || ((width / step).floor + 1) * step
      end
    end
  end
end
