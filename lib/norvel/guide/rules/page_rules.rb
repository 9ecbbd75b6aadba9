# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # page.size, page.margin.top|bottom|left|right. Sizes: ISO 216:2007, ANSI/ASME Y14.1.
      class PageRules < Family
        SIZES = {"A3" => [297, 420], "A4" => [210, 297], "A5" => [148, 210], "B5" => [176, 250], "Letter" => [215.9, 279.4], "Legal" => [215.9, 355.6]}
          .transform_values { |sides| sides.map { |mm| Length.points(mm.to_r, "mm") } }.freeze
        SIZE_SLACK = 1.0 # pt: files round A4 to 595.3 or 595.28
        # The binding side of a sheet that is printed on one side is the left one.
        SIDES = {"top" => "top", "bottom" => "bottom", "left" => "left", "right" => "right", "inside" => "left", "outside" => "right"}.freeze

        def self.asked(guide, _roles)
          [*("page.size" if guide.page["size"]), *guide.page.fetch("margins", {}).except("tolerance").keys.map { |side| "page.margin.#{SIDES.fetch(side)}" }]
        end

        def findings
          @document.sections.each_with_index.flat_map { |section, index| [size(section, index + 1), *margins(section, index + 1)].compact }
        end

        private

        def size(section, number)
          asked = @guide.page["size"] or return
          wanted = asked.is_a?(Hash) ? asked.values_at("width", "height").map { |text| Length.typed(text) } : SIZES.fetch(asked)
          wanted = wanted.reverse if section.landscape?
          return if [section.width, section.height].zip(wanted).all? { |is, should| (is - should).abs <= SIZE_SLACK }
          mend = Mend.new("set_page", "Set the page size", true, ->(list, _) { Edits::SetPage.new(list.map(&:section), {width: wanted[0], height: wanted[1]}) })
          finding("page.size", section: number, message: "The page is not #{asked.is_a?(Hash) ? "of the size asked for" : asked}", asked: asked.is_a?(Hash) ? spoken(*wanted) : asked,
            found: named(section) || spoken(section.width, section.height), cause: [section.landscape?], mend:, cite: @guide.page["cite"])
        end

        def named(section)
          sides = [section.width, section.height].minmax
          SIZES.find { |_, size| size.zip(sides).all? { |one, other| (one - other).abs <= SIZE_SLACK } }&.first
        end

        def spoken(width, height)
          "#{Length.spoken(width, "mm")} × #{Length.spoken(height, "mm")}"
        end

        def margins(section, number)
          asked = @guide.page["margins"] || {}
          slack = asked["tolerance"] ? Length.typed(asked["tolerance"]) : 0.5
          asked.except("tolerance").filter_map { |side, range| margin(section, number, side, range, slack) }
        end

        def margin(section, number, side, range, slack)
          least, most = range.is_a?(Hash) ? range.values_at("min", "max").map { |text| text && Length.typed(text) } : [Length.typed(range)] * 2
          field = :"margin_#{SIDES.fetch(side)}"
          found = section[field]
          return if (least.nil? || found >= least - slack) && (most.nil? || found <= most + slack)
          target = (least && found < least) ? least : most
          said = (least == most) ? Length.spoken(least, "mm") : [least && "at least #{Length.spoken(least, "mm")}", most && "at most #{Length.spoken(most, "mm")}"].compact.join(", ")
          mend = Mend.new("set_page", "Set the #{side} margin to #{Length.spoken(target, "mm")}", true, ->(list, _) { Edits::SetPage.new(list.map(&:section), {field => target}) })
          finding("page.margin.#{SIDES.fetch(side)}", section: number, message: "The #{side} margin is not #{said}", asked: said, found: Length.spoken(found, "mm"), cause: [], mend:, cite: @guide.page["cite"])
        end
      end
    end
  end
end
