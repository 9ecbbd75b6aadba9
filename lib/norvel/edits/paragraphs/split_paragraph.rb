# frozen_string_literal: true

module Norvel
  module Edits
    # Makes two paragraphs of one, both with its formatting. The part that holds images, notes or fields stays the
    # paragraph that the file knows; when both do, it can't be split there.
    class SplitParagraph < Edit
      # at: a position in the paragraph's raw text
      def initialize(id, at)
        @id = id
        @at = at
      end

      def change(document)
        paragraph = document.paragraph(@id)
        raise Refused, "There is nothing to split at this place." unless @at.between?(1, paragraph.raw_text.size - 1)
        parts = divide(paragraph)
        places = anchors(paragraph)
        special = parts.zip(places).map do |runs, anchors|
          anchors.any? { |anchor| !anchor.object.is_a?(Document::Bookmark) } || runs.any? { |run| special?(run) }
        end
        first_known = special.first || !special.last
        if special.all?
          raise Refused, "Images, notes, fields or links stand on both sides of this place, so the paragraph can't " \
            "be split here."
        end
        first_known = false if paragraph.holds && !special.first
        if paragraph.holds == :section_break && special.first
          raise Refused, "A section ends in this paragraph and an image, note or field stands before this place, so " \
            "it can't be split here."
        end
        places = with_bookmarks(places, parts.first.sum { |run| run.text.size }, first_known)
        position = document.text_position(@id)
        document.with(paragraphs: document.paragraphs.dup
          .tap { |list| list[position, 1] = both(paragraph, parts.zip(places), first_known, document.next_id) }.freeze)
      end

      def title(document)
        "Split paragraph #{document.text_position(@id) + 1}"
      end

      def removes_white_space?
        true
      end

      def changes_text?
        true # a word may be split
      end

      private

      def divide(paragraph)
        from = 0
        paragraph.runs.each_with_object([[], []]) do |run, (first, second)|
          cut = (@at - from).clamp(0, run.text.size)
          first << run.slice(0, cut) if cut.positive?
          second << run.slice(cut, run.text.size - cut) if cut < run.text.size
          from += run.text.size
        end
      end

      def special?(run)
        run.carried || run.spans || run.text.match?(/[\f\v]/)
      end

      # What stands between the letters of each half, by places in it.
      def anchors(paragraph)
        first, second = paragraph.anchors.partition { |anchor| anchor.place <= @at }
        [first, second.map { |anchor| anchor.at(anchor.place - @at) }]
      end

      # Bookmarks stay in the paragraph that the file knows: those of the other half stand at its edge.
      def with_bookmarks(places, cut, first_known)
        kept, other = first_known ? places : places.reverse
        moving, staying = other.partition { |anchor| anchor.object.is_a?(Document::Bookmark) }
        moved = moving.map { |anchor| anchor.at(first_known ? cut : 0) }
        first_known ? [kept + moved, staying] : [staying, moved + kept]
      end

      # The half that holds what the file knows stays the paragraph that it knows.
      def both(paragraph, halves, first_known, id)
        halves.each_with_index.map do |(runs, anchors), half|
          known = half.zero? == first_known
          next paragraph.with(runs: runs.freeze, anchors: anchors.freeze) if known
          paragraph.with(id:, source: nil, holds: nil, runs: runs.map { |run| run.with(source: nil) }.freeze,
            anchors: anchors.freeze)
        end
      end
    end
  end
end
