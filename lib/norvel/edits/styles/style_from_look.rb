# frozen_string_literal: true

module Norvel
  module Edits
    # Makes a style from the look that paragraphs have and puts them in it; what they had by hand is the style's now.
    class StyleFromLook < Edit
      # The values in which the look of most of these paragraphs differs from the default style's.
      def self.values(document, ids)
        paragraph = ids.map { |id| document.paragraph(id) }.group_by { |p| [document.look(p), document.letter_look(p)] }
          .max_by { |_, list| list.size }.last.first
        base = document.sheet.default
        {paragraph: document.look(paragraph), run: document.letter_look(paragraph)}.flat_map do |place, look|
          look.differences(document.cascade.of_style(base, place), place).map do |property|
            [property.name, look[property.name]]
          end
        end.to_h.except(:outline_level)
      end

      # ids: paragraphs of one look; name: of the new style
      def initialize(ids, name)
        @ids = ids
        @name = name
      end

      def change(document)
        chosen(document, @ids)
        made = DefineStyle.new(@name, values: self.class.values(document, @ids)).change(document)
        AssignStyle.new(@ids, made.sheet.named(@name.to_s.strip).id, clear: :emphasis_kept).change(made)
      end

      def title(_document)
        "Make the style #{@name} from #{count(@ids.size)}"
      end
    end
  end
end
