# frozen_string_literal: true

module Norvel
  module Layout
    # A line of a block as it is drawn: aligned in its measure, cut into spans. Lengths in points from the left edge of
    # the measure.
    class SetLine
      include BothWays

      # Letters of one kind on one line. stretch: what each of its spaces takes more than its own width; leader: the
      # sign that fills a tab, nil for words; object: a TextSetting::InlineObject that stands here instead;
      # right_to_left: do its letters run so? label: are they the marker of a list?
      Span = Struct.new(:x, :width, :text, :letters, :stretch, :leader, :object, :right_to_left, :label) do
        # The same at another place.
        def at(place)
          dup.tap { |span| span.x = place }
        end
      end

      LEADERS = {"dots" => ".", "dashes" => "-", "a line" => "_", "middle dots" => "·", "a heavy line" => "_"}.freeze

      attr_reader :left, :width

      def initialize(block, number)
        @block = block
        @set_items = block.set_items
        @line = block.lines[number]
        align
      end

      # Its letters in the order in which they are read, white space as it is in the text, without the marker of a list
      # and what hangs at its end.
      def text
        first = [@line.from, @set_items.marker].max
        return "" if @line.to < first
        from = @set_items.starts[first]
        to = @set_items.starts[@line.to] + @set_items.sizes[@line.to]
        words = @set_items.text[from...to].delete("\uFFFC\u00AD")
        ((@line.ending == :hyphen) ? "#{words}-" : words).rstrip
      end

      # In the order in which they are read.
      def spans
        @spans ||= (bidi = @set_items.bidi(@block.look[:right_to_left])) ? cut_both_ways(bidi) : cut
      end

      private

      def align
        spare = [@line.room - @line.width, 0.0].max
        align = @set_items.own_align || @block.look[:align]
        @stretch = 0.0
        mirrored = @block.look[:right_to_left]
        justify(spare) if align == "justify"
        align = mirrored ? "right" : "left" if align == "justify"
        @width = @line.width + (@stretch * @gaps.to_i)
        offset = {"right" => spare, "center" => spare / 2}.fetch(align, 0.0)
        offset = 0.0 if @stretch.positive?
        @left = (mirrored ? from_right : @line.x) + offset
      end

      # Indents of right-to-left text are measured from the right: the line's room begins where it ends there.
      def from_right
        @block.look[:indent_right]
      end

      # All lines but the last of a paragraph fill their measure, by their spaces, each of several in a row.
      def justify(spare)
        return if %i[end line page column].include?(@line.ending) || @line.tabs
        @gaps = (@line.from..@line.to).sum { |item| blanks_in(item) + blanks_after(item) }
        @stretch = spare / @gaps if @gaps.positive?
      end

      # Spaces that a line begins with are items of their own.
      def blanks_in(item)
        (@set_items.sizes[item] == 1 && @set_items.item_text(item) == " ") ? 1 : 0
      end

      def blanks_after(item)
        (item == @line.to) ? 0 : spaces_before(item + 1)
      end

      def cut
        spans = []
        x = @left
        (@line.from..@line.to).each do |item|
          wide = width_of(item)
          if @set_items.endings[item] == SetItems::TAB then spans.concat(tab(item, x, wide))
          elsif @set_items.objects&.key?(item) then spans << inline(item, x, wide)
          else add(spans, item, x, wide, joined: joins?(item))
          end
          x += wide + gap(item)
        end
        close(spans)
      end

      # Does it go on with the words before it?
      def joins?(item)
        item > @line.from && @set_items.endings[item - 1] != SetItems::TAB && item != @set_items.marker
      end

      def width_of(item)
        return @line.tabs[item] if @line.tabs&.key?(item)
        return @set_items.widths[item] if @stretch.zero?
        @set_items.widths[item] + (@stretch * blanks_in(item))
      end

      def gap(item)
        return 0.0 if item == @line.to || @set_items.spaces[item].zero?
        @set_items.spaces[item] + (@stretch * blanks_after(item))
      end

      def inline(item, x, wide)
        Span.new(x, wide, "", @set_items.letters_of(item), 0.0, nil, @set_items.objects[item])
      end

      # Words after words in the same letters are one span.
      def add(spans, item, x, wide, joined:)
        letters = @set_items.letters_of(item)
        text = @set_items.item_text(item)
        last = spans.last
        if joined && last && last.letters.equal?(letters) && last.leader.nil? && last.object.nil?
          last.text << " " * spaces_before(item) << text
          last.width = x + wide - last.x
        else
          spans << Span.new(x, wide, +text, letters, @stretch, nil, nil, false, item < @set_items.marker)
        end
      end

      def spaces_before(item)
        @set_items.starts[item] - @set_items.starts[item - 1] - @set_items.sizes[item - 1]
      end

      def tab(item, x, wide)
        letters = @set_items.letters_of(item)
        sign = LEADERS[leader(item, x)] or return []
        each = letters.width(sign)
        count = each.positive? ? (wide / each).floor : 0
        return [] unless count.positive?
        [Span.new(x + wide - (count * each), count * each, sign * count, letters, 0.0, sign, nil)]
      end

      def leader(_item, x)
        stops = TextSetting::TABS.seen(@block.look[:tabs])
        stops.find { |stop| stop.place > x + 0.05 }&.leader
      end

      def close(spans)
        return spans if spans.empty?
        spans.last.text << "-" if @line.ending == :hyphen && spans.last.object.nil?
        spans
      end
    end
  end
end
