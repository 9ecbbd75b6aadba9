# frozen_string_literal: true

module Norvel
  module Edits
    # Sets page sizes and margins of sections.
    class SetPage < Edit
      include PageStyles

      # sections: numbers from 1; values: {width:, height:, margin_left: …} in points
      def initialize(sections, values)
        @sections = sections
        @values = values
      end

      def change(document)
        with_styles_following(document, set_up(document, @sections.to_h { |number| [number, @values] }))
      end

      def title(_document)
        said = @values.map { |name, value| "#{name.to_s.tr("_", " ")} #{Length.spoken(value, Length.of_sheets)}" }
        "Set #{said.join(", ")} in #{count(@sections.size, "section")}"
      end
    end
  end
end
