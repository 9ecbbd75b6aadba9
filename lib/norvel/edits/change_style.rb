# frozen_string_literal: true

module Norvel
  module Edits
    # Sets properties of a style, or lets it inherit them again (value nil).
    class ChangeStyle < Edit
      # style: an id; values: {space_after: 6.0, bold: nil, …} by names of the property table
      def initialize(style, values)
        @style = style
        @values = values
      end

      def change(document)
        style = document.sheet[@style] or raise Refused, "There is no style “#{@style}” in this document."
        base = document.sheet[style.based_on]
        changed = @values.inject(style) { |now, (name, value)| set(now, name, value, document, base) }
        (changed == style) ? document : document.with(sheet: document.sheet.put(changed))
      end

      def title(document)
        said = @values.map { |name, value| "#{Styles::Properties[name].label.downcase} #{value.nil? ? "inherited" : Styles::Properties[name].spoken(value)}" }
        "Change #{document.sheet[@style]&.name}: #{said.join(", ")}"
      end

      private

      def set(style, name, value, document, base)
        place = Styles::Properties[name].on
        slots = Styles::Properties.slots_of(name)
        return style.with(place => style.set(place).without(*slots)) if value.nil?
        style.with(place => Setting.put(style.set(place), name, value, base ? document.cascade.of_style(base, place) : document.sheet.defaults(place)))
      end
    end
  end
end
