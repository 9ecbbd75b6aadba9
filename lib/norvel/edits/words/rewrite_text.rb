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
        found = matches.map { |range| places[range].compact }
        firsts = found.to_h { |own| [own.first, true] }
        cut(paragraph, found.flatten.to_h { |place| [place, firsts.key?(place) ? with : ""] })
      end

      # The paragraph with other texts at some places: {position in the raw text => text instead}.
      def cut(paragraph, changes)
        return paragraph if changes.empty?
        left = changes.sort
        from = 0
        runs = paragraph.runs.filter_map do |run|
          upto = from + run.text.size
          own = left.take_while { |place, _| place < upto }
          left.shift(own.size)
          text = rewritten(run.text, own.map { |place, instead| [place - from, instead] })
          from = upto
          next run if text == run.text
          run.with(text:) unless text.empty?
        end
        paragraph.with(runs: runs.freeze, anchors: moved(paragraph.anchors, changes))
      end

      # A text with others at some of its places, in order: [[place, text instead], …].
      def rewritten(text, changes)
        return text if changes.empty?
        done = 0
        made = changes.map { |place, instead| text[done...place] + instead.tap { done = place + 1 } }
        made.join + text[done..]
      end

      # Anchors where their letters stand now.
      def moved(anchors, changes)
        return anchors if anchors.empty?
        grown = changes.map { |place, text| [place, text.size - 1] }
        anchors.map { |anchor| anchor.at(anchor.place + grown.sum { |place, size| (place < anchor.place) ? size : 0 }) }
          .freeze
      end

      # The ranges of a pattern's matches.
      def matches(text, pattern)
        text.to_enum(:scan, pattern).map { (match = Regexp.last_match).begin(0)...match.end(0) }
      end

      private_class_method :rewritten, :moved, :matches
    end
  end
end
