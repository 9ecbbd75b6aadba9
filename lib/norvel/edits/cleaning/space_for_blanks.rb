# frozen_string_literal: true

module Norvel
  module Edits
    # Takes blank paragraphs out and puts the space they made back: as the space of a style where nearly all its
    # paragraphs have it, else of the paragraph. What stands by purpose stays.
    class SpaceForBlanks < Edit
      # ids: blank paragraphs; asked: {role => {property => Guide::Requirement}}
      def initialize(ids, asked: {})
        @ids = ids
        @asked = asked
      end

      def change(document)
        gaps = gaps(document)
        going = gaps.flat_map { |gap| gap.blanks.map(&:id) }
        after = gaps.select(&:holder).group_by { |gap| [document.style_of(gap.holder)&.id, gap.side] }
          .inject(document) { |now, ((style, side), list)| with_space(document, now, style, side, list) }
        after.without(going)
      end

      def title(document)
        "Make space of #{count(gaps(document).sum { |gap| gap.blanks.size }, "blank paragraph")}"
      end

      def removes_white_space?
        true
      end

      # Gaps that would be set at single paragraphs, as their style is not agreed on them.
      def by_hand(document)
        gaps(document).select(&:holder).group_by { |gap| [document.style_of(gap.holder)&.id, gap.side] }
          .reject { |(style, _), list| agreed?(document, style, list) }.values.flatten
      end

      private

      def gaps(document)
        wanted = @ids.to_h { |id| [id, true] }
        Survey::Gaps.new(document, asked: @asked).all
          .select { |gap| gap.stays.nil? && gap.blanks.all? { |blank| wanted[blank.id] } }
      end

      def with_space(document, now, style, side, list)
        if agreed?(document, style, list)
          usual = list.map(&:space).tally.max_by(&:last).first
          return ChangeStyle.new(style, {side => usual}).change(now)
        end
        now.replace(list.map { |gap| set_directly(now, now.paragraph(gap.holder.id), side, gap.space) })
      end
    end
  end
end
