# frozen_string_literal: true

module Norvel
  module Layout
    # A paragraph set in lines, wherever it may come to stand on pages. Lengths in points; lines count from 0.
    #   floats    what hangs at it: Hanging; some take room over its first line, some beside lines
    class TextBlock
      # What is taken of it for a column: lines up to +to+, their height, and why no more, nil for all of it. asker: the
      # block that asks for the end there.
      Taken = Struct.new(:to, :height, :reason)

      LEAST_LINES = 2 # of a paragraph that is divided, before and after (published: CSS 2.1 13.3.2, initial values)
      SLACK = 0.005 # points, for sums of fractions

      attr_reader :paragraph, :look, :set_items, :lines, :section, :floats, :style_id, :setting

      # setting: how its lines were made, by which it is known again (TextSetting::Key)
      # hung: Hung, or nil
      def initialize(paragraph, look, set_items, lines, section:, style_id:, floats: [], hung: nil, setting: nil,
        beside: false)
        @paragraph, @look, @set_items, @lines = paragraph, look, set_items, lines
        @section, @style_id, @floats, @setting, @beside = section, style_id, floats, setting, beside
        @hung = hung
        @above = floats.sum(&:above)
        @breaks = set_items.breaks?
        measure
        @below = (!hung? || hung&.goes_on) ? 0.0 : left_over.map(&:first).max || 0.0
      end

      # Does anything hang at it, or beside it from before?
      def hung?
        !floats.empty? || !@hung.nil?
      end

      # What hangs beside it and is not over where it ends: [[height that is left, from the left, in all], …].
      def left_over
        return [] unless hung?
        own = floats.select(&:beside?).map { |one| [*one.span, *one.takes] }
        [*@hung&.taking, *own].filter_map do |_, bottom, *takes|
          [bottom - bare_height, *takes] if bottom > bare_height
        end
      end

      # Do lines of it give way to what hangs at another paragraph?
      def narrowed?
        !@hung.nil? && @hung.any?
      end

      # The top of its first line where its lines from one on begin at y.
      def top_of_lines(y, from)
        if from.zero?
          y + @above
        else
          y - (@lead ? from * @lead : @tops[from])
        end
      end

      # Boxes with text in lines of a range: TextSetting::InlineObject.
      def boxes_in(range)
        return [] unless set_items.objects
        lines[range].flat_map { |line| set_items.objects.values_at(*line.from..line.to).compact.select(&:inside) }
      end

      # Does what hangs at it stand where the page says?
      def placed?
        floats.any?(&:placed?)
      end

      # The height of its lines alone.
      def bare_height
        @lead ? count * @lead : @tops[count]
      end

      # The same lines under another look of the paragraph, or of one that is the same in another section.
      def dressed(look, section:, paragraph: self.paragraph)
        dup.tap { |block| block.wear(look, section, paragraph) }
      end

      # How many lines it has.
      def count
        lines.size
      end

      # How many characters a full line holds, as they were set; nil where none is full.
      def characters
        full = lines.reject { |line| line.ending == :end || line.to < line.from }
        return if full.empty?
        starts, sizes = set_items.starts, set_items.sizes
        (full.sum { |line| starts[line.to] + sizes[line.to] - starts[line.from] }.to_f / full.size).round
      end

      # What tells whether another block shows the same lines.
      def key
        [paragraph.id, count, look[:align], lines.last.width.round(2)]
      end

      # Does it stand beside the text, in a note, head or foot?
      def beside?
        @beside
      end

      # The height of lines from one to before another.
      def height(from = 0, to = count)
        return 0.0 if to <= from
        own = @lead ? (to - from) * @lead : @tops[to] - @tops[from]
        own += @below if to == count && from.zero?
        from.zero? ? own + @above : own
      end

      # From the top of a line to its baseline.
      def baseline(line)
        (@baselines ? @baselines[line] : @baseline) + (line.zero? ? @above : 0.0)
      end

      # In points.
      def space_before
        look[:space_before]
      end

      # In points.
      def space_after
        look[:space_after]
      end

      # Does it stay on the page of what follows?
      def keeps_with_next?
        look[:keep_with_next]
      end

      # Does what follows it begin a page?
      def break_after?
        look[:page_break_after]
      end

      # Does it begin a page?
      def break_before?
        look[:page_break_before] || @hung&.pushed
      end

      # Room that the line around it takes over and under it.
      def edge(side)
        look[:borders] ? pad(look[:borders][side]) : 0.0
      end

      # Ids of the notes called in lines from one to before another.
      def notes(from, to)
        return [] unless set_items.notes
        @line_notes ||= lines.map { |line| (line.from..line.to).flat_map { |item| set_items.notes[item] || [] } }
        @line_notes[from...to].flatten
      end

      # The ids of all notes that are called in it.
      def all_notes
        set_items.notes ? set_items.notes.values.flatten : []
      end

      # As many lines from +part+ on as stand in the room, with what widows, orphans and keeping together leave of them.
      # +fresh+: nothing stands above them, so that something must be taken. +foot+: the Foot of the column.
      def take(part, room, fresh, foot)
        fits = fitting(part, room, foot)
        stop = @breaks && room < Column::ENDLESS / 2 && forced(part, fits)
        return Taken.new(stop + 1, height(part, stop + 1), breaking(stop)) if stop
        return Taken.new(count, height(part), nil) if part + fits >= count
        kept, reason = divided(part, fits)
        kept, reason = [fits, 1].max, :full if kept.zero? && fresh
        Taken.new(part + kept, height(part, part + kept), reason)
      end

      # Where it may be divided so that its end goes along with what follows; nil where it stays whole.
      def tail(from, to)
        return if look[:keep_together]
        least = look[:widow_control] ? LEAST_LINES : 1
        return if to - from < least + (from.zero? ? least : 1)
        to - least
      end

      protected

      # Takes another look whose lines end alike.
      def wear(look, section, paragraph)
        spaced = look[:line_spacing] != @look[:line_spacing]
        @look, @section, @paragraph = look, section, paragraph
        measure if spaced
      end

      private

      def pad(line)
        line ? line.width + line.space : 0.0
      end

      def fitting(part, room, foot)
        most = within(part, room)
        return most unless set_items.notes && foot
        fits = with_notes(part, most, room, foot)
        return fits unless fits.zero?
        # A note that finds no room beside its line is divided itself.
        (within(part, room - foot.least) >= 1 && foot.may_split?) ? 1 : 0
      end

      # Of so many lines, those that stand in the room with their notes.
      def with_notes(part, most, room, foot)
        taken = 0.0
        (0...most).find { |line|
          taken += foot.need(notes(part + line, part + line + 1), begun: taken.positive?)
          height(part, part + line + 1) + taken > room + SLACK
        } || most
      end

      def within(part, room)
        room += SLACK
        room -= @above if part.zero?
        return 0 if room.negative?
        return [(room / @lead).floor, count - part].min if @lead&.positive?
        return count - part if @lead
        top = @tops[part] + room
        (@tops.bsearch_index { |reached| reached > top } || @tops.size) - 1 - part
      end

      # The first of the lines taken after which a page or column must end.
      def forced(part, fits)
        (part...(part + fits)).find { |at| %i[page column].include?(lines[at].ending) }
      end

      def breaking(line)
        (lines[line].ending == :column) ? :column_break : :page_break
      end

      # [how many of the fitting lines stay, why no more]
      def divided(part, fits)
        return [0, :full] if fits.zero?
        return [0, :keep_together] if look[:keep_together] && part.zero?
        return [fits, :full] unless look[:widow_control]
        left = count - part - fits
        kept = (left < LEAST_LINES) ? fits - (LEAST_LINES - left) : fits
        kept = 0 if kept < (part.zero? ? LEAST_LINES : 1)
        [kept, (kept == fits) ? :full : :widow_control]
      end

      # --- the height of lines ---

      def measure
        measure_lines
        open_gaps(@hung.apart) if narrowed?
      end

      # Lines that would stand beside what has nothing beside it stand below it.
      def open_gaps(apart)
        @tops, @baselines = Array.new(count + 1) { |line| line * @lead }, Array.new(count, @baseline) if @lead
        @lead = nil
        apart.sort.each do |top, bottom|
          line = (0...count).find { |one| @tops[one + 1] > top + SLACK } or next
          gap = bottom - @tops[line]
          next unless gap.positive?
          @baselines[line] += gap
          (line + 1..count).each { |one| @tops[one] += gap }
        end
      end

      def measure_lines
        return uniform(set_items.letters) unless set_items.mixed || set_items.objects
        @extents ||= lines.map { |line| extent(line) }
        spacing = look[:line_spacing]
        @baselines = []
        @tops = [0.0]
        @extents.each do |above, below, tall|
          height, baseline = LineHeight.of(spacing, above, below, tall, grid: setting&.grid)
          @baselines << baseline
          @tops << @tops.last + height
        end
      end

      def uniform(letters)
        @lead, @baseline = LineHeight.of(look[:line_spacing], letters.ascent, letters.descent, grid: setting&.grid)
      end

      # The largest letters of a line above and below its baseline, and its tallest object.
      def extent(line)
        first = set_items.letters_of(line.from) || set_items.letters
        above, below = first.ascent, first.descent
        (set_items.mixed ? set_items.mixed[line.from..line.to] : []).each do |letters|
          next if letters.equal?(first)
          above = letters.ascent if letters.ascent > above
          below = letters.descent if letters.descent > below
        end
        objects = set_items.objects && (line.from..line.to).filter_map { |item| set_items.objects[item] }
        return [above, below, nil] if objects.nil? || objects.empty?
        [above, [below, *objects.map(&:depth)].max, objects.map(&:height).max]
      end
    end
  end
end
