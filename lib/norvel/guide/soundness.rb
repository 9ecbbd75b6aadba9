# frozen_string_literal: true

module Norvel
  class Guide
    # What a schema can't hold of a guide: values that the property table reads, bounds in order, patterns that fit a
    # rule, parts that there are.
    class Soundness
      # data: of a guide that meets its schema
      def initialize(data)
        @data = data
      end

      # [[place, words], …] of all that is wrong, in no order.
      def faults
        properties + bounds(@data, []) + patterns
      end

      private

      # Values of roles, of the text of tables and of notes.
      def properties
        roles = (@data["roles"] || {}).map { |role, asked| [["roles", role], asked] }
        roles << [%w[tables text], @data.dig("tables", "text") || {}] << [["notes"], @data["notes"] || {}]
        roles.flat_map { |place, asked| asked.filter_map { |name, value| property(place, name, value) } }
      end

      def property(place, name, value)
        return unless Styles::Properties.key?(name)
        Requirement.of(Styles::Properties[name], value)
        nil
      rescue UnusableGuide => error
        reason = error.message.sub(/\A\w+: /, "").delete_suffix(".")
        [[*place, name], "“#{[*place, name].join(".")}” can't be that: #{reason}"]
      end

      # Every map with two bounds has the smaller one first.
      def bounds(value, place)
        case value
        when Hash
          own = turned?(value) ? [[[*place, "min"], turned(value, place)]] : []
          own + value.flat_map { |key, inside| bounds(inside, [*place, key]) }
        when Array then value.each_with_index.flat_map { |inside, index| bounds(inside, [*place, index]) }
        else []
        end
      end

      def turned(value, place)
        "“#{place.join(".")}” has a min of #{value["min"]}, more than its max of #{value["max"]}"
      end

      def turned?(value)
        least, most = value.values_at("min", "max").map { |bound| size(bound) }
        !least.nil? && !most.nil? && least > most
      end

      LINES = {"single" => 1.0, "double" => 2.0}.freeze

      # A bound as a number: of lines, of points, or a count; nil where it is none.
      def size(bound)
        return bound if bound.is_a?(Numeric)
        return LINES[bound.downcase] if bound.is_a?(String) && LINES.key?(bound.downcase)
        Length.typed(bound) if bound.is_a?(String)
      rescue Refused
        nil
      end

      # severity and exceptions speak of rules that there are.
      def patterns
        stated = (@data["severity"] || {}).keys.map { |pattern| [["severity", pattern], pattern] } +
          (@data["exceptions"] || []).each_with_index.map { |one, index| [["exceptions", index, "rule"], one["rule"]] }
        stated.reject { |_, pattern| Rules.fits?(pattern) }
          .map { |place, pattern| [place, "no rule is called “#{pattern}”"] }
      end
    end
  end
end
