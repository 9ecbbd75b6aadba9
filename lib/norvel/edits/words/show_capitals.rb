# frozen_string_literal: true

module Norvel
  module Edits
    # Types words that were typed in capitals as the document writes them elsewhere, and lets their style show them in
    # capitals, so that they print the same.
    class ShowCapitals < Edit
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        usual = Survey::UsualCase.new(document)
        shown = shown(document, chosen(document, @ids))
        shown.replace(@ids.map { |id| retyped(shown.paragraph(id), usual) })
      end

      def title(_document)
        "Type #{count(@ids.size, "heading")} in small letters and show them in capitals by their style"
      end

      def changes_text?
        true
      end

      private

      def shown(document, paragraphs)
        left = paragraphs.reject { |one| document.letter_look(one)[:caps] }
        left.group_by { |one| document.style_of(one) }.inject(document) do |now, (style, list)|
          next by_hand(now, list) if style.nil?
          ChangeStyleFor.new(style.id, {caps: true}, list.map(&:id), apart: style.default).change(now)
        end
      end

      # Where the file has no styles at all.
      def by_hand(document, list)
        ChangeCase.new(list.map(&:id), "capitals").change(document)
      end

      def retyped(paragraph, usual)
        from = 0
        text = usual.typed(paragraph.raw_text)
        runs = paragraph.runs.map do |run|
          own = text[from, run.text.size]
          from += run.text.size
          (own == run.text) ? run : run.with(text: own)
        end
        paragraph.with(runs: runs.freeze)
      end
    end
  end
end
