# frozen_string_literal: true

module Norvel
  module Layout
    # What fields say that are computed from pages (ISO/IEC 29500-1 17.16.5.33, .42, .50, .59).
    module FieldValues
      # In the text: what the pages of the round before say; nil at first, when the words of the file stand.
      class InText
        PAGES = %w[page pages pages_of_section].freeze

        # texts: {paragraph id => {field id => text}}
        # note_sheets: {note id => index of the sheet that its mark stands on}, where notes are counted by page
        attr_reader :texts, :note_sheets

        def initialize(texts = {}, note_sheets = {})
          @texts = texts
          @note_sheets = note_sheets
        end

        # Those of a Result.
        def self.from(result)
          sheets = NoteNumbers.by_page?(result.document) ? NoteNumbers.sheets(result) : {}
          new(PageFields.new(result).texts, sheets)
        end

        # Do fields and notes say what they said?
        def same?(other)
          texts == other.texts && note_sheets == other.note_sheets
        end

        # {field's id => its words} in a paragraph.
        def of(paragraph)
          @texts[paragraph.id]
        end
      end

      # In heads and feet of a sheet.
      class OnSheet
        # values: {what fields do => Value}, style_text: called with a Computed::StyleText
        def initialize(values, style_text)
          @values = values
          @style_text = style_text
        end

        # {field's id => its words} in a paragraph.
        def of(paragraph)
          Document::Field.in(paragraph).filter_map { |field|
            value = (field.does == "style_text") ? @style_text.call(field.computes) : text(field)
            [field.id, value] if value
          }.to_h
        end

        private

        # A field may say the number in numerals of its own.
        def text(field)
          value = @values[field.does] or return
          value.in(field.computes.numerals)
        end
      end

      # A number and how it is printed where a field asks for no numerals of its own.
      Value = Struct.new(:number, :text) do
        # {field's id => its words} in a paragraph.
        def in(numerals)
          (numerals && number) ? Document::Numerals.write(number, numerals) : text
        end
      end

      # What fields say of a sheet of a Result, by what they do: {"page" => Value, …}
      def self.of_sheet(sheet, result)
        own = result.sheets_of_section(sheet.section)
        {"page" => Value.new(sheet.number, sheet.label), "section" => Value.new(sheet.section, sheet.section.to_s),
         "pages" => Value.new(result.sheets.size, result.sheets.size.to_s),
         "pages_of_section" => Value.new(own, own.to_s)}
      end
    end
  end
end
