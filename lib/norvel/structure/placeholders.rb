# frozen_string_literal: true

module Norvel
  module Structure
    # Words that hold the place of others, as templates have them: in brackets ("[Title of the thesis]", "<your name>",
    # "{{date}}"), or in the style that a format has for them.
    class Placeholders
      # paragraph: its id; places: of its letters in the paragraph's raw text; words: as they stand; name: without the
      # brackets; styled: are they in the style for them?
      Place = Value.define(:paragraph, :places, :words, :name, :styled, styled: false)

      STYLE = "Placeholder Text"
      SIGNS = /[\[<{«]/ # that begin one
      DOUBLE = /\A(?:\{\{|«)/
      BRACKETS = Survey::Search.new(%q(/\{\{[^{}\n]{1,60}\}\}|«[^«»\n]{1,60}»|\[[^\[\]\n]{2,80}\]|<[^<>\n]{2,80}>/))
      QUOTED = /\A\[(?:sic|emphasis|…|\.\.\.|italics|translation|trans\.|ed\.)/i
      LONGEST = 6 # words

      # The placeholders of a document, worked out once.
      def self.of(document)
        document.reading[:placeholders] ||= new(document).all
      end

      def initialize(document)
        @document = document
      end

      # [Place, …] in order. What a field shows is none: it is computed anew.
      def all
        @document.working.flat_map { |paragraph| self.in(paragraph) }
      end

      # Those of one paragraph.
      def in(paragraph)
        found = styled(paragraph) + bracketed(paragraph)
        return found if found.empty? || paragraph.blank?
        found.reject { |one| Survey::Search.fixed(paragraph, one.places) }.sort_by { |one| one.places.first }
          .chunk_while { |one, other| other.places.first <= one.places.last }.map(&:first)
      end

      private

      def bracketed(paragraph)
        return [] unless paragraph.raw_text.match?(SIGNS)
        hits = BRACKETS.hits_in(paragraph, @document)
          .select { |hit| hit.words.match?(DOUBLE) || asks?(hit.words, paragraph.seen_text) }
        hits.map { |hit| place(paragraph, hit.places, hit.words) }
      end

      def place(paragraph, places, words, **more)
        Place.new(paragraph: paragraph.id, places:, words:, name: bare(words), **more)
      end

      # Does it ask for something, or stand alone? Brackets in running text hold much else: what an editor put in,
      # numbers of references.
      def asks?(words, text)
        inside = bare(words)
        return false if words.match?(QUOTED) || inside.match?(/\d|https?:|@/) || inside.split.size > LONGEST
        words == text.strip || inside.match?(asking)
      end

      # Templates are in the language of the document, or in English.
      def asking
        @asking ||= begin
          own = Survey::Language.of_document(@document) || Survey::Language.primary(@document.info[:language])
          Survey::Language.asking(own, ("en" if own))
        end
      end

      # Stretches in the style for them.
      def styled(paragraph)
        return [] if style.nil? || paragraph.runs.none? { |run| run.style_id == style.id }
        worn = paragraph.runs.flat_map { |run| [run.style_id == style.id] * run.text.size }
        places = paragraph.seen_places
        text = paragraph.seen_text
        stretches = places.each_index.select { |at| places[at] }
          .chunk_while { |one, other| worn[places[one]] == worn[places[other]] }
          .select { |list| worn[places[list.first]] && !text[list.first..list.last].strip.empty? }
        stretches.map do |list|
          place(paragraph, places.values_at(*list), text[list.first..list.last], styled: true)
        end
      end

      def style
        return @style if defined?(@style)
        @style = @document.styles.named(STYLE, "character")
      end

      def bare(words)
        words.gsub(/\A[\[<{«\s]+|[\]>}»\s]+\z/, "")
      end
    end
  end
end
