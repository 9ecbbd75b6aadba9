# frozen_string_literal: true

module Norvel
  module Layout
    # What a STYLEREF field says on a sheet (ISO/IEC 29500-1 17.16.5.59): the text of the first paragraph in a style on
    # it, else of the last one before.
    class RunningTitle
      def initialize(result)
        @result = result
        @document = result.document
      end

      # style_text: a Document::Computed::StyleText
      def on(sheet, style_text)
        wanted = paragraphs(style_text)
        return if wanted.empty?
        here = sheet.paragraphs.find { |paragraph| wanted[paragraph.id] }
        (here || last_before(sheet, wanted))&.text&.strip
      end

      private

      # {id => true} of those in the style, or of headings of the level.
      def paragraphs(style_text)
        @result.running_titles[style_text] ||= @document.paragraphs.select { |one| wears?(one, style_text) }
          .to_h { |one| [one.id, true] }
      end

      def wears?(paragraph, style_text)
        return @document.heading_level(paragraph) == style_text.level if style_text.level
        @document.style_name(paragraph).casecmp?(style_text.style.to_s)
      end

      def last_before(sheet, wanted)
        first = sheet.paragraphs.first or return
        @document.paragraphs.first(@document.position(first.id)).reverse_each.find { |one| wanted[one.id] }
      end
    end
  end
end
