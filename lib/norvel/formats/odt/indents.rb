# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # The left indent of a paragraph style by its chain, in points: what its tab stops are counted from.
      module Indents
        module_function

        # The left indent of a style in points, 0 where its chain says none.
        def of(sheet, style_id)
          chain = sheet.chain(sheet[style_id])
          found = chain.reverse.find { |style| style.paragraph[:indent_left].is_a?(Float) }
          (found ? found.paragraph : sheet.paragraph_defaults)[:indent_left].then do |points|
            points.is_a?(Float) ? points : 0.0
          end
        end
      end
    end
  end
end
