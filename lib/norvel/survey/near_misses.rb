# frozen_string_literal: true

module Norvel
  module Survey
    # Values that are so close to a usual one that they were surely meant to be equal: 1.93 cm against 1.90, 11.5 pt
    # against 12.
    #
    # The rule. Within the paragraphs of one role, a value is a near miss of another when the other stands at least
    # three times as often (and three times at least), and the two are nearer than a reader would set on purpose: half a
    # point of size, 4 % of an indent and 8 % of a space (at least 1 pt, at most 3 pt), 0.06 of a line, 40 of the 441
    # steps between two colours. Within a twentieth of a point, and a thousandth of a line, values are equal: that is
    # how files round.
    class NearMisses
      # The bound on a distance, from the usual value.
      NEAR = {
        size: ->(_) { 0.5 }, indent_left: ->(v) { (v.abs * 0.04).clamp(1.0, 3.0) },
        indent_right: ->(v) { (v.abs * 0.04).clamp(1.0, 3.0) }, first_line: ->(v) { (v.abs * 0.04).clamp(1.0, 3.0) },
        space_before: ->(v) { (v.abs * 0.08).clamp(1.0, 3.0) }, space_after: ->(v) { (v.abs * 0.08).clamp(1.0, 3.0) },
        line_spacing: ->(_) { 0.06 }, color: ->(_) { 40.0 }
      }.freeze
      OFTEN = 3

      # property: of the table; usual and odd: its values; paragraphs: those with the odd one
      Miss = Struct.new(:property, :role, :usual, :odd, :paragraphs)
      # A value with its paragraphs, for drawing: all values of a property over the document.
      Spot = Struct.new(:value, :count)

      def initialize(document)
        @document = document
        @paragraphs = document.paragraphs.reject(&:blank?)
      end

      # Values that are nearly one that most have: Miss, …
      def misses
        @misses ||= NEAR.keys.flat_map do |name|
          @paragraphs.group_by { |paragraph| Suggestions.of(@document).role(paragraph.id) }
            .flat_map { |role, list| within(name, role, list) }
        end
      end

      # The values of a property in the document with their counts, smallest first; colours and mixed rules have no
      # scale.
      def spots(name)
        counts = @paragraphs.map { |paragraph| measure(name, value(name, paragraph)) }.compact.tally
        counts.sort.map { |value, count| Spot.new(value, count) }
      end

      # A value as a number on its property's scale, or nil.
      def measure(name, value)
        case value
        when Numeric then value
        when Hash then value[:value] if value[:rule] == "multiple"
        end
      end

      # What a paragraph has of a property.
      def value(name, paragraph)
        (Styles::Properties[name].on == :run) ? @document.letter_look(paragraph)[name] : @document.look(paragraph)[name]
      end

      private

      def within(name, role, list)
        groups = list.group_by { |paragraph| value(name, paragraph) }
        groups.filter_map do |odd, paragraphs|
          usual = groups.keys.select { |other|
            groups[other].size >= [OFTEN, paragraphs.size * OFTEN].max &&
              near?(name, odd, other)
          }.max_by { |other| groups[other].size }
          Miss.new(Styles::Properties[name], role, usual, odd, paragraphs) if usual
        end
      end

      def near?(name, odd, usual)
        distance = distance(name, odd, usual) or return false
        distance > ((name == :line_spacing) ? Length::SAME_TIMES / 5 : Length::SAME) &&
          distance <= NEAR.fetch(name).call(measure(name, usual) || 0) + 0.0001
      end

      def distance(name, one, other)
        return colours_apart(one, other) if name == :color
        a, b = measure(name, one), measure(name, other)
        (a - b).abs if a && b
      end

      def colours_apart(one, other)
        return if [one, other].include?("auto")
        Math.sqrt(Colour.channels(one).zip(Colour.channels(other)).sum { |a, b| (a - b)**2 })
      end
    end
  end
end
