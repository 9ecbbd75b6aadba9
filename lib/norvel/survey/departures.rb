# frozen_string_literal: true

module Norvel
  module Survey
    # The values that a paragraph sets directly, itself or on most of its letters, and that its style does not give it.
    module Departures
      # on: :paragraph, or :run when it is set on the words
      Departure = Struct.new(:name, :value, :on) do
        # The Property that is departed from.
        def property
          Styles::Properties[name]
        end

        # "centred", "16 pt", "not bold", "left indent 1.93 cm"
        def spoken(unit = "pt")
          return "#{"not " unless property.type.json(value)}#{property.label.downcase}" if property.type
            .is_a?(Styles::Types::Flag)
          said = property.spoken(value, name.start_with?("space_") ? "pt" : unit)
          %i[align font size].include?(name) ? said : "#{property.label.downcase} #{said}"
        end
      end

      # Lists are told by their markers, and a language set on words is what it should be.
      UNSAID = %i[list language].freeze

      module_function

      # Departures of a paragraph and most of its letters from its style.
      def of(document, paragraph)
        style = document.style_of(paragraph)
        on_paragraph(document, paragraph, style) + on_letters(document, paragraph, style)
      end

      def on_paragraph(document, paragraph, style)
        return [] if paragraph.direct.empty?
        differing(paragraph.direct, document.look(paragraph), document.cascade.of_style(style, :paragraph), :paragraph)
      end

      def on_letters(document, paragraph, style)
        look = document.letter_look(paragraph)
        direct = paragraph.letters.find { |run| document.run_look(run, paragraph).equal?(look) }&.direct
        return [] if direct.nil? || direct.empty?
        differing(direct, look, document.cascade.of_style(style, :run), :run)
      end

      def differing(set, look, usual, place)
        set.keys.map { |slot| Styles::Properties[slot].key }.uniq.filter_map do |key|
          next if UNSAID.include?(key)
          property = Styles::Properties[key]
          Departure.new(key, look[key], place) if property.shown? && !property.same?(look[key], usual[key])
        end
      end

      private_class_method :on_paragraph, :on_letters, :differing
    end
  end
end
