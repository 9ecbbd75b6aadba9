# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.*: spacing made with characters. A mend is safe where the characters can be nothing else.
      class CleanRules < Family
        RULES = {
          "clean.tab_indent" => "tabs_as_indents", "clean.space_indent" => "spaces_as_indents",
          "clean.double_space" => "double_spaces"
        }.map { |name, key| Rule.new(name:, goes_by: :paragraph, stage: :text, switch: ["clean", key]) }.freeze

        # detects: is it there?; sense: why it may be meant, nil where it can't be, of (paragraph, role)
        Test = Struct.new(:rule, :detects, :message, :found, :mend, :sense)
        HAND = Survey::ByHand
        SENSE = Survey::WhiteSpace

        # A mend that does one job of the plan.
        def self.mend(name, label)
          Mend.new(name:, label:, safe: true, steps: [[name.to_sym]])
        end

        TESTS = [
          Test.new("clean.tab_indent", ->(p) { p.part == :body && HAND.leading_tab?(p) },
            "A tab stands for a first-line indent", "a tab at the start",
            mend("indent_without_tabs", "Replace them by first-line indents"), SENSE.method(:of_tabs)),
          Test.new("clean.space_indent", ->(p) { p.part == :body && HAND.leading_space?(p) },
            "Spaces stand for an indent", "spaces at the start",
            mend("indent_without_spaces", "Replace them by first-line indents"), SENSE.method(:of_leading_spaces)),
          Test.new("clean.double_space", ->(p) { HAND.double_space?(p) }, "Two or more spaces stand between words",
            "a double space", mend("single_spaces", "Make them single"), SENSE.method(:of_double_spaces))
        ].freeze

        def initialize(check)
          super
          @tests = TESTS.select { |test| asked?(test.rule) }
        end

        def on(paragraph)
          @tests.select { |test| test.detects.call(paragraph) }.map { |test| failed(test, paragraph) }
        end

        private

        def failed(test, paragraph)
          why = test.sense.call(paragraph, @check.role(paragraph))
          finding(test.rule, paragraph:, message: test.message, asked: "none", found: test.found, cause: [why],
            mend: why ? test.mend.asking(why) : test.mend, cite: @guide.clean["cite"])
        end
      end
    end
  end
end
