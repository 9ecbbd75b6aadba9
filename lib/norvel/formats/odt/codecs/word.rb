# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # One of a few words. +words+ maps each to a value; the first that gives a value is the one that is written.
        class Word < Attribute
          def initialize(name, words, beside: [])
            super(name, beside:)
            @words = words
          end

          def read(attributes, _fonts)
            @words[attributes[@name]]
          end

          private

          def text(value)
            @words.key(value)
          end
        end
      end
    end
  end
end
