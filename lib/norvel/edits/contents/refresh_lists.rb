# frozen_string_literal: true

module Norvel
  module Edits
    # Brings every contents list and list of captions up to date, until none of them makes another stale.
    class RefreshLists < Edit
      ROUNDS = 3

      def change(document)
        raise Refused, "There is no list in this document." if Structure::ContentsLists.in(document).empty?
        ROUNDS.times do
          stale = stale(document)
          return document if stale.empty?
          document = stale.inject(document) { |now, number| RefreshContents.new(number).change(now) }
        end
        document
      end

      def title(document)
        "Bring #{count(Structure::ContentsLists.in(document).size, "list")} up to date"
      end

      def changes_text?
        true
      end

      def changes_objects?
        true
      end

      private

      # Numbers of the lists that say something else than they should, and have something to say.
      def stale(document)
        Layout.of(document)
        lists = Structure::ContentsLists.new(document)
        lists.lists.each_index.select { |number|
          lists.stale(lists.lists[number]).positive? && lists.wanted(lists.lists[number]).any?
        }
      end
    end
  end
end
