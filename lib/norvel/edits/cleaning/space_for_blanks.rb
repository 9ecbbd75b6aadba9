# frozen_string_literal: true

module Norvel
  module Edits
    # Takes blank paragraphs out and lets the styles beside them have the space they made, equal throughout a style.
    # Nothing is set by hand: where a style's paragraphs differ in it, the blank ones stay, unless the style is to have
    # it in any case. What stands by purpose stays.
    class SpaceForBlanks < Edit
      # ids: blank paragraphs; asked: {role => {property => Guide::Requirement}}; equal: do styles get the space of most
      # gaps where not nearly all their paragraphs have one? measured_in: a state before this one, whose gaps are to
      # stay as high as they were, though other styles have changed since
      def initialize(ids, asked: {}, equal: false, measured_in: nil)
        @measured_in = measured_in
        @ids = ids
        @asked = asked
        @equal = equal
      end

      def change(document)
        going = going(document)
        after = by_holder(document, going).inject(document) do |now, ((style, side), list)|
          ChangeStyle.new(style, {side => usual(list)}).change(now)
        end
        after.without(going.flat_map { |gap| gap.blanks.map(&:id) })
      end

      def title(document)
        "Make space of #{count(going(document).sum { |gap| gap.blanks.size }, "blank paragraph")}"
      end

      def removes_white_space?
        true
      end

      # The same with its gaps as high as they are in another state.
      def measured_in(document)
        self.class.new(@ids, asked: @asked, equal: @equal, measured_in: document)
      end

      # {gap => how many others of the style would get the space too} of those whose style is not agreed on them.
      def uneven(document, all = gaps(document))
        by_holder(document, all).flat_map { |(style, side), list|
          others = others(document, style, side, list)
          agreed = !document.styles[style]&.default && others <= list.size * (1 - AGREED)
          agreed ? [] : list.map { |gap| [gap, others] }
        }.each_with_object({}.compare_by_identity) { |(gap, others), found| found[gap] = others }
      end

      private

      def gaps(document)
        wanted = @ids.to_h { |id| [id, true] }
        Survey::Gaps.new(document, asked: @asked).all
          .select { |gap| gap.stays.nil? && gap.blanks.all? { |blank| wanted[blank.id] } }
      end

      def going(document)
        all = gaps(document)
        return all if @equal
        left = uneven(document, all)
        all.reject { |gap| left.key?(gap) }
      end

      # {[style, side] => gaps} of those that become space.
      def by_holder(document, gaps)
        gaps.select(&:holder).group_by { |gap| [document.style_of(gap.holder)&.id, gap.side] }
      end

      # How many others of the style would stand further from their neighbour than they do.
      def others(document, style, side, list)
        holders = list.to_h { |gap| [gap.holder.id, true] }
        space = usual(list)
        document.paragraphs.each_with_index.count do |one, at|
          next if one.blank? || holders[one.id] || document.style_of(one)&.id != style
          moves?(document, one, neighbour(document, at, side), side, space)
        end
      end

      def neighbour(document, at, side)
        return document.paragraphs[at + 1] if side == :space_after
        document.paragraphs[at - 1] if at.positive?
      end

      def moves?(document, one, other, side, space)
        return false if other.nil? || document.look(one)[side] >= space
        facing = (side == :space_after) ? :space_before : :space_after
        document.settings.sum_spaces || document.look(other)[facing] < space
      end

      def usual(gaps)
        gaps.map { |gap| spaces.fetch(gap.blanks.first.id, gap.space) }.tally.max_by(&:last).first
      end

      # {id of a gap's first blank => how high the gap was}
      def spaces
        @spaces ||= @measured_in ? gaps(@measured_in).to_h { |gap| [gap.blanks.first.id, gap.space] } : {}
      end
    end
  end
end
