# frozen_string_literal: true

module Norvel
  module Layout
    # Arabic letters as they are joined: each by its neighbours in its isolated, final, initial or medial form, which
    # are characters of their own (Unicode, Arabic Presentation Forms; how they join: ArabicShaping.txt).
    module Arabic
      LETTER = /[\u0621-\u064A\u0671-\u06D3]/
      # {letter => [isolated, final, initial, medial]}, nil where it has none
      FORMS = UnicodeTable.lines("arabic_forms.txt").to_h { |letter, *forms|
        [UnicodeTable.character(letter), forms.map { |code| UnicodeTable.character(code) unless code == "-" }]
      }.freeze
      # {code point of a form => that of its letter}
      LETTERS = FORMS.flat_map { |letter, forms| forms.compact.map { |form| [form.ord, letter.ord] } }.to_h.freeze
      # Lam and one of these are one sign: [isolated, final].
      WITH_LAM = {"\u0622" => %w[ﻵ ﻶ], "\u0623" => %w[ﻷ ﻸ], "\u0625" => %w[ﻹ ﻺ], "\u0627" => %w[ﻻ ﻼ]}.freeze
      LAM = "\u0644"
      JOINING = "\u0640\u200D" # kashida and the joiner join at both sides
      GONE = "\u200B" # takes no room
      MARK = /\p{Mn}/

      module_function

      # The text in the forms of its letters, as long as it was.
      #   Arabic.shaped("بب") # => "ﺑﺐ"
      def shaped(text)
        return text if text.ascii_only? || !LETTER.match?(text)
        characters = text.chars
        places = characters.each_index.reject { |place| MARK.match?(characters[place]) }
        made = characters.dup
        places.each_with_index do |place, index|
          next unless FORMS.key?(characters[place])
          before = index.positive? && characters[places[index - 1]]
          made[place] = form(characters[place], before, characters[places[index + 1] || characters.size])
        end
        ligated(characters, made, places)
      end

      # Does a letter join to what follows it, or stand in the middle of what joins?
      def joins?(character)
        JOINING.include?(character) || !FORMS.dig(character, 2).nil?
      end

      def form(letter, before, after)
        forms = FORMS.fetch(letter)
        back = before && joins?(before) && forms[1]
        on = after && forms[2] && (JOINING.include?(after) || FORMS.dig(after, 1))
        return letter unless back || on # alone it is drawn as it is
        forms[(back ? 1 : 0) + (on ? 2 : 0)] || letter
      end

      # An alef after a lam goes into it.
      def ligated(characters, made, places)
        places.each_cons(2) do |lam, alef|
          next unless characters[lam] == LAM && (signs = WITH_LAM[characters[alef]])
          joined = [FORMS[LAM][1], FORMS[LAM][3]].include?(made[lam])
          made[lam], made[alef] = signs[joined ? 1 : 0], GONE
        end
        made.join
      end
      private_class_method :form, :ligated
    end
  end
end
