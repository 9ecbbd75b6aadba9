# frozen_string_literal: true

module Norvel
  module Edits
    # Puts a contents list with real entries in the place of one that was typed; what stands over it stays.
    class ReplaceTypedContents < PutInContents
      # ids: of the typed entries, in a row
      def initialize(ids, levels: 3)
        super(ids.first, levels:)
        @ids = ids
      end

      def change(document)
        @gone = chosen(document, @ids)
        held = @gone.find { |one| !one.removable? && !one.equal?(@gone.last) }
        raise Refused, "An entry holds something that can't go with it: look at paragraph #{held.id}." if held
        super
      end

      def title(_document)
        "Put a contents list in the place of #{count(@ids.size, "typed entry")}"
      end

      # What it says is said anew; all else is proven the same.
      def changes_text?
        false
      end

      def changes_objects?
        false
      end

      def rewrites(_document)
        @ids
      end

      def kinds_changed(_document)
        [:bookmark]
      end

      # A break that ended a page or section after the list does so still.
      def removes_white_space?
        true
      end

      private

      def with_list(document, following, labels)
        made = super
        going = @ids.to_h { |id| [id, true] }
        made.with(paragraphs: made.paragraphs.reject { |one| going[one.id] }.freeze)
      end

      def place(document, following)
        Place.new(document.text_position(@before), following.section, begins_page?(document), false)
      end

      def begins_page?(document)
        document.look(@gone.first)[:page_break_before]
      end

      # Where the last entry ended a page or a section, the last of the list does.
      def around(document, place, list, id)
        *before, tail = super
        breaks = [Document::Run.new("\f", nil, NOTHING)] if @gone.last.raw_text.include?("\f")
        [*before, tail.with(runs: [*tail.runs, *breaks].freeze, holds: @gone.last.holds)]
      end
    end
  end
end
