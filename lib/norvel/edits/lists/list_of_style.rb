# frozen_string_literal: true

module Norvel
  module Edits
    # Gives a paragraph style the markers of a list at a level, or none: the style and the level name each other
    # (ISO/IEC 29500-1 17.9.23, w:pStyle).
    class ListOfStyle < StyleEdit
      # list_id: of the numbering, 0 for none, nil to inherit; level: from 0
      def initialize(id, list_id, level: 0)
        @id = id
        @list_id = list_id
        @level = level
      end

      def change(document)
        style = style(document, @id)
        raise Refused, "#{style.name} is a #{style.type} style: only paragraphs are in lists." unless style.paragraph?
        freed = style.with(paragraph: style.paragraph.without(:list_id, :list_level))
        return with_list(document, freed, document.numbering.without_style(@id)) if @list_id.nil?
        return with_list(document, freed, document.numbering.without_style(@id), list_id: 0) if @list_id.zero?
        level = document.numbering.level(@list_id, @level) or raise Refused, "There is no such list in this document."
        other = document.styles[level.style_id] if level.style_id != @id
        raise Refused, "This level is that of #{other.name} already: choose another level." if other
        with_list(document, freed, bound(document.numbering.without_style(@id)), list_id: @list_id,
          **(@level.zero? ? {} : {list_level: @level}))
      end

      def title(document)
        list = @list_id && document.styles[document.numbering.definition_of(@list_id)&.style_id]
        "#{name_of(document, @id)}: #{if list
                                        "level #{@level + 1} of #{list.name}"
                                      else
                                        (@list_id.nil? ? "the list of its base" : "no list")
                                      end}"
      end

      private

      def with_list(document, style, numbering, **values)
        document.with(styles: document.styles.put(style.with(paragraph: style.paragraph.merge(values))), numbering:)
      end

      def bound(numbering)
        id = numbering.list(@list_id).definition_id
        definition = numbering.definitions[id]
        numbering.define(definition.with(levels: definition.levels.merge(@level => definition.levels[@level]
          .with(style_id: @id))), id).first
      end
    end
  end
end
