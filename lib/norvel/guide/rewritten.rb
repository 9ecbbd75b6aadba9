# frozen_string_literal: true

require "yaml"

module Norvel
  class Guide
    # A guide's YAML text with one value put in, changed or taken out; comments, order and the rest of the lines stay as
    # someone wrote them.
    class Rewritten
      PLAIN = /\A[\p{L}\d][\p{L}\d _.()\/%-]*\z/
      VALUES = %w[any_of min max multiple exact].freeze
      FLOW = Psych::Nodes::Mapping::FLOW

      # +text+: YAML that can be read
      def initialize(text)
        @text = text.delete_prefix("\uFEFF")
        @lines = @text.lines
        @lines[-1] += "\n" unless @lines.empty? || @lines.last.end_with?("\n")
        @root = Psych.parse(@text)&.root
      end

      # The text with a value at a place; nil takes it out, and what held nothing else with it.
      #   Guide::Rewritten.new("roles:\n  body: {size: 12pt}\n").put(["roles", "body", "size"], "11pt")
      #   # => "roles:\n  body: {size: 11pt}\n"
      def put(place, value)
        @root.is_a?(Psych::Nodes::Mapping) or return "#{inline_pair(place, value)}\n"
        value.nil? ? without(place) : with(place, value)
      end

      # A value in one line of YAML.
      #   Guide::Rewritten.inline({"min" => "10pt"}) # => "{min: 10pt}"
      def self.inline(value)
        case value
        when Hash then "{#{value.map { |key, inside| "#{inline(key.to_s)}: #{inline(inside)}" }.join(", ")}}"
        when Array then "[#{value.map { |inside| inline(inside) }.join(", ")}]"
        when String then word(value)
        else JSON.generate(value)
        end
      end

      # Words as they are, where YAML reads them as words.
      def self.word(text)
        plain = text.match?(PLAIN) && !text.end_with?(" ") && Psych.safe_load(text) == text
        plain ? text : JSON.generate(text)
      rescue Psych::Exception
        JSON.generate(text)
      end

      private

      # [the nodes along a place, as far as it is there]: [[key node, value node], …]
      def along(place)
        place.each_with_object([[nil, @root]]) do |step, found|
          pair = pair(found.last.last, step) or return found
          found << pair
        end
      end

      def pair(node, step)
        case node
        when Psych::Nodes::Mapping then node.children.each_slice(2).find { |key, _| key.value == step.to_s }
        when Psych::Nodes::Sequence then (child = node.children[step.to_i]) && [nil, child]
        end
      end

      def with(place, value)
        found = along(place)
        return replaced(found.last.last, self.class.inline(value)) if found.size == place.size + 1
        holder = found.last.last
        rest = place.drop(found.size - 1)
        case holder
        when Psych::Nodes::Mapping then inserted(holder, rest.first, nested(rest.drop(1), value))
        when Psych::Nodes::Sequence then appended(holder, nested(rest.drop(1), value))
        else replaced(holder, self.class.inline(nested(rest, value)))
        end
      end

      # A number leads into a list.
      def nested(steps, value)
        steps.reverse.inject(value) { |inside, step| step.is_a?(Integer) ? [inside] : {step => inside} }
      end

      # One more at the end of a list.
      def appended(list, value)
        words = self.class.inline(value)
        return into_flow(list, words) if flow?(list)
        at = @text.index("\n", end_of(list)) || @text.size
        "#{@text[0...at]}\n#{" " * list.start_column}- #{words}#{@text[at..]}"
      end

      def inline_pair(place, value)
        "#{self.class.inline(place.first)}: #{self.class.inline(nested(place.drop(1), value))}"
      end

      # The text with other words in a node's place. A block goes in one line after its key.
      def replaced(node, words)
        from, upto = place_of(node), end_of(node)
        before = @text[0...from]
        block = !flow?(node) && !node.is_a?(Psych::Nodes::Scalar)
        before = "#{before.rstrip} " if block && before.match?(/:\s*\z/)
        before + words + @text[upto..]
      end

      def inserted(holder, key, value)
        return into_flow(holder, "#{self.class.inline(key)}: #{self.class.inline(value)}") if flow?(holder)
        at = @text.index("\n", end_of(holder)) || @text.size
        @text[0...at] + block(key, value, holder.children.first.start_column) + @text[at..]
      end

      # Lines of their own for what holds more, after a line end.
      def block(key, value, indent)
        lead = "\n#{" " * indent}"
        named = "#{lead}#{self.class.inline(key.to_s)}:"
        return "#{named} #{self.class.inline(value)}" unless rules?(value)
        return named + value.map { |one| "#{lead}  - #{self.class.inline(one)}" }.join if value.is_a?(Array)
        named + value.map { |inside, one| block(inside, one, indent + 2) }.join
      end

      # A map of rules, or a list of them; a range or choice is one value.
      def rules?(value)
        return value.any?(Hash) if value.is_a?(Array)
        value.is_a?(Hash) && !value.empty? && (value.keys & VALUES).empty?
      end

      def into_flow(holder, words)
        at = offset(holder.end_line, holder.end_column) - 1
        inside = @text[(place_of(holder) + 1)...at]
        lead = holder.children.empty? ? "" : ", "
        room = inside[/\s*\z/]
        @text[0...(at - room.size)] + lead + words + room + @text[at..]
      end

      def without(place)
        found = along(place)
        return @text if found.size < place.size + 1
        holder = found[-2].last
        only = holder.children.size == (holder.is_a?(Psych::Nodes::Mapping) ? 2 : 1)
        return without(place[0...-1]) if only && place.size > 1
        key, value = found.last
        flow?(holder) ? from_flow(holder, key || value, value) : from_block(key || value, value)
      end

      def from_block(first, last)
        from = @text.rindex("\n", place_of(first)).to_i
        from += 1 if from.positive?
        upto = @text.index("\n", end_of(last))
        @text[0...from] + (upto ? @text[(upto + 1)..] : "")
      end

      # With the comma after it, or the one before where it is the last.
      def from_flow(holder, first, last)
        from, upto = place_of(first), end_of(last)
        after = @text[upto...(offset(holder.end_line, holder.end_column) - 1)]
        return @text[0...from] + @text[(upto + after[/\A\s*,\s*/].size)..] if after.match?(/\A\s*,/)
        @text[0...from].sub(/,\s*\z/, "") + @text[upto..]
      end

      def flow?(node)
        node.respond_to?(:style) && !node.is_a?(Psych::Nodes::Scalar) && node.style == FLOW
      end

      def place_of(node)
        offset(node.start_line, node.start_column)
      end

      # Where the last letter of a node stands: blocks end where what they hold last ends.
      def end_of(node)
        return offset(node.end_line, node.end_column) if flow?(node) || node.is_a?(Psych::Nodes::Alias)
        return scalar_end(node) if node.is_a?(Psych::Nodes::Scalar)
        node.children.empty? ? place_of(node) : end_of(node.children.last)
      end

      # Text in a block ends before the line that it is told to end in.
      def scalar_end(node)
        at = offset(node.end_line, node.end_column)
        (node.end_column.zero? && node.end_line > node.start_line) ? at - 1 : at
      end

      def offset(line, column)
        @starts ||= @lines.inject([0]) { |all, one| all << (all.last + one.size) }
        [@starts[line] || @text.size, @text.size].min.then { |at| [at + column, @text.size].min }
      end
    end
  end
end
