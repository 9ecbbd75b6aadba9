# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.doubled_style: a style that someone made and that looks just as another one does.
      class DoubledStyleRules < Family
        RULE = "clean.doubled_style"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :by_hand, switch: %w[clean doubled_styles])].freeze

        def findings
          return [] unless asked?(RULE)
          Survey::DoubledStyles.of(@document).map { |style, like| found(style, like) }
        end

        private

        def found(style, like)
          mend = Mend.new(name: "merge_styles", label: "Merge #{style.name} into #{like.name}", safe: false,
            steps: [[:merge_styles, style.id, like.id]], why: "both may be meant to differ one day")
          finding(RULE, message: "#{style.name} looks just as #{like.name} does", asked: "one style for one look",
            found: style.name, cause: [style.id], mend:, cite: @guide.clean["cite"])
        end
      end
    end
  end
end
