# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # A count of lines, characters or a switch beside a measure: kept as it is in the file, a plain number.
        class Count < Measure
          def read(element, part)
            @names.each do |name|
              text = part.attr(element, name) or next
              return 1 if %w[true on].include?(text)
              return text.to_i if text.match?(/\A-?\d{1,6}\z/)
            end
            nil
          end

          def put(parent, value, part)
            part.set(part.place(parent, element), @names.first, value)
          end
        end
      end
    end
  end
end
