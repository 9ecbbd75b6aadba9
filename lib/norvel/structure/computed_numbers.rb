# frozen_string_literal: true

module Norvel
  module Structure
    # Numbers in the text that fields compute, and what they should say: those of sequences, references to places with
    # names, and references to their pages where pages are known (ISO/IEC 29500-1 17.16.5.45, .51, .56). Those within
    # contents lists are the lists' own.
    class ComputedNumbers
      # A field that says something else than it should. paragraph: Paragraph; field: Document::Field; says, should:
      # text
      Stale = Value.define(:paragraph, :field, :says, :should)

      # The words that a field shows in a paragraph; where it stands in one run with them, as it was read.
      def self.words(paragraph, field)
        shown = paragraph.runs.select { |run| shows?(run, field) }
        shown.empty? ? field.cached.to_s : shown.map(&:words).join
      end

      # Does a run stand in what a field shows?
      def self.shows?(run, field)
        run.within.any? { |span| span.equal?(field) || (span.is_a?(Document::FieldResult) && span.field == field.id) }
      end

      def initialize(document)
        @document = document
      end

      # [Stale, …] in reading order. kinds: what fields do, of "sequence", "reference", "page_reference"
      def stale(kinds = %w[sequence reference page_reference])
        @document.paragraphs.reject(&:plain?).flat_map do |paragraph|
          next [] if listed?(paragraph)
          fields = Document::Field.in(paragraph).select { |field| kinds.include?(field.does) }
          fields.filter_map { |field| stale_field(paragraph, field) }
        end
      end

      private

      def stale_field(paragraph, field)
        says, should = ComputedNumbers.words(paragraph, field), should(paragraph, field)
        Stale.new(paragraph:, field:, says:, should:) unless should.nil? || says == should
      end

      def listed?(paragraph)
        @listed ||= ContentsLists.in(@document).flat_map { |list| list.paragraphs(@document) }
          .to_h { |one| [one.id, true] }
        @listed[paragraph.id]
      end

      # nil where that can't be told.
      def should(paragraph, field)
        case field.does
        when "sequence" then sequences.dig(paragraph.id, field.id)
        when "reference" then named(field)
        when "page_reference" then page(field)
        end
      end

      def sequences
        @sequences ||= Sequences.new(@document).numbers
      end

      def named(field)
        place = places[field.computes.bookmark] or return
        return unless field.computes.as == :words
        paragraph, from, to = place
        text = paragraph.raw_text[from...to].to_s.gsub(Document::Run::SIGNS, "")
        text unless text.empty?
      end

      def page(field)
        paragraph, = places[field.computes.bookmark]
        Layout.pages(@document).label_of(paragraph.id).to_s if paragraph && Layout.pages(@document)
      end

      # {name => [paragraph, from, to]} of places that begin and end in one paragraph.
      def places
        @places ||= @document.paragraphs.reject(&:plain?).each_with_object({}) do |paragraph, found|
          marks = paragraph.anchors.select { |anchor| anchor.object.is_a?(Document::Bookmark) }
          marks.select { |anchor| anchor.object.edge == "start" }.each do |begun|
            ending = marks.find { |other| other.object.edge == "end" && other.object.id == begun.object.id } or next
            found[begun.object.name] = [paragraph, begun.place, ending.place]
          end
        end
      end
    end
  end
end
