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

      def on(sheet, instruction)
        wanted = paragraphs(instruction)
        return if wanted.empty?
        here = sheet.paragraphs.find { |paragraph| wanted[paragraph.id] }
        (here || last_before(sheet, wanted))&.text&.strip
      end

      private

      # {id => true} of those in the style; a bare number is a heading's level.
      def paragraphs(instruction)
        name = instruction[/STYLEREF\s+(?:"([^"]+)"|(\S+))/i] && ($1 || $2)
        @result.running_titles[name.to_s] ||= @document.paragraphs.select { |one| wears?(one, name.to_s) }
          .to_h { |one| [one.id, true] }
      end

      def wears?(paragraph, name)
        return @document.heading_level(paragraph) == name.to_i if name.match?(/\A[1-9]\z/)
        @document.style_name(paragraph).casecmp?(name)
      end

      def last_before(sheet, wanted)
        first = sheet.paragraphs.first or return
        @document.paragraphs.first(@document.position(first.id)).reverse_each.find { |one| wanted[one.id] }
      end
    end
  end
end
