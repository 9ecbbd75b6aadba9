# frozen_string_literal: true

module Norvel
  module Layout
    # Breaks set_items into lines by first fit: each line takes what it can, its trailing spaces hang. A word wider than
    # its line is cut where it must be. Words are divided where the document asks for it.
    class LineBreaker
      SLACK = 0.016 # points, for sums of fractions: a 64th, less than files can tell apart
      LEAST = 8.0 # points: a narrower measure holds no text, and lines of it would have no end
      ENDINGS = {SetItems::LINE => :line, SetItems::PAGE => :page, SetItems::COLUMN => :column}.freeze

      # first, rest: [x, room] of the first line and of the others, in points
      # stops: TabRow; hyphenation: Hyphenation or nil
      # beside: [[first line, line after the last, what they lose from the left, and in all], …], or nil
      def initialize(set_items, first, rest, stops: nil, hyphenation: nil, beside: nil)
        @beside = beside
        @set_items = set_items
        @first, @rest = [first, rest].map { |x, room| [x, [room, LEAST].max] }
        @stops = stops
        @hyphenation = hyphenation
      end

      # The set_items that the lines are of: another one where words had to be cut.
      attr_reader :set_items

      # [Line, …]; one without items for a paragraph without text.
      def lines
        return [empty_line] if @set_items.empty?
        lines = []
        item = 0
        x, room = @beside ? narrowed(*@first, 0) : @first
        while item < @set_items.size
          line = next_line(item, x, room)
          lines << line
          item = line.to + 1
          x, room = @beside ? narrowed(*@rest, lines.size) : @rest
        end
        lines.last.ending = :end unless %i[page column].include?(lines.last.ending)
        lines
      end

      private

      def empty_line
        x, room = @beside ? narrowed(*@first, 0) : @first
        Line.new(0, -1, x, 0.0, room, :end)
      end

      # [x, room] of a line with what stands beside it.
      def narrowed(x, room, number)
        taking = @beside.select { |from, to| number.between?(from, to - 1) }
        taking.inject([x, room]) { |(left, spare), (_, _, side, all)| [left + side, [spare - all, LEAST].max] }
      end

      def next_line(from, x, room)
        widths, spaces, endings = @set_items.widths, @set_items.spaces, @set_items.endings
        limit = room + SLACK
        reached = width = 0.0 # with and without the spaces at the end
        open = nil # the last item after which the line may end, and the width there
        open_width = 0.0
        tabs = nil
        item = from
        last = widths.size
        while item < last
          ending = endings[item]
          if ending == SetItems::TAB
            (tabs ||= {})[item] = wide = tab(item, x + reached, x + room)
            return broken(from, open || item - 1, x, open ? open_width : width, room, tabs) if wide.nil? && item > from
            wide ||= tabs[item] = 0.0
          else
            wide = widths[item]
          end
          width = reached + wide
          if width > limit && !(item == from && wide.zero?)
            return overfull(from, item, open, open_width, x, room, tabs, reached)
          end
          if ending != SetItems::GLUED
            return Line.new(from, item, x, width, room, ENDINGS[ending], tabs) if ending >= SetItems::LINE
            if ending != SetItems::SOFT || width + @set_items.letters_of(item).hyphen <= limit
              open, open_width = item, width
            end
          end
          reached = width + spaces[item]
          item += 1
        end
        Line.new(from, last - 1, x, width, room, :end, tabs)
      end

      # The item does not fit: the line ends where it last could, or within the word, or the word is cut.
      def overfull(from, item, open, open_width, x, room, tabs, reached)
        divided = @hyphenation && divide(open ? open + 1 : from, item, room, reached)
        return Line.new(from, divided[0], x, divided[1], room, :hyphen, tabs) if divided
        return broken(from, open, x, open_width, room, tabs) if open
        cut(from, item, x, room, tabs, reached)
      end

      def broken(from, to, x, width, room, tabs)
        soft = @set_items.endings[to] == SetItems::SOFT
        width += @set_items.letters_of(to).hyphen if soft
        Line.new(from, to, x, width, room, soft ? :hyphen : nil, tabs)
      end

      # A word that fills no line by itself is cut after the last character that fits, at least one.
      def cut(from, item, x, room, tabs, reached)
        letters = @set_items.letters_of(item)
        return Line.new(from, item - 1, x, reached, room, nil, tabs) if @set_items.sizes[item] < 2 && item > from
        return Line.new(from, item, x, @set_items.widths[item], room, nil, tabs) if @set_items.sizes[item] < 2
        count, _ = fitting(item, letters, room - reached)
        return Line.new(from, item - 1, x, reached, room, nil, tabs) if count.zero? && item > from
        part(item, [count, 1].max, letters)
        Line.new(from, item, x, reached + @set_items.widths[item], room, nil, tabs)
      end

      # How many characters of an item fit, never all.
      def fitting(item, letters, room)
        text = @set_items.text[@set_items.starts[item], [@set_items.sizes[item] - 1, 2000].min]
        width, count = 0.0, 0
        text.each_char do |character|
          more = letters.width(character)
          break if width + more > room + SLACK
          width += more
          count += 1
        end
        count
      end

      def part(item, count, letters, ending = SetItems::OPEN)
        @set_items = @set_items.apart unless @apart
        @apart = true
        @set_items.cut(item, count, letters.width(@set_items.text[@set_items.starts[item], count]), ending)
      end

      # Divides the word that does not fit after the last place that does; [item, width of the line] or nil.
      def divide(from, item, room, reached)
        return unless from == item # only words of one piece
        letters = @set_items.letters_of(item)
        word = @set_items.item_text(item)
        places = @hyphenation.places(word, letters.look[:language])
        place = places.reverse.find { |at| reached + letters.width(word[0, at]) + letters.hyphen <= room + SLACK }
        return unless place
        part(item, place, letters, SetItems::SOFT)
        [item, reached + @set_items.widths[item] + letters.hyphen]
      end

      # The width of a tab from where it begins; nil where nothing is left of the line for it.
      def tab(item, from, right_edge)
        @stops.width(from, right_edge) { following(item + 1) }
      end

      # The width of what stands between a tab and the next, and of its part before a decimal sign.
      def following(item)
        width = 0.0
        pending = 0.0
        whole = nil
        while item < @set_items.size && @set_items.endings[item] < SetItems::TAB
          if whole.nil? && (sign = @set_items.item_text(item).index(/[.,](?=\d)/))
            whole = width + pending + @set_items.letters_of(item).width(@set_items.item_text(item)[0, sign])
          end
          width += pending + @set_items.widths[item]
          pending = @set_items.spaces[item]
          item += 1
        end
        width += @set_items.widths[item] + pending if item < @set_items.size && @set_items.endings[item] > SetItems::TAB
        [width, whole || width]
      end
    end
  end
end
