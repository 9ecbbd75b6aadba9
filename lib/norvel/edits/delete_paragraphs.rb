# frozen_string_literal: true

module Norvel
  module Edits
    # Deletes paragraphs with their words.
    class DeleteParagraphs < Edit
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        going = chosen(document, @ids).to_h { |paragraph| [paragraph.id, paragraph] }
        needed = going.each_value.find { |paragraph| %i[section_break last_in_cell].include?(paragraph.holds) }
        if needed
          raise Refused, "Paragraph #{document.position(needed.id) + 1} can't go: #{(needed.holds == :section_break) ? "a section of the document ends in it" : "its cell or box needs it"}."
        end
        document.with(paragraphs: document.paragraphs.reject { |paragraph| going[paragraph.id] }.freeze)
      end

      def title(_document)
        "Delete #{count(@ids.size)}"
      end

      def changes_text?
        true
      end
    end
  end
end
