# frozen_string_literal: true

module Norvel
  module Structure
    # Words of the text that name a figure or table by a number that was typed: "see Table 4".
    class TypedReferences
      # paragraph: id; words: "Table 4"; kind: :figure or :table; label: "4"; at, size: where that stands in the seen
      # text
      Reference = Value.define(:paragraph, :words, :kind, :label, :at, :size)

      ENTRIES = %w[contents_entry reference_entry].freeze
      NAMED = /(?<![\p{L}\p{N}])(?<words>#{Captions::WORD}\.?[\s\u00A0]+(?<label>(?:[0-9]{1,3}[.–-])?[0-9]{1,3}))
        (?![\p{N}.–-]?\p{N}|\p{L})(?<elsewhere>[\s\u00A0]+(?:of|in|from|by|von|aus|bei|de|du|des|del|di|da)\b)?/ix

      # captions: those of the document, where they are known
      def initialize(document, captions = Captions.of(document).list)
        @document = document
        @captions = captions
      end

      # Those that name none of the document's own captions, where it has captions of that kind. What names a work
      # beside it is not meant to be here.
      def lost
        labels = @captions.group_by(&:kind).transform_values { |list| list.to_h { |one| [one.label, true] } }
        return [] if labels.empty?
        list.reject { |one| labels[one.kind].nil? || labels[one.kind][one.label] }
      end

      # All of them.
      def list
        own = @captions.to_h { |one| [one.id, true] }
        @document.paragraphs.reject { |one| own[one.id] || one.blank? }.flat_map { |paragraph| named(paragraph) }
      end

      private

      def named(paragraph)
        return [] unless paragraph.seen_text.match?(/\d/) && !listed[paragraph.id]
        paragraph.remember(:typed_references) { found(paragraph) }
          .map { |told| Reference.new(paragraph: paragraph.id, **told) }
      end

      # What follows from the text of a paragraph alone.
      def found(paragraph)
        paragraph.seen_text.to_enum(:scan, NAMED).filter_map do
          match = Regexp.last_match
          next if match[:elsewhere] || computed?(paragraph, match.begin(:label))
          {words: match[:words], kind: match[:figure] ? :figure : :table, label: match[:label].tr("–-", ".."),
           at: match.begin(:label), size: match[:label].size}
        end
      end

      # Is that letter the result of a field?
      def computed?(paragraph, place)
        return false if paragraph.plain?
        at = 0
        run = paragraph.runs.find { |one| (at += one.text.delete(Document::Run::SIGN).size) > place }
        run.within.any? { |span| span.is_a?(Document::Field) || span.is_a?(Document::FieldResult) }
      end

      # Paragraphs of contents lists and of works referred to say what others are called.
      def listed
        @listed ||= (ContentsLists.in(@document).flat_map { |list| list.paragraphs(@document) } +
          @document.paragraphs.select { |one| ENTRIES.include?(Survey.role(@document, one)) })
          .to_h { |one| [one.id, true] }
      end
    end
  end
end
