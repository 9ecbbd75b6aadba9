# frozen_string_literal: true

module Norvel
  # What is in a file, as opposed to what it looks like: look groups, near misses, formatting and spacing by hand,
  # roles, outline.
  module Survey
    # The Report of a document.
    def self.of(document)
      Report.new(document)
    end

    # The name of a paragraph's role, as it is settled.
    def self.role(document, paragraph)
      SettledRoles.of(document).role(paragraph)
    end

    # Is that said by a person or a style, or suggested with enough confidence to act on it?
    def self.sure?(document, paragraph)
      SettledRoles.of(document).sure?(paragraph)
    end

    # Everything the survey tells of one document, each worked out when asked.
    class Report
      attr_reader :document

      def initialize(document)
        @document = document
      end

      # Paragraphs that look alike: Looks.
      def looks
        @looks ||= Looks.new(document).groups
      end

      # Looks that differ by next to nothing.
      def near_misses
        @near_misses ||= NearMisses.new(document)
      end

      # What was done by hand, {kind => [paragraph, …]}.
      def by_hand
        @by_hand ||= ByHand.all(document)
      end

      # Headings, seen and marked.
      def outline
        @outline ||= Outline.new(document)
      end

      # What a screen reader would say, line by line.
      def read_aloud
        @read_aloud ||= ReadAloud.new(document).lines
      end

      # [[name, how many paragraphs], …], the most used first.
      def styles_used
        document.uses.sort_by { |_, count| -count }.map { |id, count| [document.styles[id].name, count] }
      end

      # Paragraphs, and runs, that set something themselves.
      def direct
        worded = document.paragraphs
        {paragraphs: worded.count { |p| p.direct.keys.any? { |slot| looked?(slot) } },
         runs: worded.sum { |p| p.runs.count { |r| r.direct.keys.any? { |slot| looked?(slot) } } }}
      end

      # The JSON of `survey` (docs/command-line.md).
      def to_h
        places = document.paragraphs.each.with_index(1).to_h { |paragraph, index| [paragraph.id, index] }
        indexes = ->(list) { list.map { |paragraph| places.fetch(paragraph.id) } }
        {
          paragraphs: document.paragraphs.size, words: document.word_count,
          blank_paragraphs: by_hand[:blank_paragraphs].size,
          styles_used: styles_used.map { |name, count| {name:, count:} },
          looks: looks.map { |group| look(group, indexes) },
          near_misses: near_misses.misses.map { |miss| miss(miss, indexes) }, direct:, unseen: document.unseen,
          spacing_by_hand: by_hand.slice(:blank_paragraphs, :leading_spaces, :leading_tabs, :double_spaces,
            :line_breaks, :typed_numbers, :page_break_runs).transform_values(&indexes),
          roles: document.paragraphs.map { |paragraph|
            Survey::Suggestions.of(document)[paragraph.id].then do |s|
              {index: places[paragraph.id], role: s.role, confidence: s.confidence.round(2), because: s.because}
            end
          }
        }
      end

      private

      def looked?(slot)
        Styles::Properties[slot].clear != :keep
      end

      def look(group, indexes)
        {look: group.letter, count: group.size, role: group.role, style: document.style_name(group.paragraphs.first),
         effective: group.look.to_json_hash(:paragraph).merge(group.letters.to_json_hash(:run)),
         example: group.example.text[0, 120], indexes: indexes[group.paragraphs]}
      end

      def miss(miss, indexes)
        said = ->(value) { value.is_a?(Hash) ? value[:value] : miss.property.type.json(value) }
        {property: miss.property.json, usual: said[miss.usual], odd: said[miss.odd], indexes: indexes[miss.paragraphs]}
      end
    end
  end
end
