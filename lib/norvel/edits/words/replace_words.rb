# frozen_string_literal: true

module Norvel
  module Edits
    # Puts other words in the place of those that were found, each in the look of the first letter it stands for. Only
    # the places that are given change; images, notes and computed text stay.
    class ReplaceWords < Edit
      # places: [[paragraph id, places of letters in its raw text, the text instead], …]; sought, with: for the title
      def initialize(places, sought:, with:)
        @places = places
        @sought = sought
        @with = with
      end

      def change(document)
        raise Refused, "Tick a place first." if @places.empty?
        document.replace(@places.group_by(&:first).map { |id, list| replaced(document.paragraph(id), list) })
      end

      def title(_document)
        with = @with.empty? ? "nothing" : "“#{short(@with)}”"
        "Replace #{@sought.empty? ? "words" : "“#{short(@sought)}”"} by #{with} at #{count(@places.size, "place")}"
      end

      def changes_text?
        true
      end

      private

      def replaced(paragraph, list)
        changes = list.flat_map { |_, places, text|
          places.each_with_index.map { |place, at| [place, at.zero? ? Characters.typed(text) : ""] }
        }.to_h
        RewriteText.cut(paragraph, changes)
      end

      def short(text)
        (text.size > 40) ? "#{text[0, 39]}…" : text
      end
    end
  end
end
