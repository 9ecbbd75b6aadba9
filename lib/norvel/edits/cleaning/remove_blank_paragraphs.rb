# frozen_string_literal: true

module Norvel
  module Edits
    # Removes blank paragraphs that stand for space. With +keep_gaps+ a style whose paragraphs mostly have one after
    # them gets that space itself. Blank paragraphs that hold something (a section's end, a cell's last paragraph) stay.
    class RemoveBlankParagraphs < Edit
      MOSTLY = 0.5

      # ids: blank paragraphs, or :all; keep_gaps: false, or names of styles that may get space
      def initialize(ids = :all, keep_gaps: true)
        @ids = ids
        @keep_gaps = keep_gaps
      end

      def change(document)
        going = removable(document)
        document = with_gaps(document, going) if @keep_gaps
        document.without(going.keys)
      end

      def title(document)
        "Remove #{count(removable(document).size, "blank paragraph")}"
      end

      def removes_white_space?
        true
      end

      private

      def removable(document)
        all = (@ids == :all) ? document.paragraphs : chosen(document, @ids)
        all.select { |paragraph| paragraph.blank? && paragraph.removable? }
          .to_h { |paragraph| [paragraph.id, paragraph] }
      end

      def with_gaps(document, going)
        gaps = Hash.new { |all, style| all[style] = [] }
        totals = Hash.new(0)
        document.paragraphs.each_cons(2) do |paragraph, following|
          next if paragraph.blank? || paragraph.part != :body || !(style = document.style_of(paragraph))
          totals[style.id] += 1
          gaps[style.id] << height(following, document) if going[following.id]
        end
        gaps.select { |id, heights| heights.size >= totals[id] * MOSTLY }.inject(document) do |now, (id, heights)|
          wanted = heights.tally.max_by(&:last).first
          next now if now.cascade.of_style(now.styles[id], :paragraph)[:space_after] >= wanted
          ChangeStyle.new(id, {space_after: wanted}).change(now)
        end
      end

      # One blank line at 11 pt is about 12 pt of space.
      def height(blank, document)
        (Layout::Fonts.line_height(document.letter_look(blank)) / 6).round * 6.0
      end
    end
  end
end
