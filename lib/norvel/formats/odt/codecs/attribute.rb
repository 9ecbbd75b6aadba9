# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # What all have in common: the attribute that holds the value, and those that would have a say beside it, which
        # go when it is set.
        class Attribute
          attr_reader :names

          def initialize(name, beside: [])
            @name = name
            @names = [name, *beside].freeze
          end

          # The value that attributes say, nil for none; fonts: {name of a font face => its family}.
          def read(_attributes, _fonts)
            raise NotImplementedError
          end

          # {attribute => text} for a value; the others of its names taken out.
          def write(value)
            gone = @names.to_h { |name| [name, nil] }
            value.nil? ? gone : gone.merge(@name => text(value))
          end
        end
      end
    end
  end
end
