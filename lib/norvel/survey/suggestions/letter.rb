# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # The parts of a letter or a memorandum: its head, its date, its greeting and closing, the lines below.
      class Letter < Finder
        HEAD = 20 # paragraphs before a greeting that belong to it
        WORDS = 14 # of a line of a letter's head or end

        def find
          greeting = left(WORDS).find { |one| loose?(one) && traits(one).greeting? && letter?(one) }
          head(greeting) if greeting
          left(WORDS).each { |paragraph| part(paragraph) }
          labels
        end

        private

        def loose?(paragraph)
          paragraph.part == :body && !known?(paragraph)
        end

        # A greeting stands before running text and not in a row of its like.
        def letter?(paragraph)
          @draft.place(paragraph) <= HEAD && following(paragraph) && traits(following(paragraph)).words >= 8
        end

        # Address, reference and date before the greeting; a subject just before it stays left, as a heading may be.
        def head(greeting)
          put(greeting, "other", 0.92, "a greeting")
          worded.take_while { |paragraph| !paragraph.equal?(greeting) }.each do |paragraph|
            next unless loose?(paragraph) && traits(paragraph).words <= WORDS && !traits(paragraph).prose?
            next if stands_out?(paragraph) && following(paragraph).equal?(greeting)
            put(paragraph, "other", 0.85, "in the head of a letter")
          end
        end

        def part(paragraph)
          return unless loose?(paragraph)
          if traits(paragraph).date? then put(paragraph, "other", 0.9, "a date")
          elsif traits(paragraph).closing? then closing(paragraph)
          end
        end

        # With the lines of names below it.
        def closing(paragraph)
          put(paragraph, "other", 0.92, "a closing")
          below = worded[@draft.place(paragraph) + 1, 5].take_while do |line|
            loose?(line) && traits(line).words <= 8 && !traits(line).sentence? && !traits(line).heading_word? &&
              traits(line).kind.nil?
          end
          below.each { |line| put(line, "other", 0.85, "under a closing") }
        end

        # "To:", "Present:": lines with a label, among others.
        def labels
          loose = left(WORDS).select { |paragraph| loose?(paragraph) }
          rows(loose, 2) { |paragraph| labelled?(paragraph) }.each do |row|
            row.each { |paragraph| put(paragraph, "other", 0.85, "begins with a label", "among others that do") }
          end
        end

        def labelled?(paragraph)
          seen = traits(paragraph)
          seen.label? && !seen.text.end_with?(":") && !seen.prose? && seen.kind.nil? && !seen.bullet? &&
            !numbered_label?(seen) && !letters(paragraph)[:bold] && !task?(paragraph)
        end

        # "Ottilie: order the planks": under running text what someone is to do, an item of a list.
        def task?(paragraph)
          @prose ||= worded.index { |one| traits(one).prose? } || worded.size
          traits(paragraph).text.match?(/:[\s\u00A0]+[[:lower:]]{2,}[\s\u00A0]/) && @draft.place(paragraph) > @prose
        end

        # "RQ1: …" hangs as a list's items do.
        def numbered_label?(seen)
          seen.text.match?(/\A[[:upper:]]{1,4}\d{1,2}\s?:/)
        end
      end
    end
  end
end
