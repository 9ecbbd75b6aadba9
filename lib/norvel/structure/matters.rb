# frozen_string_literal: true

module Norvel
  module Structure
    # The matters of a document: stretches with one page numbering. As its sections say them, and as its headings
    # suggest them: front matter up to the first chapter, the body from there.
    class Matters
      # name: "front", "body" or "back"; paragraph: the first, by id; sections: numbers; format, start: of its labels;
      # shown_first: does its first page show its label?
      Stretch = Value.define(:name, :paragraph, :sections, :format, :start, :shown_first, :begins)

      # Headings that stand before the first chapter (Chicago 17 1.4: front matter; common practice).
      FRONT = /\A(?:abstract|summary|zusammenfassung|resum(?:o|en)|résumé|acknowledge?ments?|thanks|dedication|preface|
        foreword|declaration|statement|(?:table\ of\ )?contents|list\ of\ .+|abbreviations|epigraph|
        copyright|approval|frontispiece|notation|symbols)\b/ix

      # Headings without those that stand under one that says no more than that a chapter begins.
      def self.first_lines(document, headings)
        headings.reject.with_index { |one, at| at.positive? && under_label?(document, headings[at - 1], one) }
      end

      # Does a heading stand under a line that says "Chapter 3" alone?
      def self.under_label?(document, before, heading)
        label = before.text.strip
        return false unless label.match?(Survey::Words::CHAPTER)
        return false unless label.sub(Survey::Words::CHAPTER, "").delete(" .:–—-").empty?
        document.paragraphs[(document.position(before.id) + 1)...document.position(heading.id)].all?(&:blank?)
      end
      private_class_method :under_label?

      def initialize(document)
        @document = document
      end

      # Those that the sections make: [Stretch, …].
      def read
        groups = @document.sections.each.with_index(1).chunk_while { |(was, _), (now, _)| goes_on?(was, now) }.to_a
        names = names_of(groups.map { |group| group.first.first.number_format })
        groups.zip(names).filter_map { |group, name| stretch(group, name) }
      end

      # The first paragraph of the body as headings tell it: of the first chapter; nil where none is told, or where it
      # begins the document.
      def first_chapter
        return @first_chapter if defined?(@first_chapter)
        found = chapters.first
        @first_chapter = (found unless found.nil? || found.equal?(first_worded))
      end

      # Headings of the first level that are no front matter, in the text itself.
      def chapters
        @chapters ||= headings.reject { |heading| FRONT.match?(heading.text.strip) }
      end

      # Every heading of the first level in the text itself; of a title in two paragraphs, "CHAPTER ONE" over
      # "INTRODUCTION", the first.
      def headings
        @headings ||= begin
          found = @document.paragraphs.select do |paragraph|
            paragraph.container.nil? && Survey.role(@document, paragraph) == "heading_1"
          end
          Matters.first_lines(@document, found)
        end
      end

      private

      def goes_on?(was, now)
        was.number_format == now.number_format && now.number_start.nil?
      end

      def names_of(formats)
        return ["body"] if formats.size == 1
        body = formats.index("decimal") || 1
        formats.each_index.map { |place|
          if place < body
            "front"
          else
            ((place == body) ? "body" : "back")
          end
        }
      end

      def stretch(group, name)
        section, number = group.first
        first = @document.paragraphs.find { |paragraph| paragraph.section == number } or return
        Stretch.new(name:, paragraph: first.id, sections: group.map(&:last), format: section.number_format,
          start: section.number_start, shown_first: !blank_first?(section, number), begins: section.starts)
      end

      # Has its first page a head and foot of its own without a page's number?
      def blank_first?(section, number)
        section.title_page && %w[header footer].none? do |kind|
          story = @document.head(number, kind, "first")
          story&.paragraphs&.any? { |one| Document::Field.in(one).any? { |field| field.does == "page" } }
        end
      end

      def first_worded
        @document.paragraphs.find { |paragraph| !paragraph.blank? }
      end
    end
  end
end
