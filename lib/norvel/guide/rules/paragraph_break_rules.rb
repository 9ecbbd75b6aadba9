# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # role.*.paragraph_break: paragraphs of running text are told apart by an indent or by space, the same everywhere;
      # where either will do, by the one that most have.
      class ParagraphBreakRules < Family
        RULES = [Rule.new(name: "role.*.paragraph_break", goes_by: :document, stage: :values)].freeze
        ROLE = "body" # the only one of running text

        def self.asked(guide, _roles)
          guide.role(ROLE)["paragraph_break"] ? ["role.#{ROLE}.paragraph_break"] : []
        end

        # Kinds of paragraphs that are no running text: {rule's name => why}
        def self.untold(guide, _document, _roles)
          others = ROLES.reject { |role| role == ROLE }.select { |role| guide.role(role)["paragraph_break"] }
          others.to_h { |role| ["role.#{role}.paragraph_break", "it is told of running text alone"] }
        end

        def findings
          asked = @guide.role(ROLE)["paragraph_break"] or return []
          breaks = Survey::ParagraphBreaks.new(@document).all
          wanted = wanted(asked, breaks)
          breaks.reject { |_, ways| ways == [wanted] }.map { |paragraph, ways| found(paragraph, ways, wanted) }
        end

        private

        # The one way that is asked for, of several the one that most have.
        def wanted(asked, breaks)
          allowed = (asked.is_a?(Hash) ? asked["any_of"] : [asked]).map(&:to_sym)
          counts = breaks.map(&:last).select { |ways| ways.one? && allowed.include?(ways.first) }.tally
          counts.max_by(&:last)&.first&.first || allowed.first
        end

        def found(paragraph, ways, wanted)
          asked, seen = [[wanted], ways].map { |list| Survey::ParagraphBreaks.words(list) }
          finding("role.#{ROLE}.paragraph_break", paragraph:, asked:, found: seen, cause: [ways],
            message: "A paragraph is told from the one before by #{seen}", mend: mend(paragraph, ways, wanted),
            cite: @guide.role(ROLE)["cite"])
        end

        # Space beside an indent goes by the style; what is missing only a guide can say how much of.
        def mend(paragraph, ways, wanted)
          style = @document.style_of(paragraph)
          return if style.nil? || style.default || ways != %i[indent space]
          values = (wanted == :indent) ? {space_before: 0.0, space_after: 0.0} : {first_line: 0.0}
          Mend.new(name: "change_style", label: "Leave that to #{style.name}", safe: false,
            steps: [[:change_style, style.id, values]], why: "it changes all in the style")
        end
      end
    end
  end
end
