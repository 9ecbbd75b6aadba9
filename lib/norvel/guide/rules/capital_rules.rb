# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.typed_capitals: headings whose words were typed in capitals.
      class CapitalRules < Family
        RULE = "clean.typed_capitals"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :by_hand, switch: %w[clean typed_capitals])].freeze
        MEND = Mend.new(name: "show_capitals", label: "Let their style show capitals", safe: false,
          steps: [[:show_capitals]], why: "the letters change: look whether names keep their capital")

        def findings
          return [] unless asked?(RULE)
          Survey::TypedCapitals.of(@document).map do |paragraph|
            finding(RULE, paragraph:, message: "A heading was typed in capitals", asked: "capitals shown by the style",
              found: "typed capitals", cause: [@document.style_of(paragraph)&.id], mend: MEND,
              cite: @guide.clean["cite"])
          end
        end
      end
    end
  end
end
