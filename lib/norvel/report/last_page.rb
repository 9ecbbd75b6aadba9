# frozen_string_literal: true

module Norvel
  module Report
    # Why a document ends in a page that is nearly empty, and what would save it: a change that takes no word away,
    # tried on the pages before it is offered. The document's pages must be known.
    class LastPage
      LITTLE = 6 # lines that are hardly a page

      def initialize(document)
        @document = document
        @pages = Layout.pages(document)
        @sheet = @pages.sheets.last
      end

      # Is there a page more than the text seems to need?
      def surplus?
        @pages.sheets.size > 1 && @sheet.notes.nil? && worded_lines.size <= LITTLE && !begun?
      end

      # How full the last page is, and what of it would have to go.
      def sentence
        before = @pages.sheets[-2]
        return blank_sentence if worded_lines.empty?
        lines = count(worded_lines.size, "line")
        over = Length.spoken(worded_lines.last.top + worded_lines.last.height - @sheet.frame.top, Length.of_sheets)
        "Page #{@sheet.label} holds only #{lines}: the text is #{over} longer than page #{before.label} has room for."
      end

      # The first change that saves a page, as an Edit; nil where none of these does.
      def edit
        found&.first
      end

      # The document with it, laid out; nil without one.
      def after
        found&.last
      end

      private

      # Did something ask for the page?
      def begun?
        %i[page_break section_break page_break_before].include?(@pages.sheets[-2].ended_by) && worded_lines.any?
      end

      def worded_lines
        @worded_lines ||= @sheet.lines.reject { |line| line.text.strip.empty? && line.block.set_items.objects.nil? }
      end

      def blank_sentence
        last = @document.paragraphs.rindex { |paragraph| !paragraph.nothing? }
        label = last && @pages.label_of(@document.paragraphs[last].id)
        blanks = count(@document.paragraphs.size - (last || -1) - 1, "blank paragraph")
        return "There is nothing but #{blanks}." unless label
        "The words end on page #{label}; #{blanks} after them make the rest."
      end

      def found
        return @found if defined?(@found)
        @found = edits.lazy.map { |edit| [edit, edit.change(@document)] }
          .find { |_, after| saves?(after) }
      end

      def edits
        blanks = @document.paragraphs.select { |one| one.nothing? && one.removable? }
        trailing = @document.paragraphs.reverse.take_while { |one| blanks.include?(one) }
        lists = [trailing, blanks].map { |list| list.map(&:id) }.reject(&:empty?).uniq
        [*lists.first(1).map { |ids| Edits::RemoveBlankParagraphs.new(ids, keep_gaps: false) },
          *lists.drop(1).map { |ids| Edits::RemoveBlankParagraphs.new(ids) }]
      end

      def saves?(after)
        Layout.of(after, known: @pages).sheets.size < @pages.sheets.size
      rescue Layout::Defeated
        false
      end

      def count(number, noun)
        Quantity.words(number, noun)
      end
    end
  end
end
