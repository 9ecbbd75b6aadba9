# frozen_string_literal: true

module Norvel
  module Pdf
    # What a file says of its glyphs in Unicode: the letter that a joined form is of, both letters of a lam with its
    # alef, so that words are found and copied as they were written.
    module LettersOfForms
      # {code of a sign => its two letters, in hexadecimal digits of UTF-16}
      TWO = Layout::Arabic::WITH_LAM.flat_map { |alef, signs|
        signs.map { |sign| [sign.ord, (Layout::Arabic::LAM + alef).encode("UTF-16BE").unpack1("H*")] }
      }.to_h.freeze

      # mapping: {code in the file => code point}
      def initialize(mapping, *more)
        super(mapping.transform_values { |code| Layout::Arabic::LETTERS.fetch(code, code) }, *more)
      end

      # The CMap; a code may stand for several characters (ISO 32000-1 9.10.3).
      def generate
        super.gsub(/<(fef[5-9a-c])>/) { "<#{TWO.fetch($1.hex)}>" }
      end

      private

      # Each sign of two letters is told alone, since ranges count on from one.
      def mapping_spans(mapping)
        two, one = mapping.partition { |_, code| TWO.key?(code) }
        super(one) + two.map { |pair| [:short, [pair]] }
      end
    end
  end
end
