# frozen_string_literal: true

module Norvel
  module Edits
    # Makes paragraphs of what line breaks divide where these stand for the end of one. A break that can't be split at,
    # since objects stand on both sides, stays.
    class SplitAtBreaks < Edit
      MOST = 100 # breaks of a paragraph with objects in it, which are split at one by one

      def initialize(ids)
        @ids = ids
      end

      def change(document)
        bare, special = chosen(document, @ids).partition { |one| one.plain? && one.holds.nil? }
        special.inject(divided(document, bare)) { |now, paragraph| one_by_one(now, paragraph.id) }
      end

      def title(document)
        breaks = chosen(document, @ids).sum { |paragraph| places(document, paragraph).size }
        "Make paragraphs at #{count(breaks, "line break")}"
      end

      def removes_white_space?
        true
      end

      private

      def places(document, paragraph)
        Survey::LineBreaks.of(paragraph, Survey.role(document, paragraph)).select { |_, kind| kind == :paragraph }.keys
      end

      # Paragraphs of letters alone, all at once.
      def divided(document, paragraphs)
        id = document.next_id - 1
        parts = paragraphs.each_with_object({}) do |paragraph, found|
          places = places(document, paragraph)
          next if places.empty?
          pieces = pieces(paragraph, places)
          others = pieces.drop(1).map { |runs| paragraph.with(id: id += 1, source: nil, runs:) }
          found[paragraph.id] = [paragraph.with(runs: pieces.first), *others]
        end
        document.with(paragraphs: document.paragraphs.flat_map { |one| parts.fetch(one.id, [one]) }.freeze)
      end

      # The runs between these places, at each of which a letter goes: [[Run, …], …]
      def pieces(paragraph, places)
        pieces, left, from = [[]], places.dup, 0
        paragraph.runs.each do |run|
          done, upto = 0, from + run.text.size
          while left.any? && left.first < upto
            cut = left.shift - from
            pieces.last << run.slice(done, cut - done) if cut > done
            pieces << []
            done = cut + 1
          end
          pieces.last << (done.zero? ? run : run.slice(done, run.text.size - done)) if done < run.text.size
          from = upto
        end
        pieces.each_with_index.map { |runs, at| runs.map { |run| at.zero? ? run : run.with(source: nil) }.freeze }
      end

      # From the last break to the first, so that the places before it stay.
      def one_by_one(document, id)
        places(document, document.paragraph(id)).last(MOST).reverse.inject(document) do |now, place|
          paragraph = now.paragraph(id)
          at = paragraph.seen_places[place]
          split(now.replace([RewriteText.cut(paragraph, {at => ""})]), id, at) || now
        end
      end

      def split(document, id, at)
        SplitParagraph.new(id, at).change(document)
      rescue Refused
        nil
      end
    end
  end
end
