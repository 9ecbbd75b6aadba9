# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      module Codecs
        # 0–8 in the file are levels 1–9 and 9 is body text, here 0 (17.3.1.20).
        class OutlineLevel < Plain
          def read(element, part)
            text = part.attr(element, "val")
            return unless text&.match?(/\A\d\z/)
            (text == "9") ? 0 : text.to_i + 1
          end

          def put(parent, value, part)
            part.set(fresh(parent, part), "val", (value.zero? ? 9 : value - 1))
          end
        end
      end
    end
  end
end
