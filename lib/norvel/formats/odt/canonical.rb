# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A document as an OpenDocument file tells it, to be compared with one that was read: notes and comments stand in
      # the text, so they come in the order of their marks, numbered by it, and go with them; heads and feet belong to
      # master pages, so those that say the same count once, and those that no page shows not at all.
      class Canonical
        MARKS = {Document::NoteMark => ->(mark) { [mark.of, mark.note] if mark.note },
                 Document::CommentMark => ->(mark) { ["comment", mark.comment] }}.freeze

        # The document as an .odt tells it.
        def self.of(document)
          new(document).document
        end

        # Heads and feet that the pages of a section show, whichever section says so.
        def self.shown(document, number)
          ways = ["default", ("even" if document.settings.even_and_odd),
            ("first" if document.sections[number - 1].title_page)].compact
          %w[header footer].product(ways).filter_map { |kind, way| document.head(number, kind, way) }
        end

        def initialize(document)
          @document = document
          @numbers = {}
          @met = []
          @counts = Hash.new(0)
        end

        # The document as an .odt tells it.
        def document
          paragraphs = @document.paragraphs.map { |paragraph| retold(paragraph) }
          @document.with(paragraphs: paragraphs.freeze, stories: (beside + heads).freeze)
        end

        private

        # Notes and comments in the order in which their marks are met.
        def beside
          known = @document.stories.to_h { |story| [[story.kind, story.id], story] }
          found = []
          while (place = @met.shift) # notes may name others
            story = known[place] or next
            paragraphs = story.paragraphs.map { |one| retold(one) }.freeze
            found << story.with(id: @numbers[place], paragraphs:)
          end
          found
        end

        def heads
          used = @document.paragraphs.map(&:section).uniq
          numbers = (1..@document.sections.size).select { |number| used.include?(number) || number == 1 }
          found = numbers.flat_map { |number| Canonical.shown(@document, number) }
          found.uniq { |story| [story.kind, story.paragraphs.map { |one| [one.raw_text, keys(one)] }] }
        end

        def keys(paragraph)
          paragraph.runs.flat_map { |run| run.objects.map(&:key) }
        end

        def retold(paragraph)
          return paragraph if paragraph.plain?
          runs = paragraph.runs.map do |run|
            run.carried ? run.with(carried: run.carried.map { |one| mark(one) }.freeze) : run
          end
          anchors = paragraph.anchors.map { |anchor| Document::Anchor.new(anchor.place, mark(anchor.object)) }
          paragraph.with(runs: runs.freeze, anchors: anchors.freeze)
        end

        def mark(object)
          place = MARKS[object.class]&.call(object) or return object
          id = @numbers[place] ||= @met.push(place) && (@counts[place.first] += 1).to_s
          object.is_a?(Document::NoteMark) ? object.with(note: id) : object.with(comment: id)
        end
      end
    end
  end
end
