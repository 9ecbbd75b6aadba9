# frozen_string_literal: true

module Norvel
  module Edits
    # Takes ranges of characters out of a paragraph, or puts a space for them, across its runs.
    module RewriteText
      module_function

      # +ranges+: of positions in the paragraph's raw text, in order; +with+: what stands in their place.
      def cut(paragraph, ranges, with: "")
        return paragraph if ranges.empty?
        from = 0
        runs = paragraph.runs.filter_map do |run|
          text = +""
          run.text.each_char.with_index(from) do |char, position|
            range = ranges.find { |r| r.cover?(position) }
            text << (if range
                       (position == range.begin) ? with : ""
                     else
                       char
            end)
          end
          from += run.text.size
          next run if text == run.text
          run.with(text:) unless text.empty?
        end
        paragraph.with(runs: runs.freeze)
      end

      # The ranges of a pattern's matches.
      def matches(text, pattern)
        text.to_enum(:scan, pattern).map { (match = Regexp.last_match).begin(0)...match.end(0) }
      end
    end
  end
end
