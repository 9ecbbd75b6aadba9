# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Finds paragraphs of some roles in a Draft.
      class Finder
        extend Forwardable

        def_delegators :@draft, :document, :worded, :body, :put, :known?, :left, :role, :following, :preceding, :beside,
          :look, :letters, :size, :appearance, :plain?, :stands_out?, :begins_page?, :text?

        def initialize(draft)
          @draft = draft
        end

        # Puts what it suggests in the draft.
        def find
          raise NotImplementedError
        end

        private

        def traits(paragraph)
          Traits.of(paragraph)
        end

        # Paragraphs in rows of neighbours for each of which the block is true, rows of +least+ and more.
        def rows(paragraphs, least)
          wanted = paragraphs.select { |paragraph| yield paragraph }
          wanted.chunk_while { |one, other| following(one).equal?(other) }.select { |row| row.size >= least }
        end
      end
    end
  end
end
