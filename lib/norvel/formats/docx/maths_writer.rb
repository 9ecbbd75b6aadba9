# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A formula as Office MathML (ISO/IEC 29500-1 22.1): what MathsReader reads, the other way round.
      class MathsWriter
        STYLES = MathsReader::STYLES.invert.freeze
        FENCE = /\A[()\[\]{}⟨⟩⌈⌉⌊⌋]\z/
        OPEN = /\A[(\[{⟨⌈⌊|‖]\z/

        # part: XmlPart that the elements are made in
        def initialize(part)
          @part = part
          @space = part.root.add_namespace_definition("m", Blank::MATH)
        end

        # The m:oMath of a formula, in an m:oMathPara where it has a line of its own.
        def formula(node, display: false)
          math = element("oMath")
          row(math, node.children)
          return math unless display
          element("oMathPara").tap { |around| around.add_child(math) }
        end

        private

        def element(name, **attributes)
          made = @part.xml.create_element(name)
          made.namespace = @space
          attributes.each { |key, value| made["m:#{key}"] = value }
          made
        end

        # Nodes one after the other. Brackets hold what stands up to those that close them; a large sign holds what
        # follows it.
        def row(holder, nodes)
          nodes = joined(nodes)
          index = 0
          while index < nodes.size
            node = nodes[index]
            if function?(nodes, index)
              index = function(holder, nodes, index)
            elsif (close = closing(nodes, index))
              holder.add_child(brackets(node, nodes[(index + 1)...close], nodes[close]))
              index = close
            elsif (sign = large(node))
              holder.add_child(nary(node, sign, nodes[(index + 1)..]))
              break
            else
              put(holder, node)
            end
            index += 1
          end
        end

        OF = "\u2061" # joins the name of a function to what it is of

        def function?(nodes, index)
          nodes[index + 1]&.text == OF && nodes[index + 2]
        end

        # Returns where what it is of ends.
        def function(holder, nodes, index)
          last = closing(nodes, index + 2) || (index + 2)
          holder.add_child(filled("func", fName: nodes[index],
            e: Mathml::Node.make("mrow", *nodes[(index + 2)..last])))
          last
        end

        # Signs that are set by what they are stand in one run.
        def joined(nodes)
          nodes.chunk_while { |one, other| plain?(one) && plain?(other) }.map { |group|
            (group.size == 1) ? group.first : Mathml::Node.make("mo", group.map(&:text).join)
          }
        end

        def plain?(node)
          return false unless node.token? && node.name != "mtext" && node.text != OF
          return false if node.attribute("mathvariant") || fence?(node) || large(node)
          node.name != "mi" || node.text.size == 1
        end

        # Where brackets that open here close; nil where none do.
        def closing(nodes, index)
          return unless fence?(nodes[index]) && nodes[index].attribute("form") != "postfix"
          open = 0
          (index...nodes.size).find do |at|
            next unless fence?(nodes[at])
            open += (nodes[at].attribute("form") == "postfix" || (at > index && !nodes[at].text.match?(OPEN))) ? -1 : 1
            open.zero?
          end
        end

        def fence?(node)
          return false unless node.name == "mo" && node.attribute("stretchy") != "false"
          node.attribute("fence") == "true" || node.text.match?(FENCE)
        end

        # The sign of a sum or integral with its limits; nil for what is none.
        def large(node)
          sign = node.nucleus
          return unless sign.name == "mo"
          sign if sign.attribute("largeop") == "true" || Mathml::Operators.large?(sign.text)
        end

        def put(holder, node)
          case node.name
          when "mi", "mn", "mo", "mtext", "ms" then holder.add_child(run(node))
          when "mspace" then holder.add_child(letters(" "))
          when "mrow", "math", "mtd" then row(holder, node.children)
          when "mphantom" then holder.add_child(filled("phant", {"show" => "0"}, e: Mathml::Node.row(node.children)))
          when "mfrac" then holder.add_child(fraction(node))
          when "msqrt" then holder.add_child(root(Mathml::Node.row(node.children), nil))
          when "mroot" then holder.add_child(root(*node.children))
          when "msub", "msup", "msubsup" then holder.add_child(of_parts(node))
          when "munder", "mover", "munderover" then holder.add_child(beside(node))
          when "mmultiscripts" then holder.add_child(scripts(node))
          when "mtable" then holder.add_child(table(node))
          when "menclose" then holder.add_child(filled("borderBox", e: Mathml::Node.row(node.children)))
          end
        end

        # --- letters ---

        def run(node)
          style = STYLES[node.attribute("mathvariant")]
          style ||= "p" if node.name == "mi" && node.text.size > 1
          letters(node.text, (node.name == "mtext") ? "nor" : "sty", style)
        end

        def letters(text, name = nil, style = nil)
          run = element("r")
          if name == "nor" then run.add_child(element("rPr")).add_child(element("nor"))
          elsif style then run.add_child(element("rPr")).add_child(element("sty", val: style))
          end
          said = run.add_child(element("t"))
          said["xml:space"] = "preserve"
          said.content = text
          run
        end

        # --- what stands together ---

        # An element with properties and named parts.
        def filled(name, properties = {}, **parts)
          made = element(name)
          set = made.add_child(element("#{name}Pr")) if properties.any?
          properties.each { |key, value| set.add_child(value ? element(key, val: value) : element(key)) }
          parts.each { |part, node| row(made.add_child(element(part.to_s)), node ? [node] : []) }
          made
        end

        def of_parts(node)
          name, (_, parts) = MathsReader::PARTS.find { |_, (own, _)| own == node.name }
          filled(name, **parts.map(&:to_sym).zip(node.children).to_h)
        end

        def fraction(node)
          type = "skw" if node.attribute("bevelled") == "true"
          type = "noBar" if node.attribute("linethickness").to_s.match?(/\A0[a-z]*\z/)
          filled("f", type ? {"type" => type} : {}, num: node.children[0], den: node.children[1])
        end

        def root(radicand, degree)
          filled("rad", degree ? {} : {"degHide" => "1"}, deg: degree, e: radicand)
        end

        def brackets(open, inside, close)
          filled("d", {"begChr" => open.text, "endChr" => close.text}, e: Mathml::Node.make("mrow", *inside))
        end

        def nary(node, sign, rest)
          sub, sup = limits(node)
          under = node.name.match?(/under|over/)
          said = {"chr" => sign.text, "limLoc" => under ? "undOvr" : "subSup"}
          said["subHide"] = "1" unless sub
          said["supHide"] = "1" unless sup
          filled("nary", said, sub:, sup:, e: Mathml::Node.make("mrow", *rest))
        end

        # [below, above] of an element, each nil for none.
        def limits(node)
          _, one, two = node.children
          return [one, two] if %w[msubsup munderover].include?(node.name)
          %w[msub munder].include?(node.name) ? [one, nil] : [nil, one]
        end

        # A sign over or under letters is an accent or a brace, all else a limit.
        def beside(node)
          base, = node.children
          below, above = limits(node)
          return filled("limUpp", e: Mathml::Node.make("munder", base, below), lim: above) if below && above
          sign = above || below
          return filled(above ? "limUpp" : "limLow", e: base, lim: sign) unless sign.name == "mo"
          return filled("bar", {"pos" => above ? "top" : "bot"}, e: base) if %w[¯ _ ‾].include?(sign.text)
          return filled("acc", {"chr" => sign.text}, e: base) if above && node.attribute("accent") == "true"
          filled("groupChr", {"chr" => sign.text, "pos" => above ? "top" : "bot"}, e: base)
        end

        def scripts(node)
          at = node.children.index { |child| child.name == "mprescripts" }
          sub, sup = at ? node.children[(at + 1), 2] : node.children[1, 2]
          base = node.children[0]
          at ? filled("sPre", sub:, sup:, e: base) : filled("sSubSup", e: base, sub:, sup:)
        end

        def table(node)
          return lines(node) if node.attribute("columnalign")
          element("m").tap do |made|
            node.children.each do |cells|
              one = made.add_child(element("mr"))
              cells.children.each { |cell| row(one.add_child(element("e")), cell.children) }
            end
          end
        end

        # Lines that are aligned where they say.
        def lines(node)
          element("eqArr").tap do |made|
            node.children.each do |cells|
              line = made.add_child(element("e"))
              cells.children.each_with_index do |cell, index|
                line.add_child(letters("&")) if index.positive?
                row(line, cell.children)
              end
            end
          end
        end
      end
    end
  end
end
