# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # What a person decided, and what the author said already by a style. A long text in a heading's style is not a
      # heading all the same.
      class ByStyle < Finder
        def find
          document.paragraphs.each do |paragraph|
            next put(paragraph, "blank", 1.0, "nothing in it") if paragraph.blank?
            decided = document.decisions[paragraph.id]
            next put(paragraph, decided, 1.0, "you said so") if decided && decided != Document::NO_HEADING
            by_style(paragraph, barred: !decided.nil?)
          end
        end

        private

        def by_style(paragraph, barred:)
          role = StyleRoles.telling(document, paragraph) or return
          return if role.start_with?("heading", "title") && (barred || paragraph.word_count > 40)
          return if role == "table_text" && paragraph.part == :table && traits(paragraph).caption &&
            traits(paragraph).words > 3
          put(paragraph, role, 0.97, "its style says so")
        end
      end
    end
  end
end
