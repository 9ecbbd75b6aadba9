# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # clean.placeholder: words that hold the place of others were filled in.
      class PlaceholderRules < Family
        RULE = "clean.placeholder"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :document, switch: %w[clean placeholders])].freeze

        def findings
          return [] unless asked?(RULE)
          Structure::Placeholders.of(@document).map do |place|
            paragraph = @document.paragraph(place.paragraph)
            finding(RULE, paragraph:, message: "A placeholder is not filled in: #{place.words}", found: place.words,
              asked: "words of your own", cause: [place.name], cite: @guide.clean["cite"])
          end
        end
      end
    end
  end
end
