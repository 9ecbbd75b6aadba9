# frozen_string_literal: true

module Norvel
  module Formats
    # Characters of a changed text matched with those of the text as it came, so that what stands in a file for a
    # character goes with it. Signs of objects are matched one by one, and letters between them.
    module Alignment
      SIGNS = [Document::Run::OBJECT, Document::Run::NOTE, Document::Run::SIGN].freeze

      module_function

      # units: what was there, each with its char. Returns a unit, or nil, for every character of the text.
      def match(text, units)
        stretches = split(units) { |unit| SIGNS.include?(unit.char) }
        texts = split(text.chars) { |char| SIGNS.include?(char) }
        return stretch(text.chars, units) if stretches.size != texts.size
        signs = units.select { |unit| SIGNS.include?(unit.char) }
        texts.zip(stretches).each_with_index.flat_map do |(chars, old), index|
          found = stretch(chars, old)
          signs[index] ? found + [signs[index]] : found
        end
      end

      # The stretches between the elements for which the block holds: always one more than those.
      def split(list)
        list.each_with_object([[]]) { |item, parts| yield(item) ? parts << [] : parts.last << item }
      end

      # In order when only some went, else by what begins and ends alike.
      def stretch(chars, units)
        rest = units.dup
        kept = chars.map do |char|
          rest.shift while rest.first && rest.first.char != char
          rest.shift
        end
        return kept if kept.none?(&:nil?)
        head = chars.zip(units).take_while { |char, unit| unit&.char == char }.size
        tail = chars.drop(head).reverse.zip(units.drop(head).reverse).take_while { |char, unit| unit&.char == char }
          .size
        units.first(head) + ([nil] * (chars.size - head - tail)) + units.last(tail)
      end

      private_class_method :split, :stretch
    end
  end
end
