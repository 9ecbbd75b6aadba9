# frozen_string_literal: true

module Norvel
  module Structure
    # Headings that a break made by hand, or blank paragraphs, put at the head of a page, where their style could.
    class PageStarts
      # heading: Document::Paragraph; breaks: paragraphs whose break does it; blanks: blank paragraphs that do, or that
      # stand beside the break
      Start = Value.define(:heading, :breaks, :blanks)
      ROLE = /\Aheading_\d\z/
      FARTHEST = 60 # blank paragraphs; more fill no page that anyone wanted
      BREAK = /\f[ \u00A0]*\z/

      def initialize(document)
        @document = document
      end

      # [Start, …] in order.
      def all
        @all ||= headings.filter_map { |heading| start(heading) }
      end

      # Headings in the same style that begin a page by nothing: they would begin one if their style did.
      def others(start)
        style = @document.style_of(start.heading)
        begun = all.to_h { |one| [one.heading.id, true] }
        headings.select { |one| @document.style_of(one).equal?(style) && !begun[one.id] && !begins?(one) }
      end

      private

      def headings
        @headings ||= @document.paragraphs.select do |one|
          one.container.nil? && !one.blank? && Survey.role(@document, one).match?(ROLE)
        end
      end

      def start(heading)
        return if @document.look(heading)[:page_break_before]
        own = heading.raw_text.match?(/\A[ \u00A0]*\f/)
        above = above(heading)
        blanks = above.take_while { |one| one.nothing? && one.removable? && !one.raw_text.include?("\f") }
        broken = above[blanks.size]
        if own || (broken&.raw_text&.match?(BREAK) && broken.raw_text.count("\f") == 1)
          return Start.new(heading:, breaks: [own ? heading : broken], blanks: own ? [] : blanks)
        end
        Start.new(heading:, breaks: [], blanks:) if pushed?(heading, blanks)
      end

      # Do the blank paragraphs before it fill what was left of a page?
      def pushed?(heading, blanks)
        return false if blanks.size < 2 || (pages = Layout.pages(@document)).nil?
        sheet = pages.sheet_of(heading.id)
        sheet && sheet.paragraphs.first&.id == heading.id && pages.sheet_of(blanks.last.id)&.page == sheet.page - 1
      end

      # The paragraphs before one, the nearest first.
      def above(paragraph)
        at = @document.text_position(paragraph.id)
        @document.paragraphs[[at - FARTHEST, 0].max...at].reverse
      end

      # Does it begin a page by its section or its style, or as the first of the text?
      def begins?(heading)
        before = above(heading).find { |one| !one.nothing? || one.ends_page? }
        before.nil? || before.section != heading.section || @document.look(heading)[:page_break_before]
      end
    end
  end
end
