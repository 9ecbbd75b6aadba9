# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.blank_paragraph: blank paragraphs that stand for space. Each is judged by what stands around it.
      class BlankRules < Family
        RULE = "clean.blank_paragraph"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :text, switch: ["clean", "blank_paragraphs"])].freeze
        SPACE = Mend.new(name: "remove_blank_paragraphs", label: "Make space of them", safe: true,
          steps: [[:space_for_blanks]])
        EQUAL = Mend.new(name: "remove_blank_paragraphs", label: "Make space of them, equal throughout the style",
          safe: false, steps: [[:space_for_blanks, true]])
        TAKEN = Mend.new(name: "remove_blank_paragraphs", safe: false, steps: [[:remove_blanks]],
          label: "Remove them; a style gets the space where most had it")

        def findings
          return [] unless asked?(RULE)
          gaps = Survey::Gaps.new(@document, asked: @guide.asked)
          uneven = uneven(gaps)
          gaps.all.flat_map do |gap|
            mend = mend(gap, uneven[gap.blanks.first.id])
            gap.blanks.map { |blank| found(blank, mend) }
          end
        end

        private

        def found(blank, mend)
          finding(RULE, paragraph: blank, message: "A blank paragraph stands for space", asked: "none",
            found: "a blank paragraph", cause: [mend.why], mend:, cite: @guide.clean["cite"])
        end

        def mend(gap, others)
          return TAKEN.with(why: gap.stays) if gap.stays
          return SPACE unless others
          style = @document.style_of(gap.holder)
          first = "put them in styles first" if style.default
          more = "#{others} others in #{style.name} have no such space and would get it too" if others.positive?
          EQUAL.with(why: [more, first].compact.join("; "))
        end

        # {id of a blank paragraph => how many others of the style beside it have no gap}
        def uneven(gaps)
          ids = gaps.all.reject(&:stays).flat_map { |gap| gap.blanks.map(&:id) }
          return {} if ids.empty?
          Edits::SpaceForBlanks.new(ids, asked: @guide.asked).uneven(@document)
            .to_h { |gap, others| [gap.blanks.first.id, others] }
        end
      end
    end
  end
end
