# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # headings.numbering: headings of the body are counted as the guide says, or not at all; headings.typed_number:
      # no number before a heading was typed. Front matter, references and thanks have none by custom.
      class HeadingNumberRules < Family
        RULES = [Rule.new(name: "headings.numbering", goes_by: :document, stage: :document),
          Rule.new(name: "headings.typed_number", goes_by: :document, stage: :document,
            switch: %w[headings typed_numbers])].freeze
        WORDS = {"none" => "no number", "decimal" => "a number such as 1.2", "chapter" => "Chapter 1, then 1.2"}.freeze
        PRINTED = "it changes numbers that are printed"

        def self.asked(guide, _roles)
          super + (guide.headings["numbering"] ? ["headings.numbering"] : [])
        end

        def findings
          scheme = @guide.headings["numbering"]
          [*(numbering(scheme) if scheme), *(typed if asked?("headings.typed_number"))]
        end

        private

        # [[Paragraph, level], …] of headings that may have a number.
        def headings
          @headings ||= @document.paragraphs.filter_map do |one|
            level = @check.role(one)[/\Aheading_(\d)\z/, 1]&.to_i
            [one, level] if level && one.container.nil? && !Edits::NumberHeadings.plain?(one)
          end
        end

        def numbering(scheme)
          headings.reject { |one, level| fits?(scheme, level, number(one)) }.map do |one, level|
            found = number(one) || "no number"
            finding("headings.numbering", paragraph: one, asked: WORDS.fetch(scheme), found:,
              message: "A heading of level #{level} has #{found}", cause: [level, number(one).nil?],
              mend: mend(scheme), cite: @guide.headings["cite"])
          end
        end

        # The number that is printed before it, counted or typed; nil for none.
        def number(paragraph)
          marker = @document.markers[paragraph.id].to_s.strip
          return marker unless marker.empty?
          paragraph.seen_text[Edits::TakeTypedNumbers::PREFIX, :typed]&.strip if numbered?(paragraph)
        end

        def numbered?(paragraph)
          %i[decimal roman chapter].include?(Survey::Traits.of(paragraph).kind)
        end

        def fits?(scheme, level, number)
          return number.nil? if scheme == "none"
          return false if number.nil?
          return number.match?(/\A#{Survey::Words.any("chapter")}\s+\S+\z/i) if scheme == "chapter" && level == 1
          number.delete_suffix(".").match?(/\A\d{1,3}(?:\.\d{1,3}){#{level - 1}}\z/)
        end

        def mend(scheme)
          Mend.new(name: "number_headings", label: (scheme == "none") ? "Take their numbers off" : "Number them so",
            safe: false, steps: [[:number_headings, scheme]], why: PRINTED)
        end

        def typed
          headings.map(&:first).select { |one| @document.markers[one.id].to_s.empty? && numbered?(one) }.map do |one|
            finding("headings.typed_number", paragraph: one, message: "The number of a heading was typed",
              asked: "a number that is counted", found: "“#{number(one)}”", cause: [], cite: @guide.headings["cite"])
          end
        end
      end
    end
  end
end
