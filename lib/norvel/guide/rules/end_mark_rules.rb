# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # role.*.ending_punctuation, headings.punctuation: no full stop, colon, comma or semicolon at the end. Question
      # marks, exclamation marks and suspension points are part of what is said.
      class EndMarkRules < Family
        RULES = [Rule.new(name: "role.*.ending_punctuation", goes_by: :paragraph, stage: :text),
          Rule.new(name: "headings.punctuation", goes_by: :paragraph, stage: :text,
            switch: %w[headings ending_punctuation])].freeze
        MEND = Mend.new(name: "drop_end_marks", label: "Take it away", safe: false, steps: [[:drop_end_marks]],
          why: "a sign of the text goes")

        def self.asked(guide, roles)
          stated = roles.select { |role| guide.role(role)["ending_punctuation"] == "forbid" }
          super.reject { |name| name.include?("*") } + stated.map { |role| "role.#{role}.ending_punctuation" }
        end

        def on(paragraph)
          mark = paragraph.text.strip[Consistency::HeadingCase::END_MARK] or return []
          role = @check.role(paragraph)
          rules(role).map do |rule, cite|
            finding(rule, paragraph:, asked: "no mark at the end", found: "“#{mark}”", cause: [role], mend: MEND, cite:,
              message: "#{Survey::Roles.words(role)} ends with “#{mark}”".then { |text| text[0].upcase + text[1..] })
          end
        end

        private

        def rules(role)
          heading = role.start_with?("heading_") && asked?("headings.punctuation")
          (@rules ||= {})[role] ||= {
            "headings.punctuation" => (@guide.headings if heading),
            "role.#{role}.ending_punctuation" => (@guide.role(role) if forbidden?(role))
          }.compact.transform_values { |group| group["cite"] }
        end

        def forbidden?(role)
          @guide.role(role)["ending_punctuation"] == "forbid"
        end
      end
    end
  end
end
