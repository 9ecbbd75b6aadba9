# frozen_string_literal: true

module Norvel
  module Edits
    # Puts paragraphs in a list at a level, or takes them out of lists. Their indents by hand go, as a list level has
    # its own.
    class PutInList < StyleEdit
      # list_id: of the numbering, 0 for none; level: from 0, nil to stay at the level they have
      def initialize(ids, list_id, level: nil)
        @ids = ids
        @list_id = list_id
        @level = level
      end

      def change(document)
        raise Refused, "There is no such list in this document." unless @list_id.zero? ||
          document.numbering.known?(@list_id)
        document.replace(chosen(document, @ids).map { |paragraph| listed(document, paragraph) })
      end

      def title(document)
        return "Take #{count(@ids.size)} out of lists" if @list_id.zero?
        style = document.styles[document.numbering.definition_of(@list_id)&.style_id]
        "Put #{count(@ids.size)} in #{style ? style.name : "a list"}#{" at level #{@level + 1}" if @level}"
      end

      private

      def listed(document, paragraph)
        bare = paragraph.direct.without(*Styles::Properties.slots_of(:list), *Styles::Properties.slots_of(:indent_left),
          *Styles::Properties.slots_of(:first_line))
        if @list_id.zero?
          return paragraph.with(direct: inherits?(document, paragraph, bare) ? bare.merge(list_id: 0) : bare)
        end
        level = @level || document.cascade.list_of(paragraph)&.last || 0
        raise Refused, "A list has levels 1 to 9." unless level.between?(0, 8)
        paragraph.with(direct: bare.merge(list_id: @list_id, list_level: level))
      end

      # Its style has a list: being in none has to be said.
      def inherits?(document, paragraph, bare)
        !document.cascade.list_of(paragraph.with(direct: bare)).nil?
      end
    end
  end
end
