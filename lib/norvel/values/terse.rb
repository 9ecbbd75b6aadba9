# frozen_string_literal: true

module Norvel
  # An object named by its class alone. Ruby tells in the message of a NoMethodError all that hangs on an object, which
  # takes gigabytes where that is a document's sheets.
  module Terse
    # Some of ours have a name and constants of another kind.
    NAME = Module.instance_method(:name)
    CONSTANTS = Module.instance_method(:constants)

    # Makes objects of a class so, and those of classes within it, where they don't say themselves what they are.
    def self.make(value)
      return unless value.is_a?(Module)
      value.include(self) if value.is_a?(Class) && value.instance_method(:inspect).owner == Kernel
      CONSTANTS.bind_call(value, false).reject { |name| value.autoload?(name) }.map { |name| value.const_get(name) }
        .each { |inner| make(inner) if inner.is_a?(Module) && within?(value, inner) }
    end

    def self.within?(value, inner)
      NAME.bind_call(inner).to_s.start_with?("#{NAME.bind_call(value)}::")
    end

    private_class_method :within?

    def inspect
      "#<#{NAME.bind_call(self.class)}>"
    end
  end
end
