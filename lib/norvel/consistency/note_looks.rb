# frozen_string_literal: true

module Norvel
  module Consistency
    # Notes in another size, font or line spacing than most.
    class NoteLooks < Subject
      RULE = "notes"
      PROPERTIES = %i[size font line_spacing first_line].freeze

      def odds
        %w[footnote endnote].flat_map do |kind|
          notes = @document.stories.select { |story| story.kind == kind }.flat_map { |story| story.paragraphs.first(1) }
            .reject(&:blank?)
          PROPERTIES.flat_map { |name| of_notes(notes, name) }
        end
      end

      private

      def of_notes(notes, name)
        property = Styles::Properties[name]
        values = notes.map { |one| ((property.on == :run) ? letters(one) : look(one))[name] }
        most = usual(values) or return []
        notes.zip(values).reject { |_, value| property.same?(value, most) }.map do |one, value|
          odd(paragraph: one, usual: property.spoken(most), found: property.spoken(value),
            message: "#{property.label} of a note is #{property.spoken(value)}, of most #{property.spoken(most)}",
            label: "Make it equal: #{property.spoken(most)}", steps: [[:make_equal, name, most]],
            why: "it would change how it looks")
        end
      end
    end
  end
end
