# frozen_string_literal: true

module Norvel
  module Layout
    # Fills sheets with the text, one after the other.
    class Pages
      # What a sheet is begun with beside its place in the text: its number, what notes were left for it, whether it
      # opens its section, and whether space before holds at its top.
      PageStart = Struct.new(:number, :left, :opens, :spaced)
      SPACED = %i[page_break page_break_before section_break].to_h { |reason| [reason, true] }.freeze
      MOST = 12_000 # sheets
      GIVING_ROUNDS = 12 # of filling a sheet anew while lines give way
      ROUNDS = 12 # of halving the room in which columns come out even

      # stories: Stories; heads: Heads; known: LayoutBefore::Sheets or nil
      def initialize(document, stories, heads, known: nil)
        @document = document
        @stories = stories
        @heads = heads
        @flow = stories.body
        @notes = stories.method(:note)
        @known = known
        @frames = {}
        @sheets = []
        @pushed = {}
        @now = @flow
      end

      # [Sheet, …]; raises Defeated for more than any text needs.
      def sheets
        @place = @flow.blocks.empty? ? nil : Column::Place.new(0, 0)
        @came = PageStart.new(1, [], true, true)
        @section = nil
        take_known if @known
        while @place
          turn if opens?
          break if rejoined?
          @sheets << sheet
          refuse if @sheets.size > MOST
        end
        left_notes
        @sheets << empty if @sheets.empty?
        @sheets
      end

      private

      def refuse
        raise Defeated, "The text would take more than #{MOST} pages, so pages are not worked out."
      end

      def section(number)
        @document.sections[number - 1] || @document.sections.last
      end

      def opens?
        block = @flow.blocks[@place.block]
        @place.part == 0 && block.section != @section
      end

      # A section begins: it may count anew, and leave a page blank so that it begins on its side.
      def turn
        @section = @flow.blocks[@place.block].section
        told = section(@section)
        leave_blank(told) if %w[odd_page even_page].include?(told.starts)
        @came.number = told.number_start if told.number_start
        @came.opens = true
      end

      def leave_blank(told)
        wanted = (told.starts == "odd_page") ? 1 : 0
        return if @sheets.empty? && wanted == 1
        return unless (@came.number - 1) % 2 == wanted
        before = @sheets.last
        number = before ? before.number + 1 : @came.number
        own = before ? before.section : @section
        @sheets << made(number, own, opens: false, blank: true, bands: [], came: nil, ended_by: :section_break,
          asker: @flow.blocks[@place.block])
        @came.number += 1
      end

      def made(number, own, **rest)
        told = section(own)
        side = number.odd? ? "right" : "left"
        Sheet.new(page: @sheets.size + 1, number:, section: own, side:, frame: frame(own, number, rest[:opens]),
          label: Document::Numerals.write(number, told.number_format), **rest)
      end

      def frame(own, number, opens)
        @frames[[own, number.even?, opens]] ||= begin
          head, foot = %w[header footer].map { |kind| @heads.height(own, kind, opens:, number:) }
          told = section(own)
          Frame.of(told, head:, foot:, mirrored: number.even? && (told.mirrored || @document.settings.mirrored))
        end
      end

      def sheet
        return filled_sheet(Placements::NONE) unless @stories.setting.elsewhere?
        begin_at = [@place, @came, @section, @begun]
        placements = Placements::NONE
        (1..GIVING_ROUNDS).each do |round|
          @place, @came, @section, @begun = begin_at
          made = filled_sheet(placements)
          now = Placements.new(made.bands, made.frame)
          return made.with(crossed: now.crossed) if now == placements
          return made.with(crossed: made.hanging_elsewhere) if round == GIVING_ROUNDS
          placements = push_on(placements.anchors - now.anchors) ? Placements::NONE : now
        end
      end

      # What hangs at a paragraph leaves no room for it here: it begins the next sheet, and what hangs goes along.
      def push_on(gone)
        gone.each { |id| @pushed[id] = true }.any?
      end

      # One that is filled from here on, its lines giving way as told.
      def filled_sheet(placements)
        start, came = @place, @came
        number = came.number
        frame = frame(@section, number, came.opens).above(placements.reserved)
        foot = Foot.new(@notes, came.left)
        foot.begin(frame.height - Foot::LEAST_NOTE)
        @now = flow_of(placements)
        bands = []
        last = fill(bands, frame, foot)
        @came = PageStart.new(number + 1, foot.left, false, SPACED.key?(last.reason))
        bands.each { |_, _, column| column.done }
        made(number, @sheet_section, opens: came.opens, blank: false, bands: upright(bands, frame),
          reserved: placements.reserved, notes: (foot.done if foot.entries.any?), start:, came:,
          ended_by: last.reason, asker: last.asker)
      end

      # The text as this sheet has it.
      def flow_of(placements)
        return @flow unless @stories.setting.elsewhere?
        GivingFlow.new(@flow, @stories, @place, @begun, placements:, pushed: @pushed)
      end

      # Bands of one section or more, down to the sheet's end.
      def fill(bands, frame, foot)
        @sheet_section = @section
        y = 0.0
        loop do
          columns = Frame.columns(section(@section))
          room = frame.height - y
          filled = (columns.size == 1) ? [column(@place, room, foot, y)] : side_by_side(columns, room, foot, y)
          @begun = filled.last.pieces.last&.block
          filled.zip(columns).each { |one, (x, _)| bands << [frame.left + x, frame.top + y, one] if one.pieces.any? }
          last = filled.last
          return ended(last, y, filled) unless goes_on?(last)
          above = last.pieces.last&.block
          @place = last.next
          y += filled.map(&:height).max
          below = @flow.blocks[@place.block]
          y += @flow.between(above, below) if above
          return ended(last, y, filled) if y >= frame.height - LineHeight::LEAST
          @section = below.section
        end
      end

      def ended(last, y, filled)
        @place = last.next
        return last unless last.pieces.empty? && y.positive? && last.reason != :page_break_before
        last.full! if last.reason == :section_break
        last
      end

      def column(place, room, foot, y, opened: y.positive?, flow: @now)
        Column.new(flow, place, room, section: @section, foot:, spaced: @came.spaced && y.zero?, opened:).fill
      end

      # The text as a column has it: where all are of one measure, as it is.
      def flow_in(measure, place, before)
        return @now unless section(@section).unequal_columns
        begun = before ? before.pieces.last&.block : @begun
        ColumnFlow.new(@now, @stories, place, begun, section: @section, measure: [measure, LineBreaker::LEAST].max)
      end

      # Does the next section begin on the same sheet?
      def goes_on?(last)
        return false unless last.reason == :section_break && last.next
        told, now = section(@flow.blocks[last.next.block].section), section(@section)
        told.starts == "continuous" && told.width == now.width && told.height == now.height
      end

      # Columns one beside the other; even in height where the next section begins under them.
      def side_by_side(columns, room, foot, y)
        mark = foot.mark
        filled = in_columns(columns, room, foot, y)
        if foot.height > mark[2] # notes of later columns take room from the first too
          reserve = foot.height - mark[2]
          foot.back_to(mark)
          filled = in_columns(columns, room - reserve, foot, y)
        end
        goes_on?(filled.last) ? even(columns, filled, foot, y, mark) : filled
      end

      FOLLOWED = %i[full keep_with_next keep_together widow_control column_break].freeze # by the next column

      def in_columns(columns, room, foot, y)
        filled = []
        place = @place
        columns.each_with_index do |(_, measure), number|
          flow = flow_in(measure, place, filled.last)
          filled << column(place, room, foot, y, opened: y.positive? || number.positive?, flow:)
          place = filled.last.next
          break unless place && FOLLOWED.include?(filled.last.reason)
        end
        filled
      end

      def even(columns, filled, foot, y, mark)
        least = filled.sum(&:height) / columns.size * 0.9
        most = filled.map(&:height).max
        best = filled
        ROUNDS.times do
          break if most - least < 1.0
          room = (least + most) / 2
          foot.back_to(mark)
          tried = in_columns(columns, room, foot, y)
          fits = tried.last.next == filled.last.next && tried.last.reason == filled.last.reason
          fits ? (best, most = tried, room) : least = room
        end
        best
      end

      # Text may stand at the middle or the foot of its sheet (ISO/IEC 29500-1 17.6.23).
      def upright(bands, frame)
        share = {"center" => 0.5, "bottom" => 1.0}[section(@sheet_section).vertical_align] or return bands
        spare = [frame.bottom - (bands.map { |_, y, column| y + column.height }.max || frame.bottom), 0.0].max
        bands.map { |x, y, column| [x, y + (spare * share), column] }
      end

      # Notes that found no room to the end of the text go on by themselves.
      def left_notes
        while @came.left.any? && @sheets.size < MOST
          foot = Foot.new(@notes, @came.left)
          number = @came.number
          frame = frame(@section, number, false)
          foot.begin(frame.height)
          @came = PageStart.new(number + 1, foot.left, false, false)
          @sheets << made(number, @section, opens: false, blank: false, bands: [], notes: foot.done, came: nil,
            ended_by: :end, asker: nil)
        end
      end

      def empty
        number = section(1).number_start || 1
        made(number, 1, opens: true, blank: false, bands: [], came: nil, ended_by: :end, asker: nil)
      end

      # --- what is known of another state ---

      def take_known
        return if @known.before.empty?
        @sheets = @known.before.dup
        @place, @came, @section = @known.going_on
      end

      # From here on all is as it was?
      def rejoined?
        rest = @known&.from(@place, @came, @sheets.size) or return false
        @sheets.concat(rest)
        @place = nil
        @came = PageStart.new(0, [], false, false)
        true
      end
    end
  end
end
