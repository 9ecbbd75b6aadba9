# frozen_string_literal: true

module Norvel
  module Edits
    # Sets which style the paragraph after one of this style takes, and whether lists of styles show it.
    class StyleLinks < StyleEdit
      # values: {next_id: id or nil, hidden: true or false}
      def initialize(id, values)
        @id = id
        @values = values
      end

      def change(document)
        style = style(document, @id)
        raise Refused, "The next style must be a paragraph style." if @values[:next_id] &&
          !style(document, @values[:next_id]).paragraph?
        document.with(styles: document.styles.put(style.with(**@values)))
      end

      def title(document)
        said = @values.map { |name, value|
          if name == :hidden
            value ? "hidden" : "shown"
          else
            "followed by #{value ? name_of(document, value) : "itself"}"
          end
        }
        "#{name_of(document, @id)}: #{said.join(", ")}"
      end
    end
  end
end
