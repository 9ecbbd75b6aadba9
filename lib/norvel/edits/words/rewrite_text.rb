# frozen_string_literal: true

module Norvel
  module Edits
    # Takes characters out of a paragraph, or puts something in their place, across its runs. What has no text of its
    # own (the sign of a field, a comment) stays where it stands, whatever goes around it.
    module RewriteText
      module_function

      # The paragraph without what the pattern matches in its seen text; +with+: what stands there instead.
      #   RewriteText.replace(paragraph, / {2,}/, with: " ")
      def replace(paragraph, pattern, with: "")
        matches = matches(paragraph.seen_text, pattern)
        return paragraph if matches.empty?
        places = paragraph.seen_places
        firsts = matches.to_h { |range| [places[range.begin], true] }
        cut(paragraph, matches.flat_map { |range| places[range] }
          .to_h { |place| [place, firsts.key?(place) ? with : ""] })
      end

      # The paragraph with other texts at some places: {position in the raw text => text instead}.
      def cut(paragraph, changes)
        return paragraph if changes.empty?
        from = 0
        runs = paragraph.runs.filter_map do |run|
          text = run.text.each_char.with_index(from).map { |char, place| changes.fetch(place, char) }.join
          from += run.text.size
          next run if text == run.text
          run.with(text:) unless text.empty?
        end
        paragraph.with(runs: runs.freeze, anchors: moved(paragraph.anchors, changes))
      end

      # Anchors where their letters stand now.
      def moved(anchors, changes)
        grown = changes.map { |place, text| [place, text.size - 1] }
        anchors.map { |anchor| anchor.at(anchor.place + grown.sum { |place, size| (place < anchor.place) ? size : 0 }) }
          .freeze
      end

      # The ranges of a pattern's matches.
      def matches(text, pattern)
        text.to_enum(:scan, pattern).map { (match = Regexp.last_match).begin(0)...match.end(0) }
      end
    end
  end
end
