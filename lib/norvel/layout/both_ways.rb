# frozen_string_literal: true

module Norvel
  module Layout
    # Cuts a line whose letters run both ways into spans: in the order in which they are read, each where it stands
    # (UAX #9, L1 and L2).
    module BothWays
      # What stands together: letters of one kind and level, or what is no letter. spans: of the latter, from its own
      # left.
      Part = Struct.new(:level, :width, :text, :letters, :spans, :x)

      private

      # bidi: Bidi of the text of the paragraph
      def cut_both_ways(bidi)
        return [] if @line.to < @line.from # a line of nothing
        parts = joined(parts(bidi))
        x = @left
        Bidi.order(parts.map(&:level)).each do |index|
          parts[index].x = x
          x += parts[index].width
        end
        close(parts.flat_map { |part| part_spans(part) })
      end

      def part_spans(part)
        return part.spans.map { |span| span.at(span.x + part.x) } if part.spans
        [SetLine::Span.new(part.x, part.width, part.text, part.letters, @stretch, nil, nil, part.level.odd?)]
      end

      # The parts of each item, with the spaces after it.
      def parts(bidi)
        levels = levels(bidi)
        x = @left
        (@line.from..@line.to).flat_map do |item|
          wide, space = width_of(item), gap(item)
          made = item_parts(item, levels, x, wide)
          x += wide + space
          next made unless space.positive?
          at = @set_items.starts[item] + @set_items.sizes[item]
          made << Part.new(levels[at], space, " " * spaces_before(item + 1), @set_items.letters_of(item))
        end
      end

      # The levels of the line; by their place in the text, the paragraph's own beyond.
      LineLevels = Struct.new(:first, :levels, :base) do
        # The level of a character.
        def [](place)
          levels[place - first] || base
        end
      end

      def levels(bidi)
        from = @set_items.starts[@line.from]
        to = @set_items.starts[@line.to] + @set_items.sizes[@line.to]
        LineLevels.new(from, bidi.line(from, to), bidi.base)
      end

      def item_parts(item, levels, x, wide)
        at = @set_items.starts[item]
        if @set_items.endings[item] == SetItems::TAB
          [Part.new(levels[at], wide, nil, nil, tab(item, x, wide).map { |span| span.at(span.x - x) })]
        elsif @set_items.objects&.key?(item)
          [Part.new(levels[at], wide, nil, nil, [inline(item, 0.0, wide)])]
        else
          words_by_level(item, levels, at, wide)
        end
      end

      # A word in which digits or signs run the other way is in parts.
      def words_by_level(item, levels, at, wide)
        letters = @set_items.letters_of(item)
        runs = @set_items.item_text(item).chars.each_with_index
          .chunk_while { |(_, one), (_, other)| levels[at + one] == levels[at + other] }
          .map { |run| [levels[at + run.first.last], run.map(&:first).join] }
        return runs.map { |level, text| Part.new(level, wide, text, letters) } if runs.size == 1
        runs.map { |level, text| Part.new(level, letters.width(text), text, letters) }
      end

      # Letters after letters of the same kind and level are one part.
      def joined(parts)
        parts.chunk_while { |one, other|
          one.spans.nil? && other.spans.nil? && one.level == other.level && one.letters.equal?(other.letters)
        }.map do |group|
          next group.first if group.size == 1
          Part.new(group.first.level, group.sum(&:width), group.map(&:text).join, group.first.letters)
        end
      end
    end
  end
end
