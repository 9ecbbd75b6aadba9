# frozen_string_literal: true

module Norvel
  module Layout
    module Formulas
      # Letters of a formula as characters of their own (Unicode, Mathematical Alphanumeric Symbols): a letter alone is
      # set in italics, a word upright (MathML Core 3.1, "italic" by default).
      module Alphabet
        # {variant => [first capital, first small letter, first digit]}
        STARTS = {
          "italic" => [0x1D434, 0x1D44E], "bold" => [0x1D400, 0x1D41A, 0x1D7CE], "bold-italic" => [0x1D468, 0x1D482],
          "double-struck" => [0x1D538, 0x1D552, 0x1D7D8], "script" => [0x1D49C, 0x1D4B6],
          "fraktur" => [0x1D504, 0x1D51E],
          "sans-serif" => [0x1D5A0, 0x1D5BA, 0x1D7E2], "monospace" => [0x1D670, 0x1D68A, 0x1D7F6]
        }.freeze
        # {variant => [capital alpha, small alpha]}
        GREEK = {"italic" => [0x1D6E2, 0x1D6FC], "bold" => [0x1D6A8, 0x1D6C2],
                 "bold-italic" => [0x1D71C, 0x1D736]}.freeze
        # Letters that stood elsewhere before.
        OLDER = {0x1D455 => "ℎ", 0x1D49D => "ℬ", 0x1D4A0 => "ℰ", 0x1D4A1 => "ℱ", 0x1D4A3 => "ℋ", 0x1D4A4 => "ℐ",
                 0x1D4A7 => "ℒ", 0x1D4A8 => "ℳ", 0x1D4AD => "ℛ", 0x1D4BA => "ℯ", 0x1D4BC => "ℊ", 0x1D4C4 => "ℴ",
                 0x1D506 => "ℭ", 0x1D50B => "ℌ", 0x1D50C => "ℑ", 0x1D515 => "ℜ", 0x1D51D => "ℨ", 0x1D53A => "ℂ",
                 0x1D53F => "ℍ", 0x1D545 => "ℕ", 0x1D547 => "ℙ", 0x1D548 => "ℚ", 0x1D549 => "ℝ", 0x1D551 => "ℤ"}.freeze

        module_function

        # The text of a token as it is drawn.
        #   Alphabet.shown(Mathml::Node.make("mi", "x")) # => "𝑥"
        def shown(node)
          variant = node.attribute("mathvariant") || ((node.name == "mi" && node.text.size == 1) ? "italic" : "normal")
          return node.text if variant == "normal" || node.name == "mtext"
          node.text.each_char.map { |character| letter(character, variant) }.join
        end

        def letter(character, variant)
          capital, small, digit = STARTS[variant]
          upper, lower = GREEK[variant]
          code = case character
          when "A".."Z" then capital && (capital + character.ord - 65)
          when "a".."z" then small && (small + character.ord - 97)
          when "0".."9" then digit && (digit + character.ord - 48)
          when "Α".."Ω" then upper && (upper + character.ord - 0x391)
          when "α".."ω" then lower && (lower + character.ord - 0x3B1)
          end
          code ? OLDER.fetch(code) { [code].pack("U") } : character
        end

        private_class_method :letter
      end
    end
  end
end
