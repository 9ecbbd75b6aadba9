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
        # values: {what fields do => Value}, style_text: called with a Computed::StyleText
        def initialize(values, style_text)
          @values = values
          @style_text = style_text
        end

        def of(paragraph)
          Document::Field.in(paragraph).filter_map { |field|
            value = (field.does == "style_text") ? @style_text.call(field.computes) : said(field)
            [field.id, value] if value
          }.to_h
        end

        private

        # A field may say the number in numerals of its own.
        def said(field)
          value = @values[field.does] or return
          numerals = field.computes.numerals
          (numerals && value.number) ? Document::Numerals.write(value.number, numerals) : value.text
        end
      end

      # A number and how it is printed.
      Value = Struct.new(:number, :text)
    end
  end
end
