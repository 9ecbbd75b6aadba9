# frozen_string_literal: true

module Norvel
  module Styles
    # What one level sets: a frozen map from slot names to values. It says nothing of what it does not set; unset is not
    # zero.
    class PropertySet
      attr_reader :values, :hash

      def initialize(values)
        @values = values.freeze
        @hash = values.hash
        freeze
      end

      EMPTY = new({})

      # The set of these values, the same object for the same values.
      def self.of(values)
        values.empty? ? EMPTY : new(values)
      end

      # The value of a slot, nil where it is not set.
      def [](slot)
        @values[slot]
      end

      # Is the slot set?
      def key?(slot)
        @values.key?(slot)
      end

      # The slots that are set.
      def keys
        @values.keys
      end

      # Is nothing set?
      def empty?
        @values.empty?
      end

      # How many slots are set.
      def size
        @values.size
      end

      # The same with these values over its own.
      def merge(values)
        PropertySet.of(@values.merge(values.is_a?(PropertySet) ? values.values : values))
      end

      # The same without these slots.
      def without(*slots)
        kept = @values.except(*slots)
        (kept.size == @values.size) ? self : PropertySet.of(kept)
      end

      # These slots of it.
      def slice(*slots)
        PropertySet.of(@values.slice(*slots))
      end

      def eql?(other)
        equal?(other) || (other.is_a?(PropertySet) && @hash == other.hash && @values == other.values)
      end
      alias_method :==, :eql?

      def inspect
        "#<PropertySet #{@values.map { |slot, value| "#{slot}: #{value.inspect}" }.join(", ")}>"
      end
    end
  end
end
