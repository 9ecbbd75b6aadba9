# frozen_string_literal: true

module Norvel
  module Consistency
    # Pages within the text that a break by hand leaves nearly empty. What begins on a page of its own is left alone: a
    # chapter, a section with another set-up, what stands before the first chapter.
    class EmptyPages < Subject
      RULE = "page_ends"
      NEARLY = 0.25 # of the height for text
      BY_HAND = %i[page_break page_break_before].freeze

      def odds
        pages = Layout.pages(@document) or return []
        first = first_chapter(pages) or return []
        pages.sheets.each_cons(2).filter_map do |sheet, following|
          deviation(sheet, following) if sheet.page >= first && nearly_empty?(sheet) && !meant?(sheet, following)
        end
      end

      private

      def first_chapter(pages)
        top = headings.min_by(&:first)&.last
        top && pages.sheet_of(top.first.id)&.page
      end

      def nearly_empty?(sheet)
        return false unless BY_HAND.include?(sheet.ended_by) && sheet.notes.nil?
        lines = sheet.lines.reject { |line| line.block.paragraph.nothing? }
        return false if lines.empty? # what has no text at all is told as a blank page
        lines.map { |line| line.top + line.height }.max - sheet.frame.top <
          (sheet.frame.bottom - sheet.frame.top) * NEARLY
      end

      # Does the next one begin with what has a page of its own, or has this one nothing but that?
      def meant?(sheet, following)
        return true unless sheet.section == following.section
        return true if opens?(following)
        sheet.paragraphs.reject(&:nothing?).all? { |one| !%w[body list_item quote].include?(role(one)) }
      end

      def opens?(sheet)
        one = sheet.paragraphs.find { |paragraph| !paragraph.nothing? }
        one.nil? || role(one) == "title" || role(one) == "heading_#{headings.keys.min}"
      end

      def deviation(sheet, following)
        page = sheet.label.empty? ? "Sheet #{sheet.page}" : "Page #{sheet.label}"
        breaking = following.paragraphs.find { |one| !one.nothing? } || sheet.paragraphs.last
        odd(paragraph: breaking, usual: "text to the foot of the page", found: "a page break",
          message: "#{page} is nearly empty: a page break stands before “#{breaking.text.strip[0, 40]}”")
      end
    end
  end
end
