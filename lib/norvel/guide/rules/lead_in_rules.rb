# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.lead_in: words set apart by hand at the beginning of paragraphs, alike in several.
      class LeadInRules < Family
        RULE = "clean.lead_in"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :by_hand, switch: %w[clean lead_ins])].freeze
        MEND = Mend.new(name: "style_lead_ins", label: "Put them in a character style", safe: false,
          steps: [[:style_lead_ins]], why: "they look the same, and are set by a style from then on")

        def findings
          return [] unless asked?(RULE)
          Survey::LeadIns.new(@document).all.map do |one|
            finding(RULE, paragraph: one.paragraph, message: "A lead-in is set apart by hand", mend: MEND,
              asked: "a character style", found: "“#{one.words}”", cause: [one.look], cite: @guide.clean["cite"])
          end
        end
      end
    end
  end
end
