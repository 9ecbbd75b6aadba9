# frozen_string_literal: true

module Norvel
  class Document
    # What a document holds besides text, for its seal: each thing by a key that an edit has no business to change. What
    # stands in the line counts in order, places with names (bookmarks, the words of comments) wherever they stand.
    class Inventory
      # The Inventory of a document.
      def self.of(document)
        new(document)
      end

      # {kind => [keys …]}
      attr_reader :things

      def initialize(document)
        @things = Hash.new { |all, kind| all[kind] = [] }
        document.everything.each { |paragraph| count(paragraph) unless paragraph.plain? }
        grid(document.paragraphs, document.tables)
        document.stories.each { |story| grid(story.paragraphs, story.tables) }
        %i[bookmark comment_range].each { |kind| @things[kind].sort! if @things.key?(kind) }
        @things.default = nil
      end

      # {image: 3, note_mark: 12, …}
      def counts
        things.transform_values(&:size)
      end

      # One digest a kind: {image: "…"}
      def digests
        things.transform_values { |keys| Digest::SHA256.hexdigest(keys.join("\n")) }
      end

      private

      def count(paragraph)
        last = []
        left = paragraph.anchors.dup
        length = 0
        paragraph.runs.each do |run|
          add(left.shift.object) while left.any? && left.first.place <= length
          run.objects.each { |object| add(object) }
          (run.within - last).each { |span| add(span) }
          last = run.within
          length += run.text.size
        end
        left.each { |anchor| add(anchor.object) }
      end

      def add(object)
        @things[object.kind] << object.key if object.kind
      end

      # Tables and cells that text stands in.
      def grid(paragraphs, tables)
        return if tables.empty?
        used = paragraphs.filter_map(&:container).to_h { |id| [id, true] }
        tables.each do |table|
          cells = table.cells.count { |cell| used[cell.id] }
          next if cells.zero?
          @things[:table] << table.rows.size
          @things[:cell].concat([nil] * cells)
        end
      end
    end
  end
end
