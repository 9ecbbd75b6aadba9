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
          why = (needed.holds == :section_break) ? "a section of the document ends in it" : "its cell or box needs it"
          raise Refused, "Paragraph #{document.position(needed.id) + 1} can't go: #{why}."
        end
        refuse_half_fields(going.values)
        document.without(going.keys)
      end

      def title(_document)
        "Delete #{count(@ids.size)}"
      end

      def changes_text?
        true
      end

      def changes_objects?
        true
      end

      private

      # A field that begins in one paragraph and ends in another (a contents list) goes whole or not at all.
      def refuse_half_fields(going)
        objects = going.flat_map { |paragraph| paragraph.runs.flat_map(&:objects) }
        ends = objects.count { |object| object.is_a?(Document::FieldPart) && object.role == "end" }
        begins = objects.count { |object| object.is_a?(Document::Field) && object.cached }
        return if begins == ends
        raise Refused, "A field such as a contents list begins or ends here and goes on elsewhere: " \
          "select all of it, or leave it."
      end
    end
  end
end
