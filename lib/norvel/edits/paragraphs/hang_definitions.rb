# frozen_string_literal: true

module Norvel
  module Edits
    # Hangs lists of definitions: what a term means begins at one place in every line, by the style.
    class HangDefinitions < Edit
      NAME = "Definition"

      # indent: points between the term and what it means
      def initialize(ids, indent)
        @ids = ids
        @indent = indent
      end

      def change(document)
        chosen(document, @ids).group_by { |one| document.style_of(one)&.id }.inject(document) do |now, (base, some)|
          left = document.look(some.first)[:indent_left]
          now, style = styled(now, base, {indent_left: left + @indent, first_line: -@indent})
          now.replace(some.map { |one| now.paragraph(one.id).with(style_id: style) })
        end
      end

      def title(_document)
        "Give #{count(@ids.size, "definition")} a hanging indent by the style #{NAME}"
      end

      private

      # [the document with a style of these values based on theirs, its id]
      def styled(document, base, values)
        name = (1..).lazy.map { |number| (number == 1) ? NAME : "#{NAME} #{number}" }.find do |one|
          style = document.styles.named(one)
          style.nil? || (style.based_on == base && style.paragraph.values.slice(*values.keys) == values)
        end
        unless document.styles.named(name)
          document = DefineStyle.new(name, based_on: base, values:).change(document)
        end
        [document, document.styles.named(name).id]
      end
    end
  end
end
