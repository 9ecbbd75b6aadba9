# frozen_string_literal: true

module Norvel
  module Survey
    # What every paragraph of a document is, settled once: as a person decided, else as its style tells, else as it is
    # suggested. A bulk change settles the roles before it begins and goes by them to its end.
    class Settled
      # A suggestion of less confidence is no ground for a change that nobody looks at.
      SURE = 0.75

      # One paragraph's: its role; by :decision, :style or :suggestion; how sure that is, from 0 to 1.
      Role = Struct.new(:name, :by, :confidence) do
        def sure?
          by != :suggestion || confidence >= SURE
        end
      end

      def initialize(document)
        @document = document
        @roles = {}
      end

      # Was it settled for this very state of the document?
      def of?(document)
        @document.equal?(document)
      end

      # The name of a paragraph's role.
      def role(paragraph)
        self[paragraph].name
      end

      def sure?(paragraph)
        self[paragraph].sure?
      end

      # The Role of a paragraph, by its id: the same when the paragraph has changed meanwhile.
      def [](paragraph)
        @roles[paragraph.id] ||= settle(paragraph)
      end

      # Why, in words.
      def because(paragraph)
        @document.suggestions[paragraph.id].because
      end

      # Does it stand on the title page, whose places carry sense?
      def title_page?(paragraph)
        @document.suggestions.title_page?(paragraph.id)
      end

      private

      def settle(paragraph)
        return Role.new("blank", :style, 1.0) if paragraph.blank?
        decided = @document.decisions[paragraph.id]
        suggestion = @document.suggestions[paragraph.id]
        return Role.new(suggestion.role, :decision, 1.0) if decided
        told = StyleRoles.telling(@document, paragraph)
        told ? Role.new(told, :style, 1.0) : Role.new(suggestion.role, :suggestion, suggestion.confidence)
      end
    end
  end
end
