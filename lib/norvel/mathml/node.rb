# frozen_string_literal: true

module Norvel
  module Mathml
    # An element of a formula. A value.
    #   name        of MathML: "mfrac"; attributes: {name => text} of those that say how it is set
    #   children    [Node, …]; text: of a token (mi, mn, mo, mtext), nil for others
    Node = Value.define(:name, :attributes, :children, :text, attributes: {}.freeze, children: [].freeze) do
      # Does it hold letters, not other nodes?
      def token?
        !text.nil?
      end

      # Letters of it and all below, as they follow one another.
      def letters
        token? ? text : children.map(&:letters).join
      end

      # What an attribute says, nil where it is not there.
      def attribute(name)
        attributes[name]
      end

      # What scripts and limits stand at; itself where none do.
      def nucleus
        (self.class::BESIDE.key?(name) && children.any?) ? children.first.nucleus : self
      end

      # The formula in parts, each a formula, between which a line may end: after the signs that join or relate what
      # stands in its row. One with a line of its own is one part.
      def parts
        return [self] if attribute("display") == "block"
        row = [nil, *children].each_cons(2).map { |before, node| node.joining?(before) ? node.infix : node }
        row.slice_when { |one, _| one.attribute("form") == "infix" }.map { |nodes| with(children: nodes.freeze) }
      end

      # Is it a sign that joins what stands before it, a node or nil, to what follows?
      def joining?(before)
        return false unless name == "mo" && before && Operators.joins?(text)
        before.name != "mo" || !Operators.opens?(before.text)
      end

      # A sign that says that it joins, wherever it comes to stand.
      def infix
        with(attributes: {**attributes, "form" => "infix"}.freeze)
      end

      # The source: MathML without anything that is not known here.
      def source
        said = attributes.map { |name, value| %( #{name}="#{self.class.escape(value)}") }.join
        "<#{name}#{said}>#{token? ? self.class.escape(text) : children.map(&:source).join}</#{name}>"
      end
    end

    # How nodes are made.
    class Node
      TOKENS = %w[mi mn mo mtext ms].to_h { |name| [name, true] }.freeze
      LAYOUTS = %w[math mrow mfrac msqrt mroot msub msup msubsup munder mover munderover mmultiscripts mprescripts none
        mtable mtr mtd mspace mphantom menclose].to_h { |name| [name, true] }.freeze
      ATTRIBUTES = %w[mathvariant display displaystyle stretchy largeop movablelimits fence separator accent accentunder
        linethickness bevelled columnalign width notation form xmlns].freeze
      # Elements whose first child others stand at.
      BESIDE = %w[msub msup msubsup munder mover munderover].to_h { |name| [name, true] }.freeze
      HIDDEN = %w[annotation annotation-xml].freeze
      # How many children an element needs; one that lacks some is a row.
      NEEDED = {"mfrac" => 2, "mroot" => 2, "msub" => 2, "msup" => 2, "munder" => 2, "mover" => 2, "msubsup" => 3,
                "munderover" => 3}.freeze

      class << self
        # An element with children, or a token with its text.
        #   Node.make("mfrac", Node.make("mi", "a"), Node.make("mi", "b"), linethickness: "0")
        def make(name, *content, **attributes)
          text = content.first if content.first.is_a?(String)
          new(name:, attributes: attributes.transform_keys(&:to_s).freeze, children: text ? [].freeze : content.freeze,
            text: text&.freeze)
        end

        # Nodes in a row, without a row where there is one alone.
        def row(nodes)
          (nodes.size == 1) ? nodes.first : make("mrow", *nodes)
        end

        # A formula of nodes; display: does it have a line of its own?
        def math(nodes, display: false)
          make("math", *nodes, xmlns: SPACE, **(display ? {display: "block"} : {}))
        end

        # The node of an element of any source: what is not known is the row of what stands in it.
        def of(element, depth = 0)
          name = element.name
          return make("mtext", element.text.strip) if depth > DEEPEST
          return new(name:, attributes: attributes(element), text: squeezed(element)) if TOKENS.key?(name)
          children = element.element_children.reject { |child| HIDDEN.include?(child.name) }
          return fenced(element, children, depth) if name == "mfenced"
          children = children.first(1) if name == "semantics"
          made = children.map { |child| of(child, depth + 1) }
          return row(made) unless LAYOUTS.key?(name) && made.size >= NEEDED.fetch(name, 0)
          new(name:, attributes: attributes(element), children: made.freeze)
        end

        # Letters as XML writes them.
        def escape(text)
          text.encode(xml: :text).gsub('"', "&quot;")
        end

        private

        # White space at the ends of a token is none of it (MathML Core 2.1.7).
        def squeezed(element)
          element.text.gsub(/\s+/, " ").strip.freeze
        end

        def attributes(element)
          found = element.attribute_nodes.to_h { |one| [one.node_name, one.value] }.slice(*ATTRIBUTES)
          found["xmlns"] = SPACE if element.name == "math"
          found.freeze
        end

        # Brackets told by an element of its own are signs in a row.
        def fenced(element, children, depth)
          open, close, between = element["open"] || "(", element["close"] || ")", (element["separators"] || ",")[0]
          parts = children.map { |child| of(child, depth + 1) }
          parts = parts.flat_map { |part| [make("mo", between), part] }.drop(1) if between && between != " "
          make("mrow", make("mo", open), *parts, make("mo", close))
        end
      end
    end
  end
end
