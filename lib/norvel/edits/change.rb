# frozen_string_literal: true

module Norvel
  module Edits
    # What an edit did, with all that takes it back. It is the difference of two documents, so every edit has its way
    # back.
    #   title        for the ledger
    #   splices      [[position, paragraphs before, paragraphs after], …], positions in the document after,
    #                from the end
    #   others       {styles: [before, after], sections: …, info: …}
    class Change
      OTHERS = (Document::CHANGING - [:paragraphs]).freeze

      attr_reader :title, :splices, :others, :after, :words_changed

      # The Change that makes one state of a document of another.
      def self.between(before, after, title:)
        others = OTHERS.to_h { |field| [field, [before.public_send(field), after.public_send(field)]] }
          .reject { |_, (was, now)| was.equal?(now) || was == now }
        new(title:, splices: splices(before.paragraphs, after.paragraphs), others:, after:,
          words_changed: Seal.of(before).words != Seal.of(after).words)
      end

      # Stretches that differ, found by identity first: paragraphs are values that are shared when untouched.
      def self.splices(old, new)
        places = new.each_with_index.to_h { |paragraph, position| [paragraph.id, position] }
        found = []
        from_old = from_new = 0
        while from_old < old.size || from_new < new.size
          if from_old < old.size && from_new < new.size && old[from_old].equal?(new[from_new])
            from_old += 1
            from_new += 1
            next
          end
          to_old, to_new = next_common(old, new, from_old, from_new, places)
          found << [from_new, old[from_old...to_old], new[from_new...to_new]]
          from_old, from_new = to_old, to_new
        end
        found
      end

      # The nearest place from which both go on with the same paragraph.
      def self.next_common(old, new, from_old, from_new, places)
        (from_old...old.size).each do |position|
          other = places[old[position].id]
          return [position, other] if other && other >= from_new && new[other].equal?(old[position])
        end
        [old.size, new.size]
      end
      private_class_method :next_common

      def initialize(title:, splices:, others:, after: nil, words_changed: false)
        @title = title
        @splices = splices
        @others = others
        @after = after
        @words_changed = words_changed
      end

      # Paragraphs it touched, of the text and beside it.
      def count
        splices.sum { |_, old, new| [old.size, new.size].max } + beside.values.sum
      end

      # Those beside the text by where they stand: {"footnote" => 3}.
      def beside
        was, now = others[:stories]
        return {} unless was && now
        came = was.to_h { |story| [story.key, story.paragraphs] }
        now.each_with_object(Hash.new(0)) do |story, sums|
          before = came.fetch(story.key, [])
          changed = story.paragraphs.each_with_index.count { |paragraph, place| !paragraph.equal?(before[place]) }
          sums[story.kind] += changed if changed.positive?
        end
      end

      # Does it change nothing?
      def nothing?
        splices.empty? && others.empty?
      end

      # The document as it was. +document+ must be the one the change led to.
      def take_back(document)
        paragraphs = document.paragraphs.dup
        splices.reverse_each { |position, old, new| paragraphs[position, new.size] = old }
        document.with(paragraphs: paragraphs.freeze, **others.transform_values(&:first))
      end
    end
  end
end
