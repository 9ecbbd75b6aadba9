# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Office MathML to a formula (ISO/IEC 29500-1 22.1): fractions, roots, scripts, limits, large signs, brackets,
      # accents, matrices and letters by their style. What has no name here is the row of what stands in it.
      module MathsReader
        # Letters as they are told apart in a run: a number, a word set upright, a letter with its marks, spaces, signs.
        TOKENS = /\d+(?:[.,]\d+)*|\p{L}\p{M}*|\s+|./m
        WORD = /\d+(?:[.,]\d+)*|\p{L}[\p{L}\p{M}]*|\s+|./m
        FENCE = /\A[()\[\]{}|‖⌈⌉⌊⌋⟨⟩]\z/
        STYLES = {"b" => "bold", "bi" => "bold-italic", "p" => "normal", "i" => "italic"}.freeze
        SCRIPTS = {"double-struck" => "double-struck", "script" => "script", "fraktur" => "fraktur",
                   "sans-serif" => "sans-serif", "monospace" => "monospace"}.freeze
        # {element => [the same here, its parts in order]} of those that say no more than their parts.
        PARTS = {"sSub" => ["msub", %w[e sub]], "sSup" => ["msup", %w[e sup]], "sSubSup" => ["msubsup", %w[e sub sup]],
                 "limLow" => ["munder", %w[e lim]], "limUpp" => ["mover", %w[e lim]]}.freeze
        KINDS = {"f" => :fraction, "rad" => :root, "sPre" => :before, "nary" => :large, "d" => :brackets,
                 "acc" => :accent, "bar" => :bar, "groupChr" => :group, "func" => :function, "m" => :matrix,
                 "eqArr" => :lines, "r" => :run, "phant" => :unseen, "borderBox" => :boxed,
                 **PARTS.transform_values { :of_parts }}.freeze
        SILENT = %w[ctrlPr rPr del moveFrom proofErr bookmarkStart bookmarkEnd].to_h { |name| [name, true] }.freeze
        NOTHING = Mathml::Node.make("mrow")

        module_function

        # The formula of an m:oMath or m:oMathPara.
        def formula(node)
          lines = (node.name == "oMathPara") ? of(node, "oMath") : [node]
          rows = lines.map { |line| within(line, 0) }
          display = node.name == "oMathPara"
          return Mathml::Node.math(rows.first || [], display:) if rows.size < 2
          Mathml::Node.math([stacked(rows.map { |row| [Mathml::Node.row(row)] })], display:)
        end

        # The nodes of what stands in an element.
        def within(node, depth)
          return [Mathml::Node.make("mtext", node.text)] if depth > Mathml::DEEPEST
          node.element_children.flat_map { |child|
            next [] if SILENT.key?(child.name) || child.name.end_with?("Pr")
            kind = KINDS[child.name]
            kind ? send(kind, child, depth + 1) : within(child, depth + 1)
          }
        end

        # The row of a named part, an empty one where it is not there.
        def part(node, name, depth)
          found = of(node, name).first
          found ? Mathml::Node.row(within(found, depth)) : NOTHING
        end

        # What a property of an element says; nil where it is not there.
        def property(node, name)
          found = node.element_children.find { |child| child.name == "#{node.name}Pr" } or return
          said = of(found, name).first
          said && (said.attribute_nodes.find { |one| one.node_name == "val" }&.value || "")
        end

        # On, by an element that is there and does not say otherwise.
        def on?(node, name)
          said = property(node, name)
          !said.nil? && !%w[0 off false].include?(said)
        end

        def of(node, name)
          node.element_children.select { |child| child.name == name }
        end

        def make(...)
          Mathml::Node.make(...)
        end

        # --- letters ---

        def run(node, _depth)
          text = of(node, "t").map(&:text).join
          return [] if text.empty?
          return [make("mtext", text)] if on_run?(node, "nor")
          style, script = run_says(node, "sty"), run_says(node, "scr")
          text.scan((style == "p") ? WORD : TOKENS).flat_map { |token| token(token, style, script) }
        end

        def run_says(node, name)
          set = of(node, "rPr").map { |one| of(one, name).first }.compact.first
          set&.attribute_nodes&.find { |one| one.node_name == "val" }&.value
        end

        def on_run?(node, name)
          said = of(node, "rPr").any? { |one| of(one, name).any? }
          said && !%w[0 off false].include?(run_says(node, name))
        end

        def token(text, style, script)
          case text
          when /\A\s/ then make("mspace", width: "#{(text.size * 0.25).round(2)}em")
          when /\A\d/ then make("mn", text, **variant(style, script, "b" => "bold", "bi" => "bold-italic"))
          when /\A\p{L}/ then make("mi", text, **variant(style, script, STYLES))
          when FENCE then make("mo", text, stretchy: "false") # what was typed stays as large as it was
          else make("mo", text)
          end
        end

        def variant(style, script, styles)
          found = SCRIPTS[script] || styles[style]
          (found.nil? || found == "italic") ? {} : {mathvariant: found}
        end

        # --- what stands together ---

        def fraction(node, depth)
          over, under = part(node, "num", depth), part(node, "den", depth)
          case property(node, "type")
          when "lin" then [over, make("mo", "/"), under]
          when "skw" then make("mfrac", over, under, bevelled: "true")
          when "noBar" then make("mfrac", over, under, linethickness: "0")
          else make("mfrac", over, under)
          end
        end

        def root(node, depth)
          radicand, degree = part(node, "e", depth), part(node, "deg", depth)
          return make("msqrt", radicand) if on?(node, "degHide") || degree == NOTHING
          make("mroot", radicand, degree)
        end

        def of_parts(node, depth)
          name, parts = PARTS.fetch(node.name)
          make(name, *parts.map { |one| part(node, one, depth) })
        end

        def before(node, depth)
          make("mmultiscripts", part(node, "e", depth), make("mprescripts"), part(node, "sub", depth),
            part(node, "sup", depth))
        end

        # A sum, integral and the like with its limits (22.1.2.70).
        def large(node, depth)
          sign = make("mo", sign(node, "chr", "∫"), largeop: "true", movablelimits: "false")
          sub = part(node, "sub", depth) unless on?(node, "subHide")
          sup = part(node, "sup", depth) unless on?(node, "supHide")
          [limits(sign, sub, sup, beside: property(node, "limLoc") != "undOvr"), part(node, "e", depth)]
        end

        def limits(sign, sub, sup, beside:)
          names = beside ? %w[msub msup msubsup] : %w[munder mover munderover]
          return make(names[2], sign, sub, sup) if sub && sup
          return sign unless sub || sup
          make(sub ? names[0] : names[1], sign, sub || sup)
        end

        # A sign that a property names; one that is there and empty stands for none.
        def sign(node, name, default)
          property(node, name) || default
        end

        def brackets(node, depth)
          open, close, between = sign(node, "begChr", "("), sign(node, "endChr", ")"), sign(node, "sepChr", "|")
          parts = of(node, "e").map { |one| Mathml::Node.row(within(one, depth)) }
          inside = parts.flat_map { |one| [make("mo", between, fence: "true"), one] }.drop(1)
          make("mrow", *fence(open, "prefix"), *inside, *fence(close, "postfix"))
        end

        def fence(sign, form)
          sign.empty? ? [] : [make("mo", sign, fence: "true", stretchy: "true", form:)]
        end

        def accent(node, depth)
          make("mover", part(node, "e", depth), make("mo", sign(node, "chr", "\u0302")), accent: "true")
        end

        def bar(node, depth)
          top = property(node, "pos") == "top"
          make(top ? "mover" : "munder", part(node, "e", depth), make("mo", top ? "¯" : "_", stretchy: "true"))
        end

        def group(node, depth)
          top = property(node, "pos") == "top"
          make(top ? "mover" : "munder", part(node, "e", depth), make("mo", sign(node, "chr", "⏟"), stretchy: "true"))
        end

        def function(node, depth)
          [part(node, "fName", depth), make("mo", "\u2061"), part(node, "e", depth)]
        end

        def matrix(node, depth)
          stacked(of(node, "mr").map { |row| of(row, "e").map { |one| Mathml::Node.row(within(one, depth)) } })
        end

        # Lines one below the other, each aligned where it says "&"; "#" sets the number of a line apart (22.1.2.34).
        def lines(node, depth)
          rows = of(node, "e").map do |one|
            within(one, depth).map { |part| (part.text == "#") ? make("mspace", width: "2em") : part }
              .slice_when { |left, right| mark?(left) || mark?(right) }
              .reject { |part| part.size == 1 && mark?(part.first) }.map { |part| Mathml::Node.row(part) }
          end
          stacked(rows, columnalign: (rows.any? { |row| row.size > 1 }) ? "right left" : "left")
        end

        def mark?(node)
          node.text == "&"
        end

        def stacked(rows, **attributes)
          make("mtable", *rows.map { |cells| make("mtr", *cells.map { |cell| make("mtd", cell) }) }, **attributes)
        end

        def unseen(node, depth)
          shown = property(node, "show")
          inside = part(node, "e", depth)
          (shown && %w[0 off false].include?(shown)) ? make("mphantom", inside) : inside
        end

        def boxed(node, depth)
          make("menclose", part(node, "e", depth), notation: "box")
        end

        private_class_method :within, :part, :property, :on?, :of, :make, :run_says, :on_run?, :token, :variant,
          :limits, :sign, :fence, :mark?, :stacked, :fraction, :root, :of_parts, :before,
          :large, :brackets, :accent, :bar, :group, :function, :matrix, :lines, :run, :unseen, :boxed
      end
    end
  end
end
