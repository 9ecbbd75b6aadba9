# frozen_string_literal: true

module Norvel
  module Edits
    # Places with names (bookmarks) that links and references can lead to: those that paragraphs have, and new ones.
    class Bookmarks
      STEM = "_Entry" # a name that begins so is not shown among a person's own

      def initialize(document)
        @document = document
        @anchored = {}
      end

      # The name of a place that is this paragraph as a whole.
      def name(paragraph)
        paragraph = @anchored.fetch(paragraph.id, paragraph)
        found = paragraph.anchors.find { |anchor| anchor.place.zero? && starts?(anchor.object) } and
          return found.object.name
        add(paragraph)
      end

      # The document with the places that were made.
      def document
        @document.replace(@anchored.values)
      end

      private

      def starts?(object)
        object.is_a?(Document::Bookmark) && object.edge == "start" && object.name.to_s.start_with?("_")
      end

      def add(paragraph)
        number = @next = (@next || greatest) + 1
        name = "#{STEM}#{number}"
        id = @document.conventions.bookmarks_numbered ? number.to_s : name
        edges = [[0, "start", name], [paragraph.raw_text.size, "end", nil]].map do |at, edge, said|
          Document::Anchor.new(at, Document::Bookmark.new(id:, edge:, name: said))
        end
        @anchored[paragraph.id] = paragraph.with(anchors: (edges.first(1) + paragraph.anchors + edges.last(1)).freeze)
        name
      end

      # The greatest number among ids and names that are taken.
      def greatest
        taken = @document.everything.reject(&:plain?).flat_map { |one| one.anchors.map(&:object) }
          .grep(Document::Bookmark)
        taken.flat_map { |mark| [mark.id, mark.name.to_s[/\A#{STEM}(\d+)\z/o, 1]] }.map(&:to_i).max || 0
      end
    end
  end
end
