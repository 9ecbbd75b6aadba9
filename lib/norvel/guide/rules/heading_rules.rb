# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # headings.skip, accessible.heading_order: going down, each heading is at most one level below the one before (ISO
      # 14289-1 7.4.2 asks the same of a PDF); headings.max_level; headings.empty, accessible.empty_headings: no
      # paragraph in a style of headings without words.
      class HeadingRules < Family
        RULES = [Rule.new(name: "headings.skip", goes_by: :document, stage: :roles),
          Rule.new(name: "headings.max_level", goes_by: :document, stage: :roles),
          Rule.new(name: "headings.empty", goes_by: :document, stage: :text, switch: %w[headings empty]),
          Rule.new(name: "accessible.heading_order", goes_by: :document, stage: :roles,
            switch: %w[accessible heading_order]),
          Rule.new(name: "accessible.empty_heading", goes_by: :document, stage: :text,
            switch: %w[accessible empty_headings])].freeze
        EMPTY = Mend.new(name: "remove_blank_paragraphs", label: "Take them out", safe: false,
          steps: [[:remove_blanks]], why: "they may hold a place")

        def self.asked(guide, _roles)
          super + [("headings.skip" if guide.headings["skip_levels"] == false),
            ("headings.max_level" if guide.headings["max_level"])].compact
        end

        def findings
          asked = self.class.asked(@guide, [])
          [*skips(asked & %w[headings.skip accessible.heading_order]),
            *(deep if asked.include?("headings.max_level")),
            *empty(asked & %w[headings.empty accessible.empty_heading])]
        end

        private

        # [[Paragraph, level], …] of all headings.
        def headings
          @headings ||= @document.paragraphs.filter_map do |paragraph|
            level = @check.role(paragraph)[/\Aheading_(\d)\z/, 1]&.to_i
            [paragraph, level] if level
          end
        end

        def skips(rules)
          return [] if rules.empty?
          before = 0
          headings.flat_map do |paragraph, level|
            above, before = before, level
            (level > above + 1) ? rules.map { |rule| skip(rule, paragraph, above, level) } : []
          end
        end

        def skip(rule, paragraph, before, level)
          message = "A heading of level #{level} follows one of level #{before}"
          message = "The first heading is of level #{level}" if before.zero?
          found(rule, paragraph, message:, asked: "level #{before + 1}", found: "level #{level}", cause: [paragraph.id])
        end

        def deep
          most = @guide.headings["max_level"]
          headings.select { |_, level| level > most }.map do |paragraph, level|
            found("headings.max_level", paragraph, asked: "level #{most} at most", found: "level #{level}",
              message: "A heading is of level #{level}", cause: [level])
          end
        end

        def empty(rules)
          return [] if rules.empty?
          blank = @document.paragraphs.select { |one| one.nothing? && @document.heading_level(one).positive? }
          rules.flat_map do |rule|
            blank.map do |one|
              found(rule, one, message: "A heading has no words", asked: "words", found: "none", cause: [],
                mend: (EMPTY if one.removable?))
            end
          end
        end

        def found(rule, paragraph, **told)
          finding(rule, paragraph:, cite: @guide.data.dig(rule[/\A\w+/], "cite"), **told)
        end
      end
    end
  end
end
