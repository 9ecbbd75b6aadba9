# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.*: formatting by hand and spacing made with characters.
      class CleanRules < Family
        SWITCHES = {
          "clean.direct" => "direct_formatting", "clean.blank_paragraph" => "blank_paragraphs", "clean.tab_indent" => "tabs_as_indents", "clean.space_indent" => "spaces_as_indents",
          "clean.line_break" => "line_breaks", "clean.double_space" => "double_spaces"
        }.freeze
        # A guide keeps by these names; positions are kept anyway.
        KEPT = {"superscript" => :position, "subscript" => :position}.freeze
        Test = Struct.new(:rule, :detects, :message, :found, :mend, :parts)
        HAND = Survey::ByHand

        TESTS = [
          Test.new("clean.blank_paragraph", ->(p) { p.blank? && p.removable? }, "A blank paragraph stands for space", "a blank paragraph",
            ["remove_blank_paragraphs", "Remove them", true, ->(list, _) { Edits::RemoveBlankParagraphs.new(list.map(&:paragraph)) }]),
          Test.new("clean.tab_indent", ->(p) { p.part == :body && HAND.leading_tab?(p) }, "A tab stands for a first-line indent", "a tab at the start",
            ["indent_without_tabs", "Replace them by first-line indents", true, ->(list, _) { Edits::IndentWithoutTabs.new(list.map(&:paragraph)) }]),
          Test.new("clean.space_indent", ->(p) { p.part == :body && HAND.leading_space?(p) }, "Spaces stand for an indent", "spaces at the start",
            ["single_spaces", "Remove them", true, ->(list, _) { Edits::SingleSpaces.new(list.map(&:paragraph)) }]),
          Test.new("clean.double_space", ->(p) { HAND.double_space?(p) }, "Two or more spaces stand between words", "a double space",
            ["single_spaces", "Make them single", true, ->(list, _) { Edits::SingleSpaces.new(list.map(&:paragraph)) }]),
          Test.new("clean.line_break", ->(p) { HAND.running_line_break?(p) }, "A line break stands in the middle of a sentence", "a line break",
            ["join_lines", "Take them out", true, ->(list, _) { Edits::JoinLines.new(list.map(&:paragraph)) }], :running),
          Test.new("clean.line_break", ->(p) { HAND.line_break?(p) && !HAND.running_line_break?(p) }, "A line break divides a paragraph; it may be meant", "a line break", nil, :meant)
        ].freeze

        def self.looks?
          false
        end

        def self.asked(guide, _roles)
          SWITCHES.select { |_, key| ![nil, "allow"].include?(guide.clean[key]) }.keys
        end

        def initialize(check)
          super
          @tests = TESTS.select { |test| on?(test.rule) }.map { |test| [test, test.mend && Mend.new(*test.mend)] }
          @known = {}
          prepare_direct if on?("clean.direct")
        end

        def on(paragraph)
          found = @tests.filter_map do |test, mend|
            finding(test.rule, paragraph:, message: test.message, asked: "none", found: test.found, cause: [test.parts], mend:, cite: @guide.clean["cite"]) if test.detects.call(paragraph)
          end
          (@direct_mend && (by_hand = direct(paragraph))) ? found << by_hand : found
        end

        private

        def on?(rule)
          switch = @guide.clean[SWITCHES.fetch(rule)]
          !switch.nil? && switch != "allow"
        end

        def prepare_direct
          @kept = keep
          emphasis = @kept & Edits::ClearDirect::EMPHASIS
          kept = @kept - emphasis
          @direct_mend = Mend.new("clear_direct", "Clear it", true, ->(list, _) { Edits::ClearDirect.new(list.map(&:paragraph), keep: kept, keep_emphasis: emphasis) })
          @asking_mend = @direct_mend.dup.tap { |mend| mend.safe = false }
        end

        def direct(paragraph)
          departures = departures(paragraph, @kept)
          return if departures.empty?
          said = departures.join(", ")
          finding("clean.direct", paragraph:, message: "Formatting was set by hand: #{said}", asked: "from the style", found: said, cause: [paragraph.style_id, speaking?(paragraph)], mend: speaking?(paragraph) ? @asking_mend : @direct_mend, cite: @guide.clean["cite"])
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
          (labels(paragraph.direct, kept, paragraph) + paragraph.runs.flat_map { |run| run.symbols? ? [] : labels(run.direct, kept, paragraph) }).uniq
        end

        def labels(set, kept, paragraph)
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
