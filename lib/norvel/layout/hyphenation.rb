# frozen_string_literal: true

module Norvel
  module Layout
    # Where a word may be divided, by Liang's patterns for its language (Word Hy-phen-a-tion by Com-put-er, 1983): at
    # least two letters before and three after.
    module Hyphenation
      NAMES = {"en" => "en_us", "en-us" => "en_us", "en-gb" => "en_uk", "de" => "de2", "pt" => "pt", "no" => "no1",
               "nb" => "no1", "nn" => "no1"}.freeze
      LETTERS = /\A(\P{L}*)(\p{L}{5,40})\P{L}*\z/
      KNOWN = Recent.new(5000)
      PATTERNS = {}
      GUARD = Mutex.new

      module_function

      # Places from the word's begin after which it may be divided, [] where none is known.
      #   Hyphenation.places("hyphenation", "en-US") # => [2, 6]
      def places(word, language)
        code = language.is_a?(Hash) ? language[:val] : language
        KNOWN.fetch([word, code]) { find(word, code.to_s.downcase) }
      end

      # The places in a word where it may be divided.
      def find(word, code)
        before, letters = LETTERS.match(word)&.captures
        return [] unless letters && (patterns = patterns(code))
        GUARD.synchronize { patterns.hyphenate(letters) }.map { |place| place + before.size }
          .select { |place| place - before.size >= 2 && letters.size - place + before.size >= 3 }
      rescue IndexError
        []
      end
      private_class_method :find

      # Patterns of a language; nil where there are none.
      def patterns(code)
        GUARD.synchronize do
          name = NAMES[code] || NAMES[code[0, 2]] || code[0, 2]
          PATTERNS.fetch(name) { PATTERNS[name] = load(name) }
        end
      end
      private_class_method :patterns

      # The gem keeps one letter more on each side than it is told.
      def load(name)
        require "text/hyphen"
        Text::Hyphen.new(language: name, left: 1, right: 2)
      rescue LoadError, NameError, ArgumentError
        nil
      end
      private_class_method :load
    end
  end
end
