# frozen_string_literal: true

module Norvel
  module Consistency
    # Space around tables and images that differs from that around most of them: above and below, to the text and to
    # captions by themselves. Space and blank lines count both.
    class AroundObjects < Subject
      RULE = "spacing"
      WAYS = {"above" => -1, "below" => 1}.freeze

      def odds
        gaps.group_by(&:kind).flat_map do |_, list|
          values = list.map(&:value)
          most = usual(values) or next []
          list.zip(values).reject { |_, value| value == most }.map { |gap, _| deviation(gap, most) }
        end
      end

      private

      # kind: [what it is around, the side, what stands there]; value: [points, blank lines]
      Gap = Value.define(:kind, :value, :paragraph)

      def gaps
        shown = @document.shown_blocks
        shown.each_with_index.flat_map do |block, at|
          what = object(block) or next []
          WAYS.filter_map do |side, step|
            beside = shown[at + step] unless (at + step).negative?
            gap(what, side, block, beside) if beside
          end
        end
      end

      def object(block)
        return "table" if block.is_a?(Document::Table)
        "image" if block.images.any? && block.word_count < 3
      end

      # Nil where what stands there has its own space (a heading) or is on another page by a break.
      def gap(what, side, block, beside)
        return unless beside.is_a?(Document::Paragraph) && !beside.ends_page? && !broken?(block, beside)
        kind = {"caption" => "its caption", "body" => "the text"}[role(beside)] or return
        edges = (side == "above") ? [after(beside), before(block)] : [after(block), before(beside)]
        Gap.new(kind: [what, side, kind], value: [together(edges), blanks(block, beside)], paragraph: beside)
      end

      def broken?(block, beside)
        [block, beside].any? { |one| one.is_a?(Document::Paragraph) && look(one)[:page_break_before] }
      end

      def after(block)
        block.is_a?(Document::Paragraph) ? look(block)[:space_after] : 0.0
      end

      def before(block)
        block.is_a?(Document::Paragraph) ? look(block)[:space_before] : 0.0
      end

      def together(edges)
        rounded(@document.settings.sum_spaces ? edges.sum : edges.max)
      end

      def blanks(block, beside)
        @at ||= @document.blocks.each_with_index.with_object({}.compare_by_identity) { |(one, at), all| all[one] = at }
        (@at.fetch(block) - @at.fetch(beside)).abs - 1
      end

      def deviation(gap, most)
        what, side, kind = gap.kind
        odd(paragraph: gap.paragraph, usual: words(most), found: words(gap.value),
          message: "Between the #{what} and #{kind} #{side} it: #{words(gap.value)}, at most others #{words(most)}")
      end

      # "12 pt and a blank line"
      def words((points, blanks))
        lines = (blanks == 1) ? "a blank line" : "#{blanks} blank lines"
        space = Styles::Properties[:space_after].spoken(points)
        return space if blanks.zero?
        points.zero? ? lines : "#{space} and #{lines}"
      end
    end
  end
end
