# frozen_string_literal: true

module Norvel
  module Running
    # A running head or foot as it stands, read as a Running::Line.
    class Text
      def initialize(story, document)
        @story = story
        @document = document
      end

      # nil for what one line of words and known fields can't say.
      def line
        return Line.new if written.empty?
        return if written.size > 1 || @story.tables.any? || (words = words(written.first)).nil?
        placed(written.first, words.split("\t", -1))
      end

      private

      def written
        @written ||= @story.paragraphs.reject { |one| one.blank? && one.boxes.empty? && one.images.empty? }
      end

      # Its words with what is computed in braces; nil where something else stands in it.
      def words(paragraph)
        return paragraph.text if paragraph.plain?
        open = nil
        pieces = paragraph.runs.flat_map do |run|
          inside = run.within.grep(Document::Field).first
          next [inside.equal?(open) ? "" : (open = inside) && token(inside)] if inside
          run.pieces.map { |piece| piece(piece, run) }
        end
        pieces.include?(nil) ? nil : pieces.join
      end

      def piece(piece, run)
        case piece
        when Document::Field then token(piece)
        when Document::FieldPart then ""
        when Document::Separator then (piece.name == "tab") ? "\t" : Document::Separator::BY_CHARACTER.key(piece)
        when String then run.within.any?(Document::FieldResult) ? "" : piece
        end
      end

      def token(field)
        name = Line::DOES[field.does] and "{#{name}}"
      end

      # Its parts by where they stand: by the paragraph's side, or by the tab stops before them.
      def placed(paragraph, parts)
        look = @document.look(paragraph)
        return Line.new(Line::SIDES[look[:align]] => parts.first.strip) if parts.size == 1
        return unless Line::SIDES[look[:align]] == :left
        stops = Styles::Properties[:tabs].type.seen(look[:tabs]).map { |stop| Line::STOPS[stop.align] }
        sides = [:left, *stops.first(parts.size - 1)]
        return if sides.size < parts.size || sides.any?(&:nil?) || sides.uniq != sides
        Line.new(**sides.zip(parts.map(&:strip)).to_h)
      end
    end
  end
end
