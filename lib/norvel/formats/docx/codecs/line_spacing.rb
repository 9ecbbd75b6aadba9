# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # line + lineRule are one slot; auto counts 240ths of a line, exact and atLeast are twips (17.3.1.33).
        class LineSpacing < Measure
          RULES = {"exact" => "exact", "atLeast" => "at_least"}.freeze

          def initialize
            super("spacing", "line", "lineRule")
          end

          def read(element, part)
            line = part.attr(element, "line") or return
            rule = RULES[part.attr(element, "lineRule")]
            return {rule:, value: part.length(line, "twip")&.abs || 0.0} if rule
            number = line.match?(/\A-?\d{1,6}\z/) ? line.to_i : 240
            number.positive? ? {rule: "multiple", value: (number / 240.0).round(4)} : {rule: "exact",
                                                                                       value: number.abs / 20.0}
          end

          def put(parent, value, part)
            node = part.place(parent, element)
            multiple = value[:rule] == "multiple"
            part.set(node, "line", multiple ? (value[:value] * 240).round : Length.whole(value[:value], "twip"))
            part.set(node, "lineRule", multiple ? "auto" : RULES.key(value[:rule]))
          end
        end
      end
    end
  end
end
