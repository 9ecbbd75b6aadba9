# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # headings.skip: going down, each heading is at most one level below the one before (ISO 14289-1 7.4.2 asks the
      # same of a PDF).
      class HeadingRules < Family
        RULES = [Rule.new(name: "headings.skip", goes_by: :document, stage: :roles)].freeze

        def self.asked(guide, _roles)
          (guide.headings["skip_levels"] == false) ? ["headings.skip"] : []
        end

        def findings
          return [] unless @guide.headings["skip_levels"] == false
          before = 0
          @document.paragraphs.filter_map do |paragraph|
            level = @check.role(paragraph)[/\Aheading_(\d)\z/, 1]&.to_i or next
            skipped = level > before + 1
            found = skip(paragraph, before, level) if skipped
            before = level
            found
          end
        end

        private

        def skip(paragraph, before, level)
          message = "A heading of level #{level} follows one of level #{before}"
          message = "The first heading is of level #{level}" if before.zero?
          finding("headings.skip", paragraph:, message:, asked: "level #{before + 1}", found: "level #{level}",
            cause: [paragraph.id], cite: @guide.headings["cite"])
        end
      end
    end
  end
end
