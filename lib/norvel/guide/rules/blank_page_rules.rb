# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # pagination.blank_page, and clean.empty_page where no guide speaks of them: judged on the pages, where they have
      # been worked out.
      class BlankPageRules < Family
        SWITCHES = {"pagination.blank_page" => %w[pagination blank_pages],
                    "clean.empty_page" => %w[clean empty_pages]}.freeze
        RULES = SWITCHES.map { |name, switch| Rule.new(name:, goes_by: :document, stage: :page, switch:) }.freeze
        OTHERS = "other headings of the style would begin pages too"
        SECTION = "it changes where a section begins"

        def findings
          rule = SWITCHES.keys.find { |name| asked?(name) }
          pages = rule && Layout.pages(@document) or return []
          pages.sheets.select { |sheet| Structure::EmptyPages.blank?(sheet) }
            .map { |sheet| found(rule, sheet, Structure::EmptyPages.new(pages, sheet)) }
        end

        private

        def found(rule, sheet, cause)
          name = sheet.label.empty? ? "sheet #{sheet.page}" : "page #{sheet.label}"
          finding(rule, paragraph: cause.paragraph, section: sheet.section, found: name, asked: "no blank page",
            message: "Page #{sheet.label} is blank: #{cause.sentence}", cause: [sheet.page], mend: mend(cause),
            cite: @guide.data.dig(SWITCHES[rule].first, "cite"))
        end

        def mend(cause)
          step, ids, label, safe = cause.way_out
          why = (step == :begin_by_style) ? OTHERS : SECTION
          step && Mend.new(name: step.to_s, label:, safe:, steps: [[step, ids]], why: (why unless safe))
        end
      end
    end
  end
end
