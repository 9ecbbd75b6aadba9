# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Entries of a list of works, by their form: an author, a year, a hanging indent, in a row, under a heading of
      # such lists. Prose under such a heading is prose.
      class References < Finder
        WORDS = 90 # of an entry
        ROW = 3 # entries in a row need no heading

        def find
          under = under_heading
          return if worded.none? { |one| Traits::YEAR.match?(one.text) }
          rows(left(WORDS).select { |one| one.part == :body }, 1) { |paragraph| entry?(paragraph) }.each do |row|
            headed = under[row.first.id]
            next unless row.size >= ROW || headed
            next if !headed && row.count { |paragraph| traits(paragraph).reference? } * 2 < row.size
            row.each { |paragraph| settle(paragraph, headed) }
          end
        end

        private

        def entry?(paragraph)
          seen = traits(paragraph)
          return true if seen.reference?
          seen.words.between?(3, 60) && !seen.heading_word? && !stands_alone?(paragraph) &&
            (hanging?(paragraph) || in_form?(seen))
        end

        def stands_alone?(paragraph)
          stands_out?(paragraph) && traits(paragraph).words <= 6
        end

        def hanging?(paragraph)
          look(paragraph)[:first_line] <= -9 && !look(paragraph)[:list] && !traits(paragraph).bullet? &&
            traits(paragraph).kind.nil?
        end

        # A year, and stops as between title, place and house.
        def in_form?(seen)
          Traits::YEAR.match?(seen.text) && seen.text.scan(/[.,:]\s/).size >= 2 && !seen.label? && seen.words <= 45 &&
            seen.text.match?(/\A(?:\[\d+\]\s*|[“"«„])?[[:upper:]]/)
        end

        # {id => true} of what stands under a heading of works, up to the next line that looks like a heading.
        def under_heading
          inside = false
          worded.each_with_object({}) do |paragraph, ids|
            if heading_like?(paragraph) then inside = traits(paragraph).references_word?
            elsif inside then ids[paragraph.id] = true
            end
          end
        end

        def heading_like?(paragraph)
          seen = traits(paragraph)
          return true if role(paragraph)&.start_with?("heading")
          return false if seen.words > 12 || seen.reference? || seen.bullet?
          seen.heading_word? || (stands_out?(paragraph) && seen.short?)
        end

        def settle(paragraph, headed)
          reasons = ["reads like an entry", ("under a heading for references" if headed), "among entries"].compact
          put(paragraph, "reference_entry", (headed || traits(paragraph).reference?) ? 0.93 : 0.78, *reasons)
        end
      end
    end
  end
end
