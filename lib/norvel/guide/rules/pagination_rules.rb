# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # pagination.widow, .orphan, .stranded_heading, .pages: judged on the pages, where they have been
      # worked out.
      class PaginationRules < Family
        RULES = [["widow", "widows"], ["orphan", "orphans"], ["stranded_heading", "stranded_headings"],
          ["pages", "pages"]].map { |name, switch|
          Rule.new(name: "pagination.#{name}", goes_by: :document, stage: :page, switch: ["pagination", switch])
        }.freeze

        # Ends that a heading at the foot of a page did not come to by itself.
        ASKED = %i[page_break section_break page_break_before end].freeze

        def findings
          return [] unless pages
          [(count if asked?("pagination.pages")), *lone_lines, *stranded].compact
        end

        private

        def pages
          Layout.pages(@document)
        end

        def found(rule, paragraph, sheet, **rest)
          page = sheet.label.empty? ? "sheet #{sheet.page}" : "page #{sheet.label}"
          finding("pagination.#{rule}", paragraph:, section: sheet.section, found: page,
            cite: @guide.pagination["cite"], **rest)
        end

        # --- how many ---

        def count
          range = @guide.pagination["pages"]
          least, most = range.is_a?(Hash) ? range.values_at("min", "max") : [range, range]
          now = pages.sheets.size
          return if (least.nil? || now >= least) && (most.nil? || now <= most)
          bounds = {"at least" => least, "at most" => most}.compact
          said = bounds.map { |words, number| "#{words} #{number}" }.join(", ")
          said = least.to_s if least == most
          finding("pagination.pages", message: "The document does not have #{said} pages", asked: "#{said} pages",
            found: "#{now} pages", cause: [], cite: @guide.pagination["cite"])
        end

        # --- lines alone ---

        def lone_lines
          widows, orphans = asked?("pagination.widow"), asked?("pagination.orphan")
          return [] unless widows || orphans
          columns.flat_map do |sheet, column|
            first, last = column.pieces.first, column.pieces.last
            [(lone("widow", first, sheet) if widows && widow?(first)),
              (lone("orphan", last, sheet) if orphans && orphan?(last))].compact
          end
        end

        # [[Sheet, Column], …] in order.
        def columns
          @columns ||= pages.sheets.flat_map { |sheet| sheet.bands.map { |_, _, column| [sheet, column] } }
        end

        def widow?(piece)
          text?(piece) && piece.from.positive? && piece.from == piece.block.count - 1
        end

        def orphan?(piece)
          text?(piece) && piece.from.zero? && piece.to == 1 && piece.block.count > 1
        end

        def text?(piece)
          piece.block.is_a?(Layout::TextBlock) && !piece.block.beside?
        end

        LONE = {"widow" => "The last line of a paragraph stands alone at the head of",
                "orphan" => "The first line of a paragraph stands alone at the foot of"}.freeze

        def lone(rule, piece, sheet)
          paragraph = piece.block.paragraph
          found(rule, paragraph, sheet, message: "#{LONE[rule]} page #{sheet.label}", asked: "two lines or more",
            cause: cause_of(paragraph), mend: two_lines(paragraph))
        end

        # The style that lets lines stand alone, or the paragraph itself.
        def cause_of(paragraph)
          step = @document.cascade.decided(:widow_control, paragraph)
          (step.kind == :direct) ? [:direct] : [@document.style_of(paragraph)&.id]
        end

        def two_lines(paragraph)
          return if @document.look(paragraph)[:widow_control]
          by_hand = @document.cascade.decided(:widow_control, paragraph).kind == :direct
          style = @document.style_of(paragraph)
          step = if by_hand || style.nil? then [:make_equal, :widow_control, true]
          else
            [:change_style, style.id, {widow_control: true}]
          end
          Mend.new(name: step.first.to_s, label: "Keep two lines together", safe: true, steps: [step])
        end

        # --- headings at the foot ---

        def stranded
          return [] unless asked?("pagination.stranded_heading")
          columns.each_cons(2).filter_map do |(sheet, column), _|
            next if ASKED.include?(column.reason)
            heading, between = heading_at_foot(column)
            heading && strand(heading, between, sheet)
          end
        end

        # [the heading at the foot of a column, the blank paragraphs under it], nil where text follows it there.
        def heading_at_foot(column)
          whole = column.pieces.reverse.take_while { |piece| text?(piece) && piece.to == piece.block.count }
            .map { |piece| piece.block.paragraph }
          between = whole.take_while(&:blank?)
          heading = whole[between.size] or return
          [heading, between] if @check.role(heading).start_with?("heading_")
        end

        def strand(heading, between, sheet)
          kept = [heading, *between].reject { |paragraph| @document.look(paragraph)[:keep_with_next] }
          mend = Mend.new(name: "keep_with_next", label: "Keep it with the text below", safe: true,
            steps: [[:keep_with_next]])
          found("stranded_heading", heading, sheet, asked: "text under it on the same page", cause: [heading.id],
            message: "A heading stands at the foot of page #{sheet.label} without a line of its text",
            mend: (mend if kept.any?))
        end
      end
    end
  end
end
