# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Quotations are inset or wholly in quotation marks; images are no text; all else is body text.
      class Rest < Finder
        def find
          left.each do |paragraph|
            if quotation?(paragraph) then put(paragraph, "quote", sureness(paragraph), *reasons(paragraph))
            elsif quoted?(paragraph)
              put(paragraph, "quote", 0.74, "wholly in quotation marks", "#{traits(paragraph).words} words")
            elsif traits(paragraph).object? && traits(paragraph).words.zero?
              put(paragraph, "other", 0.9, "an image or object")
            elsif paragraph.part == :table then put(paragraph, "table_text", 0.95, "in a table")
            else @draft.found[paragraph.id] = text(paragraph)
            end
          end
        end

        private

        def quotation?(paragraph)
          set = look(paragraph)
          inset = set[:indent_left] - body.indent_left
          return false if inset < 9 || set[:first_line] <= -9 || traits(paragraph).words < 12
          inset >= 14 || set[:indent_right] - body.indent_right >= 9
        end

        def quoted?(paragraph)
          traits(paragraph).words >= 25 && traits(paragraph).quoted?
        end

        def reasons(paragraph)
          words = traits(paragraph).words
          smaller = "smaller than the text" if size(paragraph) < body.size
          ["inset", smaller, ("#{words} words" if words >= 40)].compact
        end

        def sureness(paragraph)
          (0.8 + ((size(paragraph) < body.size) ? 0.07 : 0) + ((traits(paragraph).words >= 40) ? 0.08 : 0)).round(2)
        end

        # One for all text of a look and a length. A few words that are no sentence may be anything.
        def text(paragraph)
          set = letters(paragraph)
          alike = set[:size] == body.size && set[:bold] == body.bold?
          sure = base(paragraph) + (alike ? 0.0 : -0.2)
          return led(paragraph, sure) if led?(paragraph)
          ((@texts ||= {}.compare_by_identity)[set] ||= {})[sure] ||=
            Suggestion.new("body", sure.round(2), [alike ? "looks like most of the text" : "reads like text"].freeze)
        end

        # A few words set apart before the text runs on: a heading in the line of its text, or a lead-in.
        def led?(paragraph)
          return false if paragraph.ways.size < 2 || traits(paragraph).words < 8
          first, second = paragraph.letters
          !second.nil? && first.words.match?(/[.:—–]\s*\z/) && apart?(first, paragraph) &&
            first.words.split.size <= 8 && !apart?(second, paragraph)
        end

        def apart?(run, paragraph)
          seen = document.run_look(run, paragraph)
          (seen[:bold] && !body.bold?) || (seen[:italic] && !body.italic?) || seen[:small_caps]
        end

        def led(paragraph, sure)
          put(paragraph, "body", sure.round(2), "reads like text", "begins with a lead-in that is set apart")
        end

        def base(paragraph)
          seen = traits(paragraph)
          return @draft.shown? ? 0.98 : 0.89 if seen.words >= 15
          return 0.9 if seen.sentence? || seen.text.end_with?(":") || seen.begins_small?
          (seen.words > 8) ? 0.8 : 0.68
        end
      end
    end
  end
end
