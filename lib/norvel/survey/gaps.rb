# frozen_string_literal: true

module Norvel
  module Survey
    # The spaces that blank paragraphs make, and what would make them without: a space of the paragraph before or after.
    # Lengths in points.
    class Gaps
      PUSHING = ByHand::PUSHING
      # Roles whose blank lines are part of them.
      LINES = %w[code other contents_entry].freeze
      NO_STYLE = "what stands beside them is in no style: put it in one first"

      # blanks: Paragraphs in a row that can go; before, after: the paragraphs around them, nil at an end
      # side, holder: :space_before or :space_after of which of the two makes the space, nil where none is needed
      # space: its value; stays: why the blanks have to stay, nil where they can go
      Gap = Struct.new(:blanks, :before, :after, :side, :holder, :space, :stays, keyword_init: true)

      # asked: {role => {property => Guide::Requirement}} of what a guide states
      def initialize(document, asked: {})
        @document = document
        @asked = asked
        @settled = SettledRoles.of(document)
      end

      # Every Gap of the text.
      def all
        @all ||= runs.map { |blanks, before, after| gap(blanks, before, after) }
      end

      private

      def runs
        paragraphs = @document.paragraphs
        loose = paragraphs.each_index.select { |place| loose?(paragraphs[place]) }
        rows = loose.chunk_while do |one, other|
          other == one + 1 && paragraphs[one].container == paragraphs[other].container
        end
        rows.map do |places|
          before = paragraphs[places.first - 1] if places.first.positive?
          [places.map { |place| paragraphs[place] }, before, paragraphs[places.last + 1]]
        end
      end

      def loose?(paragraph)
        paragraph.blank? && paragraph.removable?
      end

      def gap(blanks, before, after)
        found = Gap.new(blanks:, before:, after:, stays: sense(blanks, before, after))
        found.stays ? found : placed(found)
      end

      # What the blank lines say that a space would not.
      def sense(blanks, before, after)
        return "they count in a list" if blanks.any? { |blank| @document.cascade.list_of(blank) }
        return "they hold places on the title page" if blanks.any? { |blank| @settled.title_page?(blank) }
        return "#{blanks.size} in a row push what follows down: a page break may be meant" if blanks.size >= PUSHING &&
          after
        around = [before, after].compact.reject(&:blank?)
        return unless around.size == 2 && around.all? { |paragraph| LINES.include?(@settled.role(paragraph)) }
        "they part lines that are meant as they stand"
      end

      def placed(gap)
        beside = [gap.before, gap.after].map { |paragraph| paragraph if holds?(paragraph, gap) }
        return gap if gap.after.nil? && beside.first
        if beside.none?
          gap.stays = "a table or a break stands next to them"
          return gap
        end
        choose(gap, *beside)
        gap
      end

      def holds?(paragraph, gap)
        paragraph && !paragraph.blank? && paragraph.container == gap.blanks.first.container
      end

      # A heading has its space itself; else what stands before. Where a guide settles the space of both, it is as the
      # guide says.
      def choose(gap, before, after)
        sides = [[:space_after, before], [:space_before, after]].select(&:last)
        sides.reverse! if after && @settled.role(after).start_with?("heading")
        side, holder = sides.find { |name, one| settled?(name, one) || free?(name, one, space(gap, name)) }
        return if side.nil? || settled?(side, holder)
        return gap.stays = NO_STYLE if @document.style_of(holder).nil?
        gap.side, gap.holder, gap.space = side, holder, space(gap, side)
      end

      # Does a guide say how much space this is, and is it so?
      def settled?(side, holder)
        requirement(side, holder)&.meets?(look(holder, side))
      end

      def free?(side, holder, space)
        asked = requirement(side, holder)
        asked.nil? || asked.meets?(space)
      end

      def requirement(side, holder)
        @asked.dig(@settled.role(holder), side)
      end

      # What a side has to be for the whole distance to stay.
      def space(gap, side)
        whole = distance([gap.before, *gap.blanks, gap.after])
        return round(whole) unless @document.settings.sum_spaces
        other = (side == :space_after) ? look(gap.after, :space_before) : look(gap.before, :space_after)
        round(whole - other)
      end

      # From the last line before to the first line after.
      def distance(paragraphs)
        spaces = paragraphs.each_cons(2).sum do |one, other|
          between = [look(one, :space_after), look(other, :space_before)]
          @document.settings.sum_spaces ? between.sum : between.max
        end
        spaces + paragraphs[1..-2].sum { |blank| line(blank) }
      end

      def look(paragraph, name)
        paragraph ? @document.look(paragraph)[name] : 0.0
      end

      def line(blank)
        spacing = @document.look(blank)[:line_spacing]
        return spacing[:value] if spacing[:rule] == "exact"
        natural = Layout::Fonts.line_height(@document.letter_look(blank))
        (spacing[:rule] == "multiple") ? natural * spacing[:value] : [natural, spacing[:value]].max
      end

      # One blank line at 11 pt is about 12 pt: whole lines of a usual grid where they are near.
      def round(space)
        grid = (space / 6).round * 6.0
        ((space - grid).abs <= 2) ? grid : space.round.to_f
      end
    end
  end
end
