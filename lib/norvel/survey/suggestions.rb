# frozen_string_literal: true

module Norvel
  module Survey
    # The role of every paragraph by what it looks like, says and stands next to, and by its style where that tells.
    # Each finder takes what it can tell from what those before it left open; the last takes the rest.
    class Suggestions
      FINDERS = [Told, TitlePage, Signs, Letter, Entries, References, Headings, BareHeadings, ListItems, Lines, Rest]
        .freeze

      def initialize(document)
        @document = document
        @draft = Draft.new(document)
        FINDERS.each { |finder| finder.new(@draft).find }
      end

      # The Suggestion for a paragraph id.
      def [](id)
        return @draft.found.fetch(id) unless Document::Story.id?(id)
        role = Roles::BESIDE.fetch(@document.story_of(id)&.kind, "other")
        Suggestion.new(role, 1.0, ["stands beside the text"])
      end

      def role(id)
        self[id].role
      end

      def to_h
        @draft.found
      end

      # Does the paragraph stand on the title page?
      def title_page?(id)
        @draft.title_page.key?(id)
      end
    end
  end
end
