# frozen_string_literal: true

module Norvel
  module Edits
    # Makes a style from the look that paragraphs have and puts them in it; what they had by hand is the style's now.
    class StyleFromLook < Edit
      # ids: paragraphs of one look; name: of the new style
      def initialize(ids, name)
        @ids = ids
        @name = name
      end

      def change(document)
        values = SharedLook.new(document, chosen(document, @ids)).beyond(document.styles.default)
        made = DefineStyle.new(@name, values:).change(document)
        PutInStyle.new(@ids, made.styles.named(@name.to_s.strip).id).change(made)
      end

      def title(_document)
        "Make the style #{@name} from #{count(@ids.size)}"
      end
    end
  end
end
