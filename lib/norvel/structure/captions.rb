# frozen_string_literal: true

module Norvel
  module Structure
    # Captions of figures and tables with their numbers, typed or counted by a sequence (ISO/IEC 29500-1 17.16.5.56).
    class Captions
      # id: of its paragraph; kind: :figure or :table; sequence: the name it counts in; chapter: what stands before the
      # number ("2"), or nil; number; field: what counts it, nil where it was typed
      Caption = Value.define(:id, :kind, :sequence, :chapter, :number, :field) do
        # Does a field count its number?
        def counted?
          !field.nil?
        end

        # "2.3"
        def label
          [chapter, number].compact.join(".")
        end
      end

      WORD = "(?:(?<figure>#{Survey::Words.any("figure")})|(?<table>#{Survey::Words.any("table")}))".freeze
      NUMBER = /\A\s*(?<word>#{WORD})\.?[\s\u00A0]+(?:(?<chapter>[0-9]{1,3}|[A-Z])[.–-])?(?<number>[0-9]{1,4})
        (?=[\s.:)–—-]|\z)/ix
      NAMES = {figure: "Figure", table: "Table"}.freeze
      SHORT = /\A(?:fig|abb|tab)\z/i

      # Those of a document, looked for once.
      def self.of(document)
        document.reading[Captions] ||= new(document)
      end

      def initialize(document)
        @document = document
      end

      # [Caption, …] in reading order: paragraphs that are captions and have a number.
      def list
        @list ||= @document.paragraphs.filter_map { |paragraph| caption(paragraph) if caption?(paragraph) }
      end

      # Those whose numbers are typed.
      def typed
        list.reject(&:counted?)
      end

      private

      def caption?(paragraph)
        !paragraph.blank? && (Survey.role(@document, paragraph) == "caption" || counts?(paragraph))
      end

      def counts?(paragraph)
        !paragraph.plain? && Sequences.in(paragraph).any?
      end

      def caption(paragraph)
        field = Sequences.in(paragraph).first unless paragraph.plain?
        match = NUMBER.match(field ? paragraph.seen_text : paragraph.raw_text) or return
        kind = match[:figure] ? :figure : :table
        Caption.new(id: paragraph.id, kind:, chapter: match[:chapter], number: match[:number].to_i, field:,
          sequence: sequence(kind, match[:word], field))
      end

      # The name it counts in: that of its field, that of others of its kind, its word, else the usual one.
      def sequence(kind, word, field)
        named = field&.computes&.name and return named
        (@names ||= {})[kind] ||= counted_names[kind] || (SHORT.match?(word) ? NAMES[kind] : word.capitalize)
      end

      def counted_names
        @counted_names ||= @document.paragraphs.reject(&:plain?).each_with_object({}) do |paragraph, names|
          field = Sequences.in(paragraph).first or next
          match = NUMBER.match(paragraph.seen_text) or next
          names[match[:figure] ? :figure : :table] ||= field.computes.name
        end
      end
    end
  end
end
