# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.unused_style: styles that someone made and that nothing is in.
      class UnusedStyleRules < Family
        RULE = "clean.unused_style"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :by_hand, switch: %w[clean unused_styles])].freeze
        WHY = "someone may want to use them later"

        def findings
          return [] unless asked?(RULE)
          Survey::UnusedStyles.of(@document).map { |style| found(style) }
        end

        private

        def found(style)
          mend = Mend.new(name: "delete_styles", label: "Delete #{style.name}", safe: false,
            steps: [[:delete_styles, [style.id]]], why: WHY)
          finding(RULE, message: "Nothing is in the style #{style.name}", asked: "styles that are used",
            found: style.name, cause: [style.id], mend:, cite: @guide.clean["cite"])
        end
      end
    end
  end
end
