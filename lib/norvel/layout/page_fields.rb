# frozen_string_literal: true

module Norvel
  module Layout
    # What fields in the text that are computed from pages say, once pages are known.
    class PageFields
      def initialize(result)
        @result = result
      end

      # {paragraph id => {field id => text}}
      def said
        @result.stories.setting.computed.each_with_object({}) do |paragraph, found|
          fields = FieldValues.in(paragraph).select { |field| FieldValues::InText::PAGES.include?(field.does) }
          values = values(fields, paragraph)
          found[paragraph.id] = values if values.any?
        end
      end

      private

      def values(fields, paragraph)
        sheet = @result.sheet_of(paragraph.id) or return {}
        fields.to_h { |field| [field.id, value(field, sheet)] }
      end

      def value(field, sheet)
        format = FieldValues.format(field.instruction)
        case field.does
        when "page" then format ? Document::Numerals.write(sheet.number, format) : sheet.label
        when "pages" then Document::Numerals.write(@result.sheets.size, format || "decimal")
        else
          own = @result.sheets.count { |other| other.section == sheet.section }
          Document::Numerals.write(own, format || "decimal")
        end
      end
    end
  end
end
