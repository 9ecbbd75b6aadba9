# frozen_string_literal: true

module Norvel
  module Consistency
    # What belongs together and stands on two pages: a caption and its figure, a table that goes over a page without a
    # row that is repeated there.
    class Parted < Subject
      RULE = "page_ends"

      def odds
        @pages = Layout.pages(@document) or return []
        [*captions, *tables]
      end

      private

      def captions
        @document.shown_blocks.each_cons(2).filter_map do |one, other|
          caption, figure = (figure?(one) ? [other, one] : [one, other])
          next unless figure?(figure) && caption.is_a?(Document::Paragraph) && caption?(caption)
          was, now = [figure, caption].map { |block| @pages.sheets_of(block.id).last&.page }
          caption_odd(caption, was, now) if was && now && was != now
        end
      end

      def figure?(block)
        block.is_a?(Document::Paragraph) && block.images.any? && block.word_count < 3
      end

      def caption?(paragraph)
        role(paragraph) == "caption" && Survey::Traits.of(paragraph).caption == :figure
      end

      def caption_odd(caption, was, now)
        odd(paragraph: caption, usual: "on sheet #{was}", found: "on sheet #{now}",
          message: "The caption stands on another page than its figure")
      end

      def tables
        @document.tables.filter_map do |table|
          next if table.rows.size < 3 || table.rows.first.header
          paragraphs = @document.paragraphs.select { |one| cells(table)[one.container] }
          first, last = paragraphs.values_at(0, -1).map { |one| one && @pages.sheets_of(one.id).first&.page }
          next unless first && last && first < last
          odd(paragraph: paragraphs.first, usual: "a first row that is repeated", found: "none",
            message: "The table goes on over #{last - first + 1} pages, and its first row is not repeated")
        end
      end

      def cells(table)
        (@cells ||= {})[table.id] ||= table.cells.to_h { |cell| [cell.id, true] }
      end
    end
  end
end
