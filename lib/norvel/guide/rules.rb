# frozen_string_literal: true

module Norvel
  class Guide
    # The families of rules, one class each: given a Check they return findings.
    module Rules
      ALL = [PageRules, RoleRules, HeadingRules, CleanRules, AccessibleRules].freeze
      # Rule names whose switch in the guide is spelled otherwise.
      SWITCHES = CleanRules::SWITCHES
    end
  end
end
