# frozen_string_literal: true

module Norvel
  module Survey
    class Suggestions
      # Finds paragraphs of some roles in a Draft.
      class Finder
        extend Forwardable

        def_delegators :@draft, :put, :left

        # What the draft tells of one paragraph, asked so often that Forwardable's splats would be a third of the time.
        %i[known? role following preceding beside look letters size appearance plain? stands_out? begins_page? text?]
          .each { |name| class_eval("def #{name}(paragraph) = @draft.#{name}(paragraph)", __FILE__, __LINE__) }

        attr_reader :document, :worded

        def initialize(draft)
          @draft = draft
          @document = draft.document
          @worded = draft.worded
        end

        # Puts what it suggests in the draft.
        def find
          raise NotImplementedError
        end

        private

        def body
          @body ||= @draft.body
        end

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
