# frozen_string_literal: true

module Norvel
  module Survey
    # What assistive technology would announce, in its order: a small stand-in for a screen reader that goes by
    # structure and never by looks.
    class ReadAloud
      Line = Struct.new(:announced, :text, :paragraph)

      def initialize(document)
        @document = document
        @pictures = document.pictures.group_by(&:paragraph)
        @marked = Outline.new(document).marked.to_h { |entry| [entry.paragraph.id, entry.level] }
      end

      # What a screen reader would say, line by line.
      def lines
        table = false
        @lines ||= @document.paragraphs.flat_map do |paragraph|
          entered = paragraph.part == :table && !table
          table = paragraph.part == :table
          (entered ? [Line.new("table", "", paragraph)] : []) + announce(paragraph)
        end
      end

      private

      def announce(paragraph)
        lines = (@pictures[paragraph.id] || []).reject(&:decorative).map { |picture| seen(picture, paragraph) }
        return lines + [Line.new("blank", "", paragraph)] if paragraph.blank?
        return lines if paragraph.sealed_text.empty?
        lines + [Line.new(kind(paragraph), paragraph.sealed_text, paragraph)]
      end

      def seen(picture, paragraph)
        return Line.new("image", picture.description, paragraph) if picture.description
        Line.new("image, no description", "", paragraph)
      end

      def kind(paragraph)
        return "heading level #{@marked[paragraph.id]}" if @marked[paragraph.id]
        marker = @document.markers[paragraph.id]
        return "list item#{" #{marker}" unless marker.empty?}" if marker
        (paragraph.part == :table) ? "cell" : "text"
      end
    end
  end
end
