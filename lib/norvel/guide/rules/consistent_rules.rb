# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # consistent.*: the document held against itself (Consistency), and how its pages end.
      class ConsistentRules < Family
        RULES = Consistency::RULES.map do |name|
          Rule.new(name: "consistent.#{name}", goes_by: :document, stage: :page, switch: ["consistent", name],
            severity: "advice")
        end.freeze

        def findings
          names = Consistency::RULES.select { |name| asked?("consistent.#{name}") }
          return [] if names.empty?
          ends = names.include?("page_ends") ? PageEnds.new(@check).findings : []
          odds = Consistency.of(@document, Survey::SettledRoles.of(@document), rules: names)
          ends + odds.map { |odd| finding_of(odd) }
        end

        private

        def finding_of(odd)
          finding("consistent.#{odd.rule}", paragraph: odd.paragraph, section: odd.section, message: odd.message,
            asked: odd.usual, found: odd.found, cause: [odd.message, odd.section], mend: mend(odd))
        end

        def mend(odd)
          odd.steps && Mend.new(name: odd.steps.first.first.to_s, label: odd.label, safe: odd.why.nil?, why: odd.why,
            steps: odd.steps)
        end

        # Lines alone, stranded headings and blank pages, where the guide says nothing of them itself.
        class PageEnds < PaginationRules
          private

          def asked?(name)
            name != "pagination.pages" && Rules[name].asked(@guide).nil?
          end

          def found(rule, paragraph, sheet, cause:, **rest)
            page = sheet.label.empty? ? "sheet #{sheet.page}" : "page #{sheet.label}"
            finding("consistent.page_ends", paragraph:, section: sheet.section, found: page, cause: [rule, *cause],
              **rest)
          end
        end
      end
    end
  end
end
