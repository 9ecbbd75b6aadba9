# frozen_string_literal: true

module Norvel
  module Layout
    # What fields in the text that are computed from pages say, once pages are known.
    class PageFields
      def initialize(result)
        @result = result
      end

      # {paragraph id => {field id => text}}
      def texts
        @result.stories.setting.computed.each_with_object({}) do |paragraph, found|
          fields = Document::Field.in(paragraph).select { |field| FieldValues::InText::PAGES.include?(field.does) }
          values = values(fields, paragraph)
          found[paragraph.id] = values if values.any?
        end
      end

      private

      def values(fields, paragraph)
        sheet = @result.sheet_of(paragraph.id) or return {}
        values = FieldValues.of_sheet(sheet, @result)
        fields.to_h { |field| [field.id, values.fetch(field.does).in(field.computes.numerals)] }
      end
    end
  end
end
