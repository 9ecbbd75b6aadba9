# frozen_string_literal: true

module Norvel
  module Layout
    # What fields say that are computed from pages (ISO/IEC 29500-1 17.16.5.33, .42, .50, .59).
    module FieldValues
      # In the text: what the pages of the round before say; nil at first, when the words of the file stand.
      class InText
        PAGES = %w[page pages pages_of_section].freeze

        # said: {paragraph id => {field id => text}}
        attr_reader :said

        def initialize(said = {})
          @said = said
        end

        def of(paragraph)
          @said[paragraph.id]
        end
      end

      # In heads and feet of a sheet.
      class OnSheet
        # values: {does => text}, style_texts: called with an instruction
        def initialize(values, style_text)
          @values = values
          @style_text = style_text
        end

        def of(paragraph)
          FieldValues.in(paragraph).filter_map { |field|
            value = (field.does == "style_text") ? @style_text.call(field.instruction) : said(field)
            [field.id, value] if value
          }.to_h
        end

        private

        # A field may say the number in a form of its own: \\* ROMAN.
        def said(field)
          value = @values[field.does] or return
          format = FieldValues.format(field.instruction)
          (format && value.number) ? Document::Numerals.write(value.number, format) : value.text
        end
      end

      # A number and how it is printed.
      Value = Struct.new(:number, :text)

      FORMATS = {"roman" => "lower_roman", "ROMAN" => "upper_roman", "Roman" => "upper_roman",
                 "alphabetic" => "lower_letter", "ALPHABETIC" => "upper_letter", "Arabic" => "decimal",
                 "ARABIC" => "decimal"}.freeze

      module_function

      # The fields that begin in a paragraph, or whose result it shows.
      def in(paragraph)
        paragraph.runs.flat_map { |run| (run.objects + run.within).grep(Document::Field) }.uniq
      end

      # The format that an instruction asks for, nil for the page's own.
      #   format(" PAGE \\* roman ") # => "lower_roman"
      def format(instruction)
        FORMATS[instruction.to_s[/\\\*\s*(\w+)/, 1]]
      end
    end
  end
end
