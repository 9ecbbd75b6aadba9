# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # page.size, page.orientation, page.margin.top|bottom|left|right.
      class PageRules < Family
        RULES = %w[page.size page.orientation page.margin.*].map { |name|
          Rule.new(name:, goes_by: :document, stage: :page)
        }.freeze

        SIZE_SLACK = 1.0 # pt: files round A4 to 595.3 or 595.28
        # The binding side of a sheet that is printed on one side is the left one.
        SIDES = {"top" => "top", "bottom" => "bottom", "left" => "left", "right" => "right", "inside" => "left",
                 "outside" => "right"}
          .freeze

        # A sheet that lies on its long side is bound at its upper edge, as it was turned (common practice).
        TURNED = {"left" => "top", "right" => "bottom", "top" => "right", "bottom" => "left"}.freeze

        def self.asked(guide, _roles)
          sides = guide.page.fetch("margins", {}).except("tolerance").keys
          [*("page.size" if guide.page["size"]), *("page.orientation" if guide.page["orientation"]),
            *sides.map { |side| "page.margin.#{SIDES.fetch(side)}" }]
        end

        def findings
          found = @document.sections.each.with_index(1).flat_map do |section, number|
            [size(section, number), orientation(section, number), *margins(section, number)].compact
          end
          found + [mirrored].compact
        end

        private

        def orientation(section, number)
          asked = @guide.page["orientation"] or return
          way, tables = asked.is_a?(Hash) ? ["portrait", asked["landscape_for"] == "tables"] : [asked, false]
          lies = section.landscape?
          return if lies == (way == "landscape") || (lies && tables && table_in?(number))
          turned = {width: section.height, height: section.width}
          finding("page.orientation", section: number, message: "The sheet is #{lies ? "landscape" : "portrait"}",
            asked: [way, ("landscape for tables" if tables)].compact.join(", "), found: lies ? "landscape" : "portrait",
            cause: [], cite: @guide.page["cite"],
            mend: mend("Turn the sheet", **turned).asking("lines break anew on it"))
        end

        def table_in?(number)
          @document.paragraphs.any? { |paragraph| paragraph.section == number && paragraph.part == :table }
        end

        # What has an inside and an outside, and chapters that begin on right pages, is printed on both sides.
        def mirrored
          margins = @guide.page["margins"] || {}
          return unless margins.key?("inside") && margins.key?("outside")
          return if @guide.pagination["chapters_start"] != "odd_page" || @document.settings.mirrored
          finding("page.margin.left", section: 1, message: "The margins are not mirrored on left pages",
            asked: "inside and outside", found: "left and right", cause: ["mirrored"], cite: @guide.page["cite"],
            mend: Mend.new(name: "mirror_margins", label: "Mirror them", safe: false, steps: [[:mirror_margins]],
              why: "every left page looks otherwise then"))
        end

        # The side of a section that a guide's side means: among sheets that stand, one that lies was turned.
        def side_of(section, side)
          @turned = @document.sections.any? { |one| !one.landscape? } if @turned.nil?
          named = SIDES.fetch(side)
          (section.landscape? && @turned) ? TURNED.fetch(named) : named
        end

        def size(section, number)
          asked = @guide.page["size"] or return
          wanted = asked.is_a?(Hash) ? asked.values_at("width", "height")
            .map { |text| Length.typed(text) } : PaperSizes[asked]
          wanted = wanted.reverse if section.landscape?
          return if [section.width, section.height].zip(wanted).all? { |is, should| (is - should).abs <= SIZE_SLACK }
          said = asked.is_a?(Hash) ? spoken(*wanted) : asked
          finding("page.size", section: number,
            message: "The page is not #{asked.is_a?(Hash) ? "of the size asked for" : asked}",
            asked: said, found: PaperSizes.name_of(section.width, section.height, SIZE_SLACK) ||
              spoken(section.width, section.height),
            cause: [section.landscape?], mend: mend("Set the page size", width: wanted[0], height: wanted[1]),
            cite: @guide.page["cite"])
        end

        # In the unit that the guide writes, else the one that sheets are read in.
        def length(points, asked = nil)
          Length.spoken(points, Guide.unit(asked) || Length.of_sheets)
        end

        def spoken(width, height)
          [width, height].map { |points| length(points, @guide.page["size"]) }.join(" × ")
        end

        def margins(section, number)
          asked = @guide.page["margins"] || {}
          slack = asked["tolerance"] ? Length.typed(asked["tolerance"]) : 0.5
          asked.except("tolerance").filter_map { |side, range| margin(section, number, side, range, slack) }
        end

        def margin(section, number, side, range, slack)
          least, most = bounds(range)
          seen = side_of(section, side)
          field = :"margin_#{seen}"
          found = section[field]
          return if (least.nil? || found >= least - slack) && (most.nil? || found <= most + slack)
          target = (least && found < least) ? least : most
          said = range_words(least, most, range)
          finding("page.margin.#{seen}", section: number, message: "The #{side} margin is not #{said}",
            asked: said, found: length(found, range), cause: [side, target], cite: @guide.page["cite"],
            mend: mend("Set the #{side} margin to #{length(target, range)}", field => target))
        end

        def range_words(least, most, range)
          return length(least, range) if least == most
          bounds = {"at least" => least, "at most" => most}.compact
          bounds.map { |words, bound| "#{words} #{length(bound, range)}" }.join(", ")
        end

        def mend(label, **values)
          Mend.new(name: "set_page", label:, safe: true, steps: [[:set_page, values]])
        end
      end
    end
  end
end
