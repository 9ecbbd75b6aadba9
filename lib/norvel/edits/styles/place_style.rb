# frozen_string_literal: true

module Norvel
  module Edits
    # Gives a style its place among those of its kind in lists of styles (ISO/IEC 29500-1 17.7.4.19).
    class PlaceStyle < StyleEdit
      # before: the id of the style it goes before, nil for the end
      def initialize(id, before:)
        @id = id
        @before = before
      end

      def change(document)
        style = style(document, @id)
        others = document.styles.ordered(style.type) - [style]
        at = @before ? others.index { |other| other.id == @before } : others.size
        raise Refused, "The two are not styles of one kind." unless at
        ranked = others.insert(at, style).each.with_index(1).to_h do |other, rank|
          [other.id, other.with(priority: rank)]
        end
        with_sheet(document, document.styles.by_id.merge(ranked))
      end

      def title(document)
        where = @before ? "before #{name_of(document, @before)}" : "last"
        "Place #{name_of(document, @id)} #{where} in lists of styles"
      end
    end
  end
end
