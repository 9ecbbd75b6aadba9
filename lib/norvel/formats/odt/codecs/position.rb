# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      module Codecs
        # style:text-position: "super 58%", or how far it is raised in percent and how large it is. Text that is raised
        # at its full size is on the line as far as a reader of words is concerned.
        class Position < Attribute
          SIZE = "58%" # of superscript and subscript: common practice

          def read(attributes, _fonts)
            text = attributes[@name] or return
            place, size = text.split
            return "super" if place == "super"
            return "sub" if place == "sub"
            raised = place.to_f
            return "normal" if raised.zero? || size.nil? || size.to_f >= 100
            raised.positive? ? "super" : "sub"
          end

          private

          def text(value)
            (value == "normal") ? "0% 100%" : "#{value} #{SIZE}"
          end
        end
      end
    end
  end
end
