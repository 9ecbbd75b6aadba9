# frozen_string_literal: true

module Norvel
  module Formats
    # Places with names that paragraphs have got and that a story had not when it came; those that it had are moved
    # where they stand.
    class NewBookmarks
      # story: Document or Story as it came
      def initialize(story)
        @story = story
      end

      # The edges that a paragraph has got, [Document::Bookmark, …].
      def of(was, now)
        added = (now.anchors.map(&:object) - was.anchors.map(&:object)).grep(Document::Bookmark)
        added.reject { |mark| known[mark.id] }
      end

      private

      def known
        @known ||= @story.paragraphs.reject(&:plain?).flat_map { |one|
          one.anchors.map(&:object).grep(Document::Bookmark).map(&:id)
        }.to_h { |id| [id, true] }
      end
    end
  end
end
