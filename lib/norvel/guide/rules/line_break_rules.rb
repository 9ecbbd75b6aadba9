# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.line_break: line breaks in paragraphs, each kind by itself.
      class LineBreakRules < Family
        RULE = "clean.line_break"
        RULES = [Rule.new(name: RULE, goes_by: :paragraph, stage: :text, switch: %w[clean line_breaks])].freeze
        MESSAGES = {running: "A line break stands in the middle of a sentence",
                    paragraph: "A line break stands where a paragraph ends",
                    last: "A line break stands at the end of a paragraph",
                    line: "A line break divides a paragraph"}.freeze
        MENDS = {
          running: Mend.new(name: "join_lines", label: "Make spaces of them", safe: true, steps: [[:join_lines]]),
          paragraph: Mend.new(name: "split_at_breaks", label: "Make paragraphs there", safe: false,
            steps: [[:split_at_breaks]], why: "each part becomes a paragraph of its own"),
          last: Mend.new(name: "drop_last_breaks", label: "Take them out", safe: true, steps: [[:drop_last_breaks]])
        }.freeze

        def initialize(check)
          super
          @asked = asked?(RULE)
        end

        def on(paragraph)
          return [] unless @asked && Survey::ByHand.line_break?(paragraph)
          role = @check.role(paragraph)
          kinds = Survey::LineBreaks.of(paragraph, role).values.uniq
          kinds.map { |kind| found(paragraph, kind, why(paragraph, role, kind)) }
        end

        private

        # Why it may be meant, nil where it can't be.
        def why(paragraph, role, kind)
          Survey::WhiteSpace.of_line_breaks(paragraph, role) unless kind == :last
        end

        def found(paragraph, kind, why)
          mend = MENDS[kind]
          mend = mend.asking(why) if mend&.safe && why
          finding(RULE, paragraph:, message: MESSAGES.fetch(kind), asked: "none", found: "a line break",
            cause: [kind, why], mend:, cite: @guide.clean["cite"])
        end
      end
    end
  end
end
