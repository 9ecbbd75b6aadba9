# frozen_string_literal: true

module Norvel
  module Pdf
    # Links as they are drawn: where the words of each stand on which page, and where they lead; written when all pages
    # are there.
    class Links
      # A stretch of a link's words on a page. rect: [left, bottom, right, top] from the page's left foot
      Place = Struct.new(:page, :rect, :linked, :paragraph)
      UP = 0.85 # of the size, above the baseline
      DOWN = 0.25
      PRINTED = 4 # annotation flags: bit 3

      def initialize(document, structure)
        @document = document
        @structure = structure
        @places = []
        @linked = {}
        @drawn = Hash.new { |all, paragraph| all[paragraph] = -marker(paragraph) }
      end

      # Spans of a paragraph's line, as they are drawn, on a page of this height.
      def add(paragraph, spans, baseline, page, height)
        linked = @linked[paragraph.id] ||= Document::LinkedWords.of(paragraph, references: true)
        return if linked.empty?
        spans.reject { |span| span.leader || span.object }.each do |span|
          from = @drawn[paragraph]
          upto = @drawn[paragraph] += letters(span.text)
          linked.select { |one| one.from < upto && one.to > from }.each do |one|
            left, right = stretch(span, one.from - from, one.to - from)
            size = span.letters.size
            rect = [left, height - baseline - (size * DOWN), right, height - baseline + (size * UP)]
            @places << Place.new(page, rect.map { |side| side.round(2) }, one, paragraph)
          end
        end
      end

      # Puts them on their pages. references: of all pages, in order; pages: Layout::Result. Returns how many lead
      # nowhere.
      def write(pdf, references, pages)
        targets = targets(references, pages)
        @places.group_by(&:linked).sum do |linked, places|
          leads = leads(linked.link, targets)
          next reference?(linked.link) ? 0 : 1 unless leads
          places.each { |place| annotate(pdf, place, leads) }
          0
        end
      end

      private

      # Words that a field puts there are no less for leading nowhere.
      def reference?(link)
        !link.respond_to?(:address)
      end

      def letters(text)
        Document::LinkedWords.letters(text)
      end

      def marker(paragraph)
        letters(@document.markers[paragraph.id].to_s)
      end

      # From where to where so many letters of a span stand.
      def stretch(span, from, upto)
        [from, upto].map { |count| span.x + advance(span, count) }
      end

      def advance(span, count)
        return 0.0 unless count.positive?
        at = span.text.each_char.with_index.find { |char, _| (count -= letters(char)).negative? }&.last
        return span.width if at.nil?
        before = span.text[0...at]
        span.letters.width(before) + (before.count(" ") * span.stretch.to_f)
      end

      # {name of a bookmark => reference of its page}
      def targets(references, pages)
        @document.paragraphs.each_with_object({}) do |paragraph, found|
          names = paragraph.anchors.map(&:object).grep(Document::Bookmark).filter_map(&:name)
          sheet = names.any? && pages.sheet_of(paragraph.id) or next
          names.each { |name| found[name] = references[sheet.page - 1] }
        end
      end

      # What an annotation does: an action, or a destination; nil for a link that leads nowhere.
      def leads(link, targets)
        address = link.address unless reference?(link)
        return {A: {Type: :Action, S: :URI, URI: PDF::Core::LiteralString.new(address)}} if address
        page = targets[link.bookmark]
        page && {Dest: [page, :Fit]}
      end

      def annotate(pdf, place, leads)
        made = pdf.ref!(Type: :Annot, Subtype: :Link, Rect: place.rect, Border: [0, 0, 0], F: PRINTED,
          Contents: Tree.text(place.linked.words), P: place.page, **leads)
        (place.page.data[:Annots] ||= []) << made
        @structure.link(place.paragraph, place.page, made)
      end
    end
  end
end
