# frozen_string_literal: true

module Norvel
  module Survey
    # Words that are set apart at the beginning of paragraphs and end with a full stop, a colon or a dash, as short
    # headings in the line do, alike in several.
    class LeadIns
      # paragraph: Document::Paragraph; range: of its raw text; words: without what ends them; look: {property => value}
      # that sets them apart
      LeadIn = Value.define(:paragraph, :range, :words, :look)

      APART = %i[bold italic small_caps underline].freeze
      ENDING = /[.:–—-]\z/
      LONGEST = 80 # letters
      FEWEST = 3 # alike; common practice
      REST = 3 # words that follow at least
      ROLES = %w[body list_item note].freeze

      def initialize(document)
        @document = document
      end

      # Every LeadIn, in order.
      def all
        found = @document.working.filter_map { |paragraph| lead_in(paragraph) }
        alike = found.group_by(&:look).reject { |_, list| list.size < FEWEST }
        found.select { |one| alike.key?(one.look) }
      end

      private

      def lead_in(paragraph)
        return if paragraph.runs.size < 2 || !ROLES.include?(Survey.role(@document, paragraph))
        first = apart(paragraph, paragraph.runs.first) or return
        runs = paragraph.runs.take_while { |run| run.style_id.nil? && apart(paragraph, run) == first }
        text = runs.map(&:text).join
        return if text.strip.size > LONGEST || !text.strip.match?(ENDING) || text.match?(/[\uFFF9\uFFFA\uFFFC\n\f\v]/)
        return if paragraph.runs.drop(runs.size).any? { |run| apart(paragraph, run) == first } || few?(paragraph, text)
        LeadIn.new(paragraph:, range: 0..(text.rstrip.size - 1), words: text.strip, look: first)
      end

      # What sets a run apart from the letters of its paragraph; nil for nothing.
      def apart(paragraph, run)
        usual, own = @document.letter_look(paragraph), @document.run_look(run, paragraph)
        found = APART.to_h { |name| [name, own[name]] }.reject { |name, value| usual[name] == value }
        found unless found.empty?
      end

      def few?(paragraph, text)
        paragraph.raw_text[text.size..].split.size < REST
      end
    end
  end
end
