# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.*: formatting by hand and spacing made with characters.
      class CleanRules < Family
        RULES = {
          "clean.direct" => [:by_hand, "direct_formatting"], "clean.blank_paragraph" => [:text, "blank_paragraphs"],
          "clean.tab_indent" => [:text, "tabs_as_indents"], "clean.space_indent" => [:text, "spaces_as_indents"],
          "clean.line_break" => [:text, "line_breaks"], "clean.double_space" => [:text, "double_spaces"]
        }.map { |name, (stage, key)| Rule.new(name:, goes_by: :paragraph, stage:, switch: ["clean", key]) }.freeze

        # A guide keeps by these names; positions are kept anyway.
        KEPT = {"superscript" => :position, "subscript" => :position}.freeze
        Test = Struct.new(:rule, :detects, :message, :found, :mend, :parts)
        HAND = Survey::ByHand

        def self.mend(name, label)
          Mend.new(name:, label:, safe: true, steps: [[name.to_sym]])
        end

        TESTS = [
          Test.new("clean.blank_paragraph", ->(p) { p.blank? && p.removable? }, "A blank paragraph stands for space",
            "a blank paragraph", mend("remove_blank_paragraphs", "Remove them")),
          Test.new("clean.tab_indent", ->(p) { p.part == :body && HAND.leading_tab?(p) },
            "A tab stands for a first-line indent",
            "a tab at the start", mend("indent_without_tabs", "Replace them by first-line indents")),
          Test.new("clean.space_indent", ->(p) { p.part == :body && HAND.leading_space?(p) },
            "Spaces stand for an indent",
            "spaces at the start", mend("single_spaces", "Remove them")),
          Test.new("clean.double_space", ->(p) { HAND.double_space?(p) }, "Two or more spaces stand between words",
            "a double space", mend("single_spaces", "Make them single")),
          Test.new("clean.line_break", ->(p) { HAND.running_line_break?(p) },
            "A line break stands in the middle of a sentence",
            "a line break", mend("join_lines", "Take them out"), :running),
          Test.new("clean.line_break", ->(p) { HAND.line_break?(p) && !HAND.running_line_break?(p) },
            "A line break divides a paragraph; it may be meant", "a line break", nil, :meant)
        ].freeze

        def initialize(check)
          super
          @tests = TESTS.select { |test| asked?(test.rule) }
          @known = {}
          prepare_direct if asked?("clean.direct")
        end

        def on(paragraph)
          found = @tests.select { |test| test.detects.call(paragraph) }.map { |test| failed(test, paragraph) }
          (@direct_mend && (by_hand = direct(paragraph))) ? found << by_hand : found
        end

        private

        def failed(test, paragraph)
          finding(test.rule, paragraph:, message: test.message, asked: "none", found: test.found, cause: [test.parts],
            mend: test.mend, cite: @guide.clean["cite"])
        end

        def prepare_direct
          @kept = keep
          emphasis = @kept & Edits::ClearDirect::EMPHASIS
          clear = [:clear, {keep: @kept - emphasis, keep_emphasis: emphasis}]
          @direct_mend = Mend.new(name: "clear_direct", label: "Clear it", safe: true, steps: [clear])
          @asking_mend = @direct_mend.with(safe: false)
        end

        def direct(paragraph)
          departures = departures(paragraph, @kept)
          return if departures.empty?
          said = departures.join(", ")
          speaking = speaking?(paragraph)
          finding("clean.direct", paragraph:, message: "Formatting was set by hand: #{said}", asked: "from the style",
            found: said,
            cause: [paragraph.style_id, speaking], mend: speaking ? @asking_mend : @direct_mend,
            cite: @guide.clean["cite"])
        end

        # Where the look alone says what a paragraph is, its formatting carries meaning as long as no style does.
        def speaking?(paragraph)
          @check.suggested?(paragraph) && @check.role(paragraph) != "table_text"
        end

        def keep
          switch = @guide.clean["direct_formatting"]
          switch.is_a?(Hash) ? (switch["keep"] || []).map { |name| KEPT.fetch(name, name.to_sym) } : []
        end

        # Labels of the properties that stand on the paragraph or its runs and would go.
        def departures(paragraph, kept)
          runs = paragraph.runs.reject(&:symbols?)
          (labels(paragraph.direct, kept) + runs.flat_map { |run| labels(run.direct, kept) }).uniq
        end

        def labels(set, kept)
          return [] if set.empty?
          @known[set] ||= set.keys.filter_map do |slot|
            property = Styles::Properties[slot]
            next if property.clear == :keep || kept.include?(property.key)
            Styles::Properties[property.key].label&.downcase || "other formatting"
          end
        end
      end
    end
  end
end
