# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # What a rule is, told once beside the code that judges by it.
      #   name      as guides and findings name it; * stands for what varies (role.*.style)
      #   goes_by   :look, what styles make of a paragraph; :paragraph, what it holds itself; :document, the whole
      #   stage     when its mend runs in a bulk change, of STAGES
      #   switch    where a guide switches it on, as ["clean", "double_spaces"]; nil for rules that are stated otherwise
      #   severity  unless the guide says another
      Rule = Value.define(:name, :goes_by, :stage, :switch, :severity, severity: "must") do
        # Is it the declaration of a rule of this name?
        def covers?(rule)
          File.fnmatch(name, rule)
        end

        # The word the guide has at its switch, or for all of its group; nil when it says nothing or allows it.
        def asked(guide)
          word = switch&.inject(guide.data) { |stated, key| stated.is_a?(Hash) ? stated[key] : stated }
          word unless word == "allow"
        end

        # The severity in this guide: a switch may name one itself.
        def severity_in(guide)
          word = asked(guide)
          Check::SEVERITIES.include?(word) ? word : severity
        end
      end

      # Text is cleaned before paragraphs are put in styles, styles before what stands by hand over them.
      STAGES = %i[text document page roles values by_hand].freeze
    end
  end
end
