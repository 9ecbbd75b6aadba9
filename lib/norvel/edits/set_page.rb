# frozen_string_literal: true

module Norvel
  module Edits
    # Sets page sizes and margins of sections.
    class SetPage < Edit
      # sections: numbers from 1; values: {width:, height:, margin_left: …} in points
      def initialize(sections, values)
        @sections = sections
        @values = values
      end

      def change(document)
        sections = document.sections.each_with_index.map { |section, index| @sections.include?(index + 1) ? section.with(**@values) : section }
        raise Refused, "The margins leave no room for text." if sections.any? { |section| section.measure < 36 || section.height - section.margin_top - section.margin_bottom < 36 }
        document.with(sections: sections.freeze)
      end

      def title(_document)
        "Set #{@values.map { |name, value| "#{name.to_s.tr("_", " ")} #{Length.spoken(value, "mm")}" }.join(", ")} in #{count(@sections.size, "section")}"
      end
    end
  end
end
