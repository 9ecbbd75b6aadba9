# frozen_string_literal: true

module Norvel
  module Edits
    # Sets properties of a style, or lets it inherit them again (value nil). What it sets of letters, its linked style
    # sets too.
    class ChangeStyle < Edit
      # style: an id; values: {space_after: 6.0, bold: nil, …} by names of the property table
      def initialize(style, values)
        @style = style
        @values = values
      end

      def change(document)
        style = document.styles[@style] or raise Refused, "There is no style “#{@style}” in this document."
        twin = document.styles.twin(style)
        refuse_lines(style)
        sheet = document.styles.put(changed(document, style, @values))
        letters = @values.select { |name, _| Styles::Properties[name].on == :run }
        sheet = sheet.put(changed(document, twin, letters)) if twin
        (sheet.by_id == document.styles.by_id) ? document : document.with(styles: sheet)
      end

      def title(document)
        said = @values.map do |name, value|
          property = Styles::Properties[name]
          "#{property.label.downcase} #{value.nil? ? "inherited" : property.spoken(value)}"
        end
        "Change #{document.styles[@style]&.name}: #{said.join(", ")}"
      end

      private

      def refuse_lines(style)
        line = style.character? && @values.keys.find { |name| Styles::Properties[name].on == :paragraph } or return
        raise Refused, "#{Styles::Properties[line].label} belongs to paragraphs: #{style.name} is a character style " \
          "and sets letters only."
      end

      def changed(document, style, values)
        base = document.styles[style.based_on]
        values.inject(style) { |now, (name, value)| set(now, name, value, document, base) }
      end

      def set(style, name, value, document, base)
        place = Styles::Properties[name].on
        slots = Styles::Properties.slots_of(name)
        return style.with(place => style.set(place).without(*slots)) if value.nil?
        style.with(place => Setting.put(style.set(place), name, value, base ? document.cascade
          .of_style(base, place) : document.styles.defaults(place)))
      end
    end
  end
end
