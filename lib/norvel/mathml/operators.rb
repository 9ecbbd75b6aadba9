# frozen_string_literal: true

module Norvel
  module Mathml
    # What a sign in a formula does by itself (MathML Core, appendix B): the room before and after it in ems, whether it
    # stretches with what stands beside, is large where a formula has its own line, and takes limits over and under it
    # there.
    module Operators
      Entry = Value.define(:before, :after, :stretches, :large, :limits, stretches: false, large: false, limits: false)
      EM = 18.0 # spaces are told in eighteenths

      # The room beside signs of each category, in eighteenths.
      ROOM = {relation: [5, 5], arrow: [5, 5], binary: [4, 4], product: [3, 3], sign: [0, 0], fence: [0, 0],
              integral: [3, 3], sum: [3, 3], mark: [0, 3], nothing: [0, 0]}.freeze
      SIGNS = {
        arrow: "←↑→↓↔↕⇐⇑⇒⇓⇔⇕⟵⟶⟷⟸⟹⟺↦↼⇀⇌",
        binary: "+-±÷−∓∔∖∧∨∩∪∸⊎⊓⊔⊕⊖⊘⋎⋏⋒⋓⊞⊟/⁄",
        product: "%*.·•∗∘∙⋅×⊗⊙⋄⋆⋉⋊?@",
        sign: "!'′″‴∂∇∀∃¬√°…⋯⋮⋱∆",
        fence: "()[]{}|‖⌈⌉⌊⌋⟨⟩⟦⟧",
        integral: "∫∬∭∮∯∰",
        sum: "∑∏∐⋀⋁⋂⋃⨀⨁⨂⨆",
        mark: ",;:",
        nothing: "\u2061\u2062\u2063\u2064\\_^~¯ˆ˜̂̃̄̇̈⃗⏞⏟⏜⏝&"
      }.flat_map { |kind, signs| signs.each_char.map { |sign| [sign, kind] } }.to_h.freeze
      PREFIXES = "+-±−∓"
      STRETCHED = %i[fence arrow].freeze
      ENTRIES = ROOM.to_h { |kind, room|
        before, after = room.map { |part| part / EM }
        [kind, Entry.new(before:, after:, stretches: STRETCHED.include?(kind), large: %i[integral sum].include?(kind),
          limits: kind == :sum)]
      }.freeze

      module_function

      # The Entry of a sign. prefix: does it begin what it stands in, or follow another sign?
      #   Operators.of("+").before # => 0.222…
      def of(sign, prefix: false)
        return ENTRIES[:sign] if prefix && PREFIXES.include?(sign)
        ENTRIES.fetch(kind(sign))
      end

      # The kind of a sign: a key of ENTRIES.
      def kind(sign)
        SIGNS.fetch(sign, :relation)
      end

      # Is a sign set large in displayed formulas?
      def large?(sign)
        %i[integral sum].include?(SIGNS[sign])
      end

      # Does it join or relate what stands on both sides?
      def joins?(sign)
        %i[relation arrow binary].include?(kind(sign))
      end

      # After it, does a sign that joins two things join nothing?
      def opens?(sign)
        !%i[sign fence].include?(kind(sign)) || "([{⟨⌈⌊".include?(sign)
      end
    end
  end
end
