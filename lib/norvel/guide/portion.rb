# frozen_string_literal: true

module Norvel
  class Guide
    # The paragraphs that a plan is for, chosen by what they are and where they stand. Blank ones come along with those
    # they stand between, since what becomes of them is judged by what stands around them.
    class Portion
      # Parts that can be left alone: kinds of stories, or the part of the text that a paragraph stands in.
      PARTS = {"notes" => %w[footnote endnote], "heads" => %w[header footer], "boxes" => %w[textbox],
               "tables" => %w[table]}.freeze

      # on: names of roles, as for Edits::SetValue, or of styles; pages: labels of the first page and the last, which
      # need the document's pages (Layout.pages); without: names of PARTS; each nil or empty for all.
      # Raises Refused where there is no such page or part.
      def initialize(document, on: nil, pages: nil, without: [])
        @document = document
        @on = on
        @sheets = sheets(*pages) if pages
        @without = without.flat_map do |name|
          PARTS.fetch(name) { raise Refused, "There is no part “#{name}”: it is one of #{PARTS.keys.join(", ")}." }
        end
      end

      # Ids in reading order; nil where nothing is left out.
      def ids
        return if @on.nil? && @sheets.nil? && @without.empty?
        @document.working.select { |one| part?(one) && page?(one) && named?(one) }.map(&:id)
      end

      private

      def named?(paragraph)
        return true if @on.nil? || paragraph.blank?
        role = Survey.role(@document, paragraph)
        @on.any? { |name| Edits::SetValue.covers?(name, role) || @document.style_name(paragraph).casecmp?(name) }
      end

      def part?(paragraph)
        return true if @without.empty?
        !@without.include?(@document.story_of(paragraph.id)&.kind || paragraph.part.to_s)
      end

      # What stands on no sheet of the text (a note, a running head) is on no stretch of pages.
      def page?(paragraph)
        return true if @sheets.nil?
        sheet = pages.sheet_of(paragraph.id)
        !sheet.nil? && @sheets.cover?(sheet.page)
      end

      def pages
        Layout.pages(@document) or raise Refused, "The pages are not known yet."
      end

      # Sheets by number, from the first with the one label to the last with the other; labels may come again.
      def sheets(from, to)
        first, last = sheet(from, :first), sheet(to, :last)
        raise Refused, "Page #{to} stands before page #{from}." if last.page < first.page
        first.page..last.page
      end

      def sheet(label, which)
        pages.labelled(label).public_send(which) or raise Refused, "There is no page “#{label}”."
      end
    end
  end
end
