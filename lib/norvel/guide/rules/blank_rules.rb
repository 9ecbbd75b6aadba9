# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.blank_paragraph: blank paragraphs that stand for space. Each is judged by what stands around it.
      class BlankRules < Family
        RULE = "clean.blank_paragraph"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :text, switch: ["clean", "blank_paragraphs"])].freeze
        LABEL = "Make space of them"
        SPACE = Mend.new(name: "remove_blank_paragraphs", label: LABEL, safe: true, steps: [[:space_for_blanks]])
        TAKEN = Mend.new(name: "remove_blank_paragraphs", label: "Remove them, and make space of what can be",
          safe: false, steps: [[:remove_blanks]])
        HAND = "the space would have to be set by hand at each place"

        def findings
          return [] unless asked?(RULE)
          gaps = Survey::Gaps.new(@document, asked: @guide.asked)
          by_hand = by_hand(gaps)
          gaps.all.flat_map do |gap|
            why = gap.stays || (HAND if by_hand[gap.blanks.first.id])
            gap.blanks.map { |blank| found(blank, why) }
          end
        end

        private

        def found(blank, why)
          finding(RULE, paragraph: blank, message: "A blank paragraph stands for space", asked: "none",
            found: "a blank paragraph", cause: [why], mend: why ? TAKEN.with(why:) : SPACE, cite: @guide.clean["cite"])
        end

        # Where the guide minds formatting by hand as much as blank paragraphs, one is no mend for the other.
        def by_hand(gaps)
          return {} unless Rules["clean.direct"].said(@guide)
          direct, blank = ["clean.direct", RULE].map { |name| Check::SEVERITIES.index(@guide.severity(name)) }
          return {} if direct > blank
          ids = gaps.all.reject(&:stays).flat_map { |gap| gap.blanks.map(&:id) }
          Edits::SpaceForBlanks.new(ids, asked: @guide.asked).by_hand(@document)
            .flat_map { |gap| gap.blanks.map(&:id) }.to_h { |id| [id, true] }
        end
      end
    end
  end
end
