# frozen_string_literal: true

module Norvel
  module Styles
    # The effective formatting of a paragraph or a run: every property of the table with its value. Frozen and interned
    # by the cascade that made it, so comparing two looks of one cascade is comparing identity.
    class Look
      attr_reader :values, :hash

      def initialize(values)
        @values = values.freeze
        @hash = values.hash
        freeze
      end

      # The value of a property.
      def [](name)
        @values[name]
      end

      def eql?(other)
        equal?(other) || (other.is_a?(Look) && @hash == other.hash && @values == other.values)
      end
      alias_method :==, :eql?

      # As the command line's JSON shows it: lengths in points to 0.01, automatic colours null.
      def to_json_hash(place)
        Properties.public_on(place).to_h { |property| [property.json, property.type.json(@values[property.name])] }
      end

      # The properties in which this look and another differ for a reader.
      def differences(other, place)
        Properties.shown_on(place).reject { |property| property.same?(self[property.name], other[property.name]) }
      end

      def inspect
        "#<Look #{@values.map { |name, value| "#{name}: #{value.inspect}" }.join(", ")}>"
      end
    end
  end
end
