# frozen_string_literal: true

module Norvel
  class Guide
    # The paragraphs that a plan is for, chosen by what they are and where they stand. Blank ones come along with those
    # they stand between, since what becomes of them is judged by what stands around them.
    class Portion
      # Parts that can be left alone: kinds of stories, or the part of the text that a paragraph stands in.
      PARTS = {"notes" => %w[footnote endnote], "heads" => %w[header footer], "boxes" => %w[textbox],
               "tables" => %w[table]}.freeze

      # roles: names as for Edits::SetValue; styles: names; where both are given, either will do; pages: labels of the
      # first page and the last, for what begins on them, which needs the document's pages (Layout.pages); without:
      # names of PARTS; each nil or empty for all. Raises Refused where there is no such page or part.
      def initialize(document, roles: nil, styles: nil, pages: nil, without: [])
        @document = document
        @roles = roles
        @styles = styles
        @sheets = sheets(*pages) if pages
        @without = without.flat_map do |name|
          PARTS.fetch(name) { raise Refused, "There is no part “#{name}”: it is one of #{PARTS.keys.join(", ")}." }
        end
      end

      # Ids in reading order; nil where nothing is left out.
      def ids
        return if [@roles, @styles, @sheets].none? && @without.empty?
        @document.working.select { |one| part?(one) && page?(one) && named?(one) }.map(&:id)
      end

      private

      def named?(paragraph)
        return true if [@roles, @styles].none? || paragraph.blank?
        role, style = Survey.role(@document, paragraph), @document.style_name(paragraph)
        @roles.to_a.any? { |name| Edits::SetValue.covers?(name, role) } ||
          @styles.to_a.any? { |name| style.casecmp?(name) }
      end

      def part?(paragraph)
        return true if @without.empty?
        !@without.include?(@document.story_of(paragraph.id)&.kind || paragraph.part.to_s)
      end

      # A note is on the page of its mark; a running head is on no stretch of pages.
      def page?(paragraph)
        return true if @sheets.nil?
        story = @document.story_of(paragraph.id)
        sheet = pages.sheet_of(story ? marks[[story.kind, story.id]] : paragraph.id)
        !sheet.nil? && @sheets.cover?(sheet.page)
      end

      # {[kind, id] of a note => id of the paragraph that holds its mark}
      def marks
        @marks ||= @document.paragraphs.each_with_object({}) do |paragraph, found|
          paragraph.runs.flat_map(&:objects).grep(Document::NoteMark).each do |mark|
            found[[mark.of, mark.note]] ||= paragraph.id
          end
        end
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
