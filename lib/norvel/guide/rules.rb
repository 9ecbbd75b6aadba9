# frozen_string_literal: true

module Norvel
  class Guide
    # The families of rules, one class each: given a Check they return findings. Each says what its rules are in RULES.
    module Rules
      ALL = [PageRules, PaginationRules, BlankPageRules, MatterRules, PartRules, ContentsRules, CaptionRules,
        NumberRules, RoleRules, HeadingRules, BlankRules, CleanRules, LineBreakRules, TypedListRules, DefinitionRules,
        PageStartRules, NearMissRules, LeadInRules, CapitalRules, TableRules, UnusedStyleRules, DoubledStyleRules,
        DirectRules, AccessibleRules, ConsistentRules].freeze

      # The Rule of this name: the first that covers it.
      def self.[](name)
        (@known ||= {})[name] ||= ALL.lazy.flat_map { |family| family::RULES }.find { |rule| rule.covers?(name) } or
          raise KeyError, "no family declares the rule #{name}"
      end
    end
  end
end
