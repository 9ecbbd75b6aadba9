# frozen_string_literal: true

module Norvel
  module Edits
    # Takes numbers away that were typed before headings, where the number that is counted says the same: a reader sees
    # what was there before, once. A typed number that differs from the counted one stays, since one of the two is
    # wrong.
    class TakeTypedNumbers < Edit
      # "1.2 ", "Chapter 3: ", "IV. ", "Appendix B – "
      PREFIX = /\A[\s\u00A0]*
        (?<typed>
          (?:[[:alpha:]]+[\s\u00A0]+)?(?:\d{1,3}(?:\.\d{1,3})*(?=[.):\s\u00A0])|(?:[IVXLC]{1,6}|[A-Z])(?=[.):]))|
          [[:alpha:]]+[\s\u00A0]+(?:[IVXLC]{1,6}|[A-Z])(?=[\s\u00A0])
        )
        [.):]?[\s\u00A0–—-]+(?=\S)/x

      # Paragraphs whose typed number is the one that is counted.
      def self.places(document)
        document.paragraphs.select do |paragraph|
          marker = document.markers[paragraph.id] or next
          match = PREFIX.match(paragraph.seen_text) or next
          bare(match[:typed]) == bare(marker)
        end
      end

      # A number without what stands after it, whatever its case.
      def self.bare(number)
        number.downcase.tr("\u00A0", " ").squeeze(" ").sub(/[.):]\z/, "").strip
      end

      def change(document)
        document.replace(self.class.places(document).map { |paragraph| RewriteText.replace(paragraph, PREFIX) })
      end

      def title(document)
        "Take #{count(self.class.places(document).size, "typed number")} away that are counted"
      end

      def changes_text?
        true
      end
    end
  end
end
