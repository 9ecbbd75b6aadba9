# frozen_string_literal: true

module Norvel
  module Edits
    # Several edits as one change, taken back as one.
    class Several < Edit
      # In the order that they are done.
      attr_reader :edits

      def initialize(edits, title: nil)
        @edits = edits
        @title = title
      end

      def change(document)
        @edits.inject(document) { |now, edit| edit.change(now) }
      end

      def title(document)
        @title || @edits.first.title(document)
      end

      def details(document)
        return [] if @edits.size < 2
        @edits.map do |edit|
          edit.title(document).tap { document = edit.change(document) }
        end
      end

      def removes_white_space?
        @edits.any?(&:removes_white_space?)
      end

      def changes_text?
        @edits.any?(&:changes_text?)
      end

      def changes_objects?
        @edits.any?(&:changes_objects?)
      end

      def changes_heads?(document)
        @edits.any? { |edit| edit.changes_heads?(document) }
      end

      def rewrites(document)
        @edits.flat_map { |edit| edit.rewrites(document) }
      end

      def signs_counted(document)
        @edits.flat_map { |edit| edit.signs_counted(document) }
      end

      def kinds_changed(document)
        @edits.flat_map { |edit| edit.kinds_changed(document) }.uniq
      end
    end
  end
end
