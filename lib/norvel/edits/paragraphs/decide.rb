# frozen_string_literal: true

module Norvel
  module Edits
    # Keeps what a person says that paragraphs are, or are not: it wins over every suggestion.
    class Decide < Edit
      SAID = (Survey::Roles::ALL.keys - %w[blank] + [Document::NO_HEADING]).freeze

      # said: a role's name, Document::NO_HEADING, or nil to leave it to suggestions again
      def initialize(ids, said)
        @ids = ids
        @said = said
      end

      def change(document)
        raise Refused, "There is no such kind of paragraph." unless @said.nil? || SAID.include?(@said)
        chosen(document, @ids)
        kept = document.decisions.except(*@ids)
        document.with(decisions: (@said ? kept.merge(@ids.to_h { |id| [id, @said] }) : kept).freeze)
      end

      def title(_document)
        return "Leave #{count(@ids.size)} to suggestions again" unless @said
        verb = (@ids.size == 1) ? "is" : "are"
        return "Say that #{count(@ids.size)} #{verb} no heading" if @said == Document::NO_HEADING
        "Say what #{count(@ids.size)} #{verb}: #{Survey::Roles.words(@said)}"
      end
    end
  end
end
