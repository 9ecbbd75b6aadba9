# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.typed_list: bullets, numbers and letters that were typed before the items of a list.
      class TypedListRules < Family
        RULE = "clean.typed_list"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :text, switch: ["clean", "typed_lists"])].freeze
        MEND = Mend.new(name: "make_lists", label: "Make lists of them", safe: false, steps: [[:list_typed]],
          why: "their signs are counted from then on, and hang before the text")

        def findings
          return [] unless asked?(RULE)
          Survey::TypedLists.new(@document).all.flat_map do |list|
            list.items.map { |item| found(item) }
          end
        end

        private

        def found(item)
          finding(RULE, paragraph: item.paragraph, message: "The sign of a list item was typed",
            asked: "a list that counts", found: "“#{item.sign}”", cause: [], mend: MEND, cite: @guide.clean["cite"])
        end
      end
    end
  end
end
