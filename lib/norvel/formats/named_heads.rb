# frozen_string_literal: true

module Norvel
  module Formats
    # Heads and feet in the order in which sections name them, whatever order a file has them in.
    module NamedHeads
      WAYS = %i[header footer].product(%i[default even first]).freeze

      module_function

      # stories: some of the document's; those that no section names are left out
      def heads(document, stories)
        known = stories.to_h { |story| [story.id, story] }
        ids = document.sections.flat_map { |section| WAYS.filter_map { |kind, which| section.head(kind, which) } }
        ids.uniq.filter_map { |id| known[id] }
      end
    end
  end
end
