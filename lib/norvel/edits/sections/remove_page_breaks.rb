# frozen_string_literal: true

module Norvel
  module Edits
    # Takes page breaks out of paragraphs; a paragraph that held nothing else goes with its break.
    class RemovePageBreaks < Edit
      def initialize(ids)
        @ids = ids
      end

      def change(document)
        paragraphs = chosen(document, @ids)
        after = document.replace(paragraphs.map { |paragraph| without_break(paragraph) })
        blank = paragraphs.map { |paragraph| after.paragraph(paragraph.id) }
          .select { |paragraph| paragraph.blank? && paragraph.removable? }
        after.without(blank.map(&:id))
      end

      def title(document)
        breaks = chosen(document, @ids).sum { |paragraph| paragraph.raw_text.count("\f") }
        "Take out #{count(breaks, "page break")}"
      end

      def removes_white_space?
        true
      end

      private

      def without_break(paragraph)
        runs = paragraph.runs.map { |run| run.text.include?("\f") ? run.with(text: run.text.delete("\f")) : run }
        paragraph.with(runs: filled(runs))
      end
    end
  end
end
