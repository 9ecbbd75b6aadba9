# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A document as a .docx tells it, to be compared with one that was read: heads and feet in the order in which
      # sections name them.
      module Canonical
        module_function

        # The document as a .docx tells it.
        def of(document)
          heads, others = document.stories.partition(&:head?)
          document.with(stories: (others + NamedHeads.heads(document, heads)).freeze)
        end
      end
    end
  end
end
