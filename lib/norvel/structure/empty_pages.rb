# frozen_string_literal: true

module Norvel
  module Structure
    # Why a page has no text, and what would take it away.
    class EmptyPages
      # Is there nothing to read on a sheet?
      def self.blank?(sheet)
        sheet.notes.nil? && (sheet.blank || (sheet.paragraphs.any? && sheet.paragraphs.all?(&:nothing?)))
      end

      def initialize(result, sheet)
        @result = result
        @document = result.document
        @sheet = sheet
      end

      # The first paragraph that makes it, or the one that the next section begins with.
      def paragraph
        @sheet.blank ? @sheet.asker&.paragraph : @sheet.paragraphs.first
      end

      # Why a page is empty.
      def sentence
        return "the next section begins on #{side} page" if @sheet.blank
        count = @sheet.paragraphs.size
        held = (count == 1) ? "it holds one blank paragraph" : "it holds #{count} blank paragraphs"
        breaks.any? ? "#{held} with a page break" : held
      end

      # [step of a mend, ids of paragraphs, what a button says, is it safe?]; nil where nobody can tell. For
      # :begin_by_style the first is the heading, the others hold the breaks.
      def way_out
        return other_side if @sheet.blank
        return [:remove_page_breaks, breaks.map(&:id), "Take the page break out", true] if alone?
        return by_style if chapter
        ids = going.map(&:id)
        [:remove_blanks, ids, "Take out the blank #{(ids.size == 1) ? "paragraph" : "paragraphs"}", true] if ids.any?
      end

      private

      def other_side
        [:begin_on_next_page, [paragraph.id], "Begin on the next page", false] if paragraph
      end

      def side
        (@sheet.side == "right") ? "a left" : "a right"
      end

      def breaks
        @sheet.paragraphs.select { |one| one.raw_text.include?("\f") }
      end

      # Does it hold a page break and nothing else, after a page that was ended too?
      def alone?
        before = @result.sheets[@sheet.page - 2] if @sheet.page > 1
        breaks.any? && @sheet.paragraphs.size == breaks.size && before &&
          %i[page_break section_break].include?(before.ended_by)
      end

      # The heading that a break on this page, which holds nothing else, puts on the next.
      def chapter
        return unless breaks.any? && breaks.size == @sheet.paragraphs.size
        following = @document.paragraphs[@document.text_position(breaks.last.id) + 1]
        following if following && Survey.role(@document, following).start_with?("heading_")
      end

      # Its style lets all its headings begin pages, and the breaks before them go; sure where all of them do so now.
      def by_style
        style = @document.style_of(chapter)
        headings = @document.paragraphs.select { |one| @document.style_of(one).equal?(style) && !one.blank? }
        before = headings.map { |one| above(one) }
        going = before.compact.select { |one| one.nothing? && one.raw_text.include?("\f") && one.holds.nil? }
        sure = headings.zip(before).all? do |one, other|
          other.nil? || other.ends_page? || @document.look(one)[:page_break_before]
        end
        [:begin_by_style, [chapter.id, *going.map(&:id)], "Let #{style&.name} begin the page, without a break", sure]
      end

      # The paragraph before one, nil for the first.
      def above(paragraph)
        at = @document.text_position(paragraph.id)
        @document.paragraphs[at - 1] if at.positive?
      end

      # Blank paragraphs on it, and those right before it that push it over.
      def going
        here = @sheet.paragraphs.select(&:removable?)
        return here if here.size == @sheet.paragraphs.size
        first = @document.text_position(@sheet.paragraphs.first.id)
        above = @document.paragraphs.first(first).reverse
        above.take_while { |one| one.nothing? && one.removable? } + here
      end
    end
  end
end
