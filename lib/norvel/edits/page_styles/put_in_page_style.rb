# frozen_string_literal: true

module Norvel
  module Edits
    # Sets sections up as a page style says.
    class PutInPageStyle < Edit
      include PageStyles

      # sections: numbers from 1
      def initialize(sections, name)
        @sections = sections
        @name = name
      end

      def change(document)
        raise Refused, "No section is chosen." if @sections.empty?
        missing = @sections.find { |number| !number.between?(1, document.sections.size) }
        raise Refused, "There is no section #{missing} in this document." if missing
        values = page_style(document, @name).set_up
        set_up(document, @sections.to_h { |number| [number, values] })
      end

      def title(_document)
        "Put #{numbers(@sections)} in the page style #{@name}"
      end
    end
  end
end
