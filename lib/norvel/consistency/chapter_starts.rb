# frozen_string_literal: true

module Norvel
  module Consistency
    # Chapters that begin within a page though nearly all others begin a new one.
    class ChapterStarts < Subject
      RULE = "page_ends"

      def odds
        pages = Layout.pages(@document) or return []
        chapters = headings.min_by(&:first)&.last.to_a.select { |one| one.container.nil? }
        chapters = Structure::Matters.first_lines(@document, chapters)
        starts = chapters.map { |one| begins_page?(pages, one) }
        return [] unless usual(starts) == true
        chapters.zip(starts).reject { |_, begins| begins }.map { |one, _| deviation(one) }
      end

      private

      def begins_page?(pages, heading)
        sheet = pages.sheet_of(heading.id)
        !sheet.nil? && sheet.paragraphs.find { |one| !one.blank? }&.id == heading.id
      end

      def deviation(heading)
        odd(paragraph: heading, usual: "on a new page", found: "within a page",
          message: "The chapter begins within a page, the others on a new one", label: "Begin it on a new page",
          steps: [[:begin_on_page]], why: "it moves what follows to another page")
      end
    end
  end
end
