# frozen_string_literal: true

module Norvel
  module Survey
    # What every paragraph of a document is, settled once: as a person decided, else as its style tells, else as it is
    # suggested. A bulk change settles the roles before it begins and goes by them to its end.
    class SettledRoles
      # A suggestion of less confidence is no ground for a change that nobody looks at.
      SURE = 0.75

      # One paragraph's: its role; by :decision, :style or :suggestion; how sure that is, from 0 to 1.
      Role = Struct.new(:name, :by, :confidence) do
        # Is it told, or suggested with enough confidence?
        def sure?
          by != :suggestion || confidence >= SURE
        end
      end

      # Those of a document, settled once.
      def self.of(document)
        document.reading[SettledRoles] ||= new(document)
      end

      # The document, for which what was settled of another state holds.
      def self.hold(settled, document)
        document.reading[SettledRoles] ||= settled
        document
      end

      # earlier: what was settled of a state before, which goes on holding for the paragraphs of that
      def initialize(document, earlier: nil)
        @document = document
        @earlier = earlier
        @roles = {}
      end

      # The same for a later state: what came since is judged as it stands there.
      def continued(document)
        (document.next_id > @document.next_id) ? SettledRoles.new(document, earlier: self) : self
      end

      # Was it settled for this very state of the document?
      def of?(document)
        @document.equal?(document)
      end

      # The name of a paragraph's role.
      def role(paragraph)
        self[paragraph].name
      end

      # Is it told, or suggested with enough confidence?
      def sure?(paragraph)
        self[paragraph].sure?
      end

      # The Role of a paragraph, by its id: the same when the paragraph has changed meanwhile.
      def [](paragraph)
        @roles[paragraph.id] ||= settle(paragraph)
      end

      # Why, in words.
      def because(paragraph)
        known_before?(paragraph) ? @earlier.because(paragraph) : Suggestions.of(@document)[paragraph.id].because
      end

      # Does it stand on the title page, whose places carry sense?
      def title_page?(paragraph)
        return @earlier.title_page?(paragraph) if known_before?(paragraph)
        Suggestions.of(@document).title_page?(paragraph.id)
      end

      protected

      # Is the paragraph in the document?
      def knows?(paragraph)
        @document.include?(paragraph.id)
      end

      private

      def known_before?(paragraph)
        @earlier&.knows?(paragraph)
      end

      def settle(paragraph)
        return @earlier[paragraph] if known_before?(paragraph)
        return Role.new("blank", :style, 1.0) if paragraph.blank?
        decided = @document.decisions[paragraph.id]
        suggestion = Suggestions.of(@document)[paragraph.id]
        return Role.new(suggestion.role, :decision, 1.0) if decided
        told = StyleRoles.telling(@document, paragraph)
        told ? Role.new(told, :style, 1.0) : Role.new(suggestion.role, :suggestion, suggestion.confidence)
      end
    end
  end
end
