# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # notes.number_format: how notes are numbered. What their text looks like is judged as a role (RoleRules).
      class NoteRules < Family
        RULE = "notes.number_format"
        RULES = [Rule.new(name: RULE, goes_by: :document, stage: :document)].freeze
        FORMS = {"decimal" => "1, 2, 3", "lower_roman" => "i, ii, iii", "upper_roman" => "I, II, III",
                 "lower_letter" => "a, b, c", "upper_letter" => "A, B, C", "symbols" => "*, †, ‡"}.freeze
        NAMES = {"chicago" => "symbols"}.freeze

        def self.asked(guide, _roles)
          guide.data.dig("notes", "number_format") ? [RULE] : []
        end

        def findings
          asked = @guide.data.dig("notes", "number_format")
          return [] if asked.nil?
          kinds = @document.stories.map(&:kind) & %w[footnote endnote]
          kinds.flat_map do |kind|
            @document.sections.each.with_index(1).filter_map do |section, number|
              format = section.notes&.dig(kind.to_sym, :format) || "decimal"
              format = NAMES.fetch(format, format)
              found(kind, number, format, asked) unless format == asked
            end
          end
        end

        private

        def found(kind, section, format, asked)
          finding(RULE, section:, asked: FORMS.fetch(asked), found: FORMS.fetch(format, format), cause: [kind, format],
            message: "#{kind.capitalize}s of section #{section} are numbered #{FORMS.fetch(format, format)}",
            cite: @guide.data.dig("notes", "cite"))
        end
      end
    end
  end
end
