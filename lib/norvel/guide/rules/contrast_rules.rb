# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # accessible.contrast: letters stand out from what is behind them by this ratio (WCAG 2.2, 1.4.3); large ones by
      # 3 at least, where the guide asks for the usual 4.5: 18 pt, or 14 pt in bold.
      class ContrastRules < Family
        RULE = "accessible.contrast"
        RULES = [Rule.new(name: RULE, goes_by: :look, stage: :values)].freeze
        PAPER = "#ffffff"
        INK = "#000000"
        LARGE = 18.0
        LARGE_BOLD = 14.0
        OF_LARGE = {4.5 => 3.0, 7.0 => 4.5}.freeze # WCAG 2.2, 1.4.3 and 1.4.6

        def self.asked(guide, _roles)
          guide.accessible["contrast"] ? [RULE] : []
        end

        def on(paragraph)
          asked = @guide.accessible["contrast"] or return []
          paragraph.formatting.letters.reject(&:symbols?).filter_map { |run| judged(run, paragraph, asked.to_f) }
            .uniq(&:cause)
        end

        private

        def judged(run, paragraph, asked)
          look = @document.run_look(run, paragraph)
          ink, ground = colour(look[:color], INK), ground(look, paragraph)
          ratio = ((@ratios ||= {})[[ink, ground]] ||= Colour.contrast(ink, ground))
          wanted = large?(look) ? OF_LARGE.fetch(asked, asked) : asked
          return if ratio >= wanted
          finding(RULE, paragraph:, asked: "#{Length.plain(wanted)} : 1", found: "#{Length.plain(ratio.round(1))} : 1",
            message: "Letters in #{ink} on #{ground} stand out by #{Length.plain(ratio.round(1))} : 1",
            cause: [ink, ground], cite: @guide.accessible["cite"])
        end

        def large?(look)
          look[:size] >= LARGE || (look[:bold] && look[:size] >= LARGE_BOLD)
        end

        # What is behind letters: their highlight, the paragraph's shading, the cell's, the paper.
        def ground(look, paragraph)
          [look[:highlight], @document.look(paragraph)[:shading], cells[paragraph.container]]
            .filter_map { |one| Colour.hex(one.to_s) }.first || PAPER
        end

        def cells
          @cells ||= @document.tables.flat_map(&:cells).to_h { |cell| [cell.id, cell.shading] }
        end

        def colour(value, usual)
          Colour.hex(value.to_s) || usual
        end
      end
    end
  end
end
