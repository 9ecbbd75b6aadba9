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
          fields = Document::Field.in(paragraph).select { |field| FieldValues::InText::PAGES.include?(field.does) }
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
        numerals = field.computes.numerals
        case field.does
        when "page" then numerals ? Document::Numerals.write(sheet.number, numerals) : sheet.label
        when "pages" then Document::Numerals.write(@result.sheets.size, numerals || "decimal")
        else
          own = @result.sheets.count { |other| other.section == sheet.section }
          Document::Numerals.write(own, numerals || "decimal")
        end
      end
    end
  end
end
