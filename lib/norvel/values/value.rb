# frozen_string_literal: true

module Norvel
  # Frozen values of named members, changed by with.
  #   Point = Value.define(:x, :y, y: 0)
  #   Point.new(x: 1).with(y: 2) # => #<struct x=1, y=2>
  module Value
    # members by name; defaults for some of them; the block is the body of the class.
    def self.define(*members, **defaults, &body)
      Struct.new(*members, keyword_init: true) do
        define_method(:initialize) do |**given|
          super(**defaults, **given)
          freeze
        end

        # The same with other fields.
        def with(**changes)
          self.class.new(**to_h, **changes)
        end

        class_eval(&body) if body
      end
    end
  end
end
