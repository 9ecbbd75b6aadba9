# frozen_string_literal: true

module Norvel
  class Guide
    # The topics that rules are told in: on findings, in help and in reports.
    module RuleTopics
      # {topic: [its words, beginnings of the names of its rules]}
      ALL = {
        "page" => ["Page", %w[page.]], "headings" => ["Headings", %w[headings. role.heading_ accessible.heading]],
        "text" => ["Text and styles", %w[role. fonts. clean.looks]],
        "numbers" => ["Pages and heads", %w[pagination. running.]],
        "parts" => ["Parts and length", %w[parts. contents. count. language.]],
        "captions" => ["Captions, tables, lists", %w[captions. tables. lists. notes.]],
        "clean" => ["Cleanliness", %w[clean.]], "accessible" => ["Accessibility", %w[accessible.]],
        "consistent" => ["Agreement with itself", %w[consistent.]]
      }.freeze
      STARTS = ALL.flat_map { |name, (_, starts)| starts.map { |start| [start, name] } }
        .sort_by { |start, _| -start.size }.freeze

      # The topic of a rule: the most exact beginning wins; nil for none.
      def self.of(rule)
        STARTS.find { |start, _| rule.start_with?(start) }&.last
      end

      # {topic => its words}
      def self.words
        ALL.transform_values(&:first)
      end
    end
  end
end
