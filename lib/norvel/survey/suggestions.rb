# frozen_string_literal: true

module Norvel
  module Survey
    # The role of every paragraph by what it looks like, says and stands next to, and by its style where that tells.
    # Each finder takes what it can tell from what those before it left open; the last takes the rest.
    class Suggestions
      FINDERS = [ByStyle, TitlePage, Signs, Letter, Entries, References, Headings, BareHeadings, ListItems, Lines, Rest]
        .freeze

      # Those of a document, worked out once.
      def self.of(document)
        document.reading[Suggestions] ||= new(document)
      end

      # The document, for which the suggestions of another state hold, where the two differ in styles alone.
      def self.share(other, document)
        document.reading[Suggestions] ||= of(other)
        document
      end

      # Where a work began with an earlier state, what has not been changed since reads as it did then, however much was
      # done around it.
      def initialize(document)
        @document = document
        @draft = same_as_first? ? Suggestions.of(document.first).draft : drafted
      end

      # The Suggestion for a paragraph id.
      def [](id)
        return @draft.found.fetch(id) unless Document::Story.id?(id)
        role = Roles::BESIDE.fetch(@document.story_of(id)&.kind, "other")
        Suggestion.new(role, 1.0, ["stands beside the text"])
      end

      # The name of the role that is suggested for a paragraph id.
      def role(id)
        self[id].role
      end

      # {paragraph's id => Suggestion}
      def to_h
        @draft.found
      end

      # Does the paragraph stand on the title page?
      def title_page?(id)
        @draft.title_page.key?(id)
      end

      protected

      attr_reader :draft

      private

      def drafted
        draft = Draft.new(@document)
        told, *others = FINDERS
        told.new(draft).find
        keep(draft, Suggestions.of(@document.first).draft) if @document.first
        others.each { |finder| finder.new(draft).find } unless draft.complete?
        draft
      end

      def same_as_first?
        first = @document.first
        first && !first.equal?(@document) && first.paragraphs.equal?(@document.paragraphs) &&
          first.styles.equal?(@document.styles) && first.decisions == @document.decisions
      end

      # What neither a style nor a person tells reads as it did, as long as its words are the same.
      def keep(draft, first)
        before = @document.first.paragraphs.to_h { |paragraph| [paragraph.id, paragraph] }
        @document.paragraphs.each do |paragraph|
          next if draft.known?(paragraph) || @document.decisions.key?(paragraph.id)
          same = before[paragraph.id]&.raw_text == paragraph.raw_text
          draft.found[paragraph.id] = first.found.fetch(paragraph.id) if same
        end
        draft.title_page.merge!(first.title_page)
      end
    end
  end
end
