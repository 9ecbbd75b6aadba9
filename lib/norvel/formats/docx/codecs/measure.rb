# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # One attribute of a shared element, such as w:spacing w:before. +names+ are spellings of one attribute (left,
        # start); +beaten_by+ are attributes that would win over it and so go when it is set.
        class Measure < Whole
          def initialize(element, *names, unit: "twip", beaten_by: [])
            super(element)
            @names = names
            @unit = unit
            @beaten_by = beaten_by
          end

          def read(element, part)
            @names.each { |name| (text = part.attr(element, name)) && (return part.length(text, @unit)) }
            nil
          end

          def put(parent, value, part)
            node = part.place(parent, element)
            part.unset(node, *@beaten_by, *@names.drop(1))
            part.unset(node, @names.first) if part.strict? && @names.size > 1
            part.set(node, (part.strict? && @names[1]) || @names.first, Length.whole(value, @unit))
          end

          def clear(parent, part)
            node = part.child(parent, element) or return
            part.unset(node, *@names, *@beaten_by)
            node.remove if node.attribute_nodes.empty?
          end
        end
      end
    end
  end
end
