# frozen_string_literal: true

module Norvel
  module Survey
    # The headings of a document: as its styles mark them, and as they look.
    class Outline
      # skipped: the level that is missing before it, or nil; marked: does its style make it a heading?
      Entry = Struct.new(:paragraph, :level, :skipped, :marked, :faults, keyword_init: true)

      def initialize(document)
        @document = document
      end

      # What contents lists and assistive technology find.
      def marked
        @marked ||= entries { |paragraph| marked_level(paragraph) }
      end

      # What a reader sees.
      def seen
        @seen ||= entries { |paragraph| Suggestions.of(@document)[paragraph.id].level }
      end

      private

      def entries
        before = 0
        @document.paragraphs.filter_map do |paragraph|
          level = yield(paragraph) or next
          skipped = before + 1 if level > before + 1
          before = level
          Entry.new(paragraph:, level:, skipped:, marked: !marked_level(paragraph).nil?,
            faults: faults(paragraph, skipped))
        end
      end

      # An empty paragraph in a heading's style is announced as a heading all the same.
      def marked_level(paragraph)
        @levels ||= {}
        @levels.fetch(paragraph.id) do
          style = @document.style_of(paragraph)
          level = @document.look(paragraph)[:outline_level]
          level = StyleRoles.of_style(@document.styles, style).to_s[/\Aheading_(\d)/, 1].to_i if level.zero?
          @levels[paragraph.id] = level.positive? ? level : nil
        end
      end

      def faults(paragraph, skipped)
        [("level #{skipped} is skipped" if skipped), ("empty" if paragraph.blank?),
          ("in a table" if paragraph.part == :table)].compact
      end
    end
  end
end
