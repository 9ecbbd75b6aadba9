# frozen_string_literal: true

require "yaml"

module Norvel
  class Guide
    # A guide's text as plain data, and the line where each of its places stands. UTF-8 with or without a byte-order
    # mark; nothing but maps, lists, words, numbers and switches; aliases are read as long as they stay small. Every
    # fault is a sentence with its line.
    class YamlText
      MOST = 1_000_000 # bytes
      DEEPEST = 30
      MOST_VALUES = 20_000 # aliases written out
      CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/
      # Where a day may stand as it is: of each of these, that.
      DAYS = %w[exceptions on].freeze
      DAY = /\A\d{4}-\d\d-\d\d\z/

      # The tree of a text, refused where it is too deep before anything walks it.
      class Builder < Psych::TreeBuilder
        def start_mapping(*)
          deeper { super }
        end

        def start_sequence(*)
          deeper { super }
        end

        def end_mapping
          @depth -= 1
          super
        end

        def end_sequence
          @depth -= 1
          super
        end

        private

        def deeper
          @depth = (@depth || 0) + 1
          if @depth > DEEPEST
            raise UnusableGuide, "Line #{@start_line + 1}: the guide is nested more than #{DEEPEST} deep."
          end
          yield
        end
      end

      attr_reader :data

      # Raises UnusableGuide.
      def initialize(source)
        @lines = {}
        @anchors = {}
        @values = 0
        @data = value(root(legible(source)), [])
      end

      # The line of a place, a list of keys and numbers; of the nearest one around it that the text names.
      #   YamlText.new("a:\n  b: 1\n").line(["a", "b"]) # => 2
      def line(place)
        place = place.dup
        place.pop until place.empty? || @lines.key?(place)
        @lines.fetch(place, 1)
      end

      private

      def legible(source)
        raise UnusableGuide, "Line 1: the guide is larger than a guide can be (1 MB)." if source.bytesize > MOST
        text = source.dup.force_encoding("UTF-8").delete_prefix("\uFEFF")
        unless text.valid_encoding?
          raise UnusableGuide, "Line #{text.each_line.find_index { |line| !line.valid_encoding? } + 1}: this is not " \
            "UTF-8 text."
        end
        at = text.index(CONTROL) or return text
        raise UnusableGuide, "Line #{text[0, at].count("\n") + 1}: a control character stands here, which no guide " \
          "needs."
      end

      def root(text)
        builder = Builder.new
        Psych::Parser.new(builder).parse(text)
        documents = builder.root.children
        if documents.size > 1
          raise UnusableGuide, "Line #{documents[1].start_line + 1}: a second document begins here; a guide is one."
        end
        found = documents.first&.root
        return found if found.is_a?(Psych::Nodes::Mapping)
        raise UnusableGuide, "Line 1: the guide is empty: it must at least say norvel_guide: 1 and a name." if
          found.nil? || (found.is_a?(Psych::Nodes::Scalar) && found.value.empty?)
        fail_at(found, "the guide is no list of rules: it must at least say norvel_guide: 1 and a name")
      rescue Psych::SyntaxError => error
        raise UnusableGuide, "Line #{[error.line, 1].max}: the guide is not YAML (#{error.problem || error.context})."
      end

      def value(node, place)
        @lines[place] ||= node.start_line + 1
        fail_at(node, "the tag #{node.tag} is not plain data: write it as text") if tagged?(node)
        more_values(node, 1)
        case node
        when Psych::Nodes::Alias then alias_of(node)
        when Psych::Nodes::Mapping then named(node) { mapping(node, place) }
        when Psych::Nodes::Sequence
          named(node) { node.children.each_with_index.map { |child, index| value(child, [*place, index]) } }
        else named(node) { scalar(node, place) }
        end
      end

      def tagged?(node)
        !node.is_a?(Psych::Nodes::Alias) && node.tag && node.tag != "tag:yaml.org,2002:str" && node.tag != "!"
      end

      # What has an anchor is known to what stands after it, with how many values it holds.
      def named(node)
        before = @values
        made = yield
        @anchors[node.anchor] = [made, @values - before + 1] if node.anchor
        made
      end

      def alias_of(node)
        made, size = @anchors.fetch(node.anchor) do
          fail_at(node, "nothing before this is named &#{node.anchor}")
        end
        more_values(node, size)
        made
      end

      def more_values(node, count)
        @values += count
        fail_at(node, "the guide holds more than any guide needs, its aliases written out") if @values > MOST_VALUES
      end

      def mapping(node, place)
        node.children.each_slice(2).each_with_object({}) do |(key, child), made|
          name = key(key)
          next merge(made, value(child, [*place, name]), child) if name == "<<"
          here = [*place, name]
          if made.key?(name) && @lines[here]
            fail_at(key, "“#{name}” stands here a second time (first in line #{@lines[here]})")
          end
          @lines[here] = key.start_line + 1
          made[name] = value(child, here)
        end
      end

      # Keys are words, whatever else they might be read as: "on" is no switch.
      def key(node)
        return node.value if node.is_a?(Psych::Nodes::Scalar) && !tagged?(node)
        fail_at(node, "a name of a rule is expected here")
      end

      # Values of another map, where this one does not say them itself.
      def merge(made, others, node)
        others = [others] unless others.is_a?(Array)
        fail_at(node, "<< takes a map that was named before") unless others.all?(Hash)
        others.each { |other| made.replace(other.merge(made)) }
      end

      def scalar(node, place)
        return node.value if node.quoted || node.tag || day?(node.value, place)
        found = scanner.tokenize(node.value)
        fail_at(node, "#{node.value} is no number that can be meant") if found.is_a?(Float) && !found.finite?
        found
      rescue Psych::DisallowedClass
        fail_at(node, "#{node.value} is not plain data but a day or a symbol: write it in quotes")
      end

      def day?(text, place)
        DAY.match?(text) && place.size == 3 && place.values_at(0, 2) == DAYS
      end

      def scanner
        @scanner ||= Psych::ScalarScanner.new(Psych::ClassLoader::Restricted.new([], []))
      end

      def fail_at(node, words)
        raise UnusableGuide, "Line #{node.start_line + 1}: #{words}."
      end
    end
  end
end
