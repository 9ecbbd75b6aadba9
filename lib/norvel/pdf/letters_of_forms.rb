# frozen_string_literal: true

module Norvel
  module Pdf
    # What a file says of its glyphs in Unicode: the letter that a joined form is of, so that words are found and copied
    # as they were written.
    module LettersOfForms
      # mapping: {code in the file => code point}
      def initialize(mapping, *more)
        super(mapping.transform_values { |code| Layout::Arabic::LETTERS.fetch(code, code) }, *more)
      end
    end
  end
end
