# frozen_string_literal: true

module Norvel
  module Edits
    # A change to a document that can be looked at first, made, and taken back. A subclass answers change and title,
    # and, where it may, removes_white_space?, changes_text?, changes_heads?, rewrites, signs_counted, changes_objects?
    # or kinds_changed; details(document) where it does many things.
    class Edit
      # The document as it would be, the same for the same document. Raises Refused.
      def change(_document)
        raise NotImplementedError
      end

      # What a person reads in the ledger: "Put 3 paragraphs in Heading 2".
      def title(_document)
        raise NotImplementedError
      end

      # Makes the change under the seal. Raises Refused, BrokenSeal.
      def apply(document)
        after = change(document)
        check_seal(document, after)
        Change.between(document, after, title: title(document))
      end

      # What a bulk change does, by kind: ["Put 256 paragraphs in Body Text", …]; nothing where the title says it all.
      def details(_document)
        []
      end

      # What it would touch, without touching it.
      def preview(document)
        Preview.new(document, change(document), title(document))
      end

      # May white space go or become other white space?
      def removes_white_space?
        false
      end

      # May words change? Only for edits whose purpose that is.
      def changes_text?
        false
      end

      # May images, notes and fields go? Only for edits that take out whole paragraphs, or put some in.
      def changes_objects?
        false
      end

      # May words of running heads and feet change? Those of the text are proven the same without them.
      def changes_heads?(_document)
        false
      end

      # Ids of paragraphs in whose place it puts others: only the rest is proven the same.
      def rewrites(_document)
        []
      end

      # Ids of paragraphs whose typed sign a list counts from now on: they are proven the same without it.
      def signs_counted(_document)
        []
      end

      # Kinds of objects that may change alone: [:field] for numbers that are computed from now on.
      def kinds_changed(_document)
        []
      end

      private

      # Words whose letters a person types anew may leave a link.
      def check_seal(before, after)
        seals = Proof.new([self], before, after).seals
        lost = lost_words(*seals) || lost_objects(*seals, kinds_changed(before))
        raise BrokenSeal, "“#{title(before)}” would have changed #{lost}, so it was not done." if lost
      end

      def lost_words(before, after)
        return if changes_text?
        kept = removes_white_space? ? before.same_words?(after) : before.exact == after.exact
        "words" unless kept
      end

      def lost_objects(before, after, changed)
        return if changes_objects? || before.same_objects?(after, but: changes_text? ? [:link, *changed] : changed)
        before.kind_lost_in(after)
      end

      def count(number, noun = "paragraph")
        Quantity.words(number, noun)
      end

      # Runs without those that were emptied; what holds something stays.
      def filled(runs)
        runs.reject { |run| run.text.empty? && run.carried.nil? }.freeze
      end

      AGREED = 0.9 # of a style's paragraphs, for what they have by hand to become the style's

      # Do nearly all that stand in a style, other than the file's base style, have what these have?
      def agreed?(document, style, paragraphs)
        return false if style.nil? || document.styles[style].equal?(document.styles.default)
        worn = document.paragraphs.count { |one| !one.blank? && document.style_of(one)&.id == style }
        paragraphs.size >= AGREED * worn
      end

      # A paragraph that has a value of its own.
      def set_directly(document, paragraph, name, value)
        bare = document.look(paragraph.with(direct: paragraph.direct.without(*Styles::Properties.slots_of(name))))
        paragraph.with(direct: Setting.put(paragraph.direct, name, value, bare))
      end

      def chosen(document, ids)
        raise Refused, "Nothing is selected." if ids.empty?
        ids.map { |id| document.paragraph(id) }
      end
    end
  end
end
