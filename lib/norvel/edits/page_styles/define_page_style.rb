# frozen_string_literal: true

module Norvel
  module Edits
    # Gives the page set-up of a section a name. All sections set up alike are in it.
    class DefinePageStyle < Edit
      include PageStyles

      # section: a number from 1
      def initialize(name, section)
        @name = name.to_s.strip
        @section = section
      end

      def change(document)
        section = document.sections[@section - 1] or raise Refused, "There is no section #{@section} in this document."
        same = document.page_styles.find { |style| style.worn_by?(section) }
        raise Refused, "Section #{@section} is in the page style #{same.name} already: change its set-up first." if same
        document.with(page_styles: (document.page_styles +
          [Document::PageStyle.of(section, free_name(document, @name))]).freeze)
      end

      def title(_document)
        "Make the page style #{@name}"
      end
    end
  end
end
