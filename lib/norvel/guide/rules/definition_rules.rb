# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.definition: terms with what they mean after a tab, without a hanging indent.
      class DefinitionRules < Family
        RULE = "clean.definition"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :text, switch: %w[clean definitions])].freeze

        def findings
          return [] unless asked?(RULE)
          Survey::Definitions.new(@document).all.flat_map do |list|
            mend = mend(list.indent)
            list.paragraphs.map do |paragraph|
              finding(RULE, paragraph:, message: "A definition has no hanging indent", asked: "a hanging indent",
                found: "a tab after the term", cause: [list.paragraphs.first.id], mend:, cite: @guide.clean["cite"])
            end
          end
        end

        private

        def mend(indent)
          Mend.new(name: "hang_definitions", label: "Give them a hanging indent", safe: false,
            steps: [[:hang_definitions, indent]], why: "their second lines move")
        end
      end
    end
  end
end
