# frozen_string_literal: true

module Norvel
  class Guide
    # A plan carried out: every safe mend of a guide as one change, taken back as one.
    class MendSafe < Edits::Edit
      # plan: one that was worked out already, done where it is of the same document; choices: as of Guide::Plan, only,
      # without, with
      def initialize(guide, plan: nil, **choices)
        @guide = guide
        @plan = plan
        @choices = choices
      end

      def change(document)
        plan(document).after
      end

      # What each part did.
      def details(document)
        plan(document).done.flat_map(&:titles).tally
          .map { |title, times| (times == 1) ? title : "#{title}, #{times} times" }
      end

      def title(document)
        sure = @guide.none? ? "Clean up what is sure" : "Mend all that is safe by #{@guide.name}"
        sure += ", of what was chosen" if @choices[:among]
        asked = plan(document).done.count { |part| !part.mend.safe }
        return sure if asked.zero?
        "#{sure}, and #{Quantity.words(asked, "part")} that #{(asked == 1) ? "asks" : "ask"} first"
      end

      def removes_white_space?
        true
      end

      # Only where a mend that asks first was taken in: a part that is missing is put in with its heading.
      def changes_text?
        @plan ? @plan.all_edits.any?(&:changes_text?) : false
      end

      def changes_objects?
        @plan ? @plan.all_edits.any?(&:changes_objects?) : false
      end

      def changes_heads?(document)
        plan(document).all_edits.any? { |edit| edit.changes_heads?(document) }
      end

      def rewrites(document)
        plan(document).all_edits.flat_map { |edit| edit.rewrites(document) }
      end

      def signs_counted(document)
        plan(document).all_edits.flat_map { |edit| edit.signs_counted(document) }
      end

      def kinds_changed(document)
        plan(document).all_edits.flat_map { |edit| edit.kinds_changed(document) }.uniq
      end

      # Worked out once for a document, since the change, its details and the page that shows it come from it.
      def plan(document)
        return @plan if @plan&.before.equal?(document)
        @plan = Guide::Plan.new(@guide, document, **@choices)
      end
    end
  end
end
