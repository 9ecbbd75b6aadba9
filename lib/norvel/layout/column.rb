# frozen_string_literal: true

module Norvel
  module Layout
    # A stretch of a flow in a room of a certain height: from a place on, as much as stands there. Lengths in points
    # from its top.
    #   pieces   what stands in it
    #   next     the Place where the flow goes on, nil at its end
    #   reason   why it ended: :full, :page_break, :column_break, :section_break, :page_break_before, :keep_with_next,
    #            :keep_together, :widow_control, :end
    #   asker    the block that asked for the end, or nil
    class Column
      # A place in a flow: a block, and what of it comes next (a line of text, a RowPlace of a table).
      Place = Struct.new(:block, :part)
      # What is taken of a block: from one part to before another, with its top and height; +detail+: rows of a table.
      Piece = Struct.new(:block, :from, :to, :y, :height, :detail, :gap)

      attr_reader :pieces, :next, :reason, :asker, :height

      ENDLESS = 1.0e9 # a room in which nothing ends a page

      # section:  the number of the one that the column is for; nil for all of the flow
      # spaced:   does space before hold at the top?
      # opened:   does something stand on the page already, so that the first block may ask for a new one, and nothing
      #           must stand here?
      def initialize(flow, start, room, section: nil, foot: nil, spaced: false, opened: false)
        @flow, @start, @room, @section, @foot = flow, start, room, section, foot
        @spaced, @opened = spaced, opened
        @pieces = []
        @marks = []
        @height = 0.0
      end

      # Takes what stands in it of the flow, from its start on. Returns self, with the reason of its end and the Place
      # after it.
      def fill
        block, part = @start.block, @start.part
        blocks = @flow.blocks
        above = nil
        while (current = blocks[block])
          return stop(:section_break, block, 0, current) if @section && current.section != @section
          return stop(:page_break_before, block, 0, current) if breaks?(current, part)
          return stop(:page_break, block, 0, above) if above&.break_after? && @room < ENDLESS
          gap = gap(above, current, part)
          taken = current.take(part, @room - @height - gap - foot_height, must?, @foot)
          return break_off(taken.reason, block, part) if taken.height.zero? && taken.reason && taken.to == part
          put(current, part, taken, gap)
          if taken.reason
            return stop(taken.reason, block + 1, 0, current) if taken.to == current.count
            return stop(taken.reason, block, taken.to, current)
          end
          block += 1
          part = 0
          above = current
        end
        stop(:end, nil, nil, nil)
      end

      # The same without what it was filled from, which later layouts that keep it would keep with it.
      def done
        @flow = @foot = @marks = nil
        self
      end

      # What follows did not stand here any more.
      def full!
        @reason = :full
      end

      private

      # Something must stand in an empty room, or there would be no end.
      def must?
        @pieces.empty? && !@opened
      end

      def foot_height
        @foot ? @foot.height : 0.0
      end

      def breaks?(block, part)
        part == 0 && block.break_before? && (@pieces.any? || @opened) && @room < ENDLESS
      end

      # Space before is dropped where a page begins by itself, kept where it was told to.
      def gap(above, block, part)
        return @flow.between(above, block) + top_edge(above, block) if above
        kept = part == 0 && (@spaced || block.break_before?)
        (kept ? block.space_before : 0.0) + top_edge(nil, block)
      end

      def top_edge(above, block)
        return 0.0 unless block.look[:borders] || above&.look&.[](:borders)
        return block.look[:borders][:between] ? block.edge(:between) : 0.0 if @flow.framed_alike?(above, block)
        block.edge(:top) + (above ? above.edge(:bottom) : 0.0)
      end

      def put(block, part, taken, gap)
        @marks << @foot.mark if @foot
        rows = taken.rows if taken.is_a?(TableBlock::Taken)
        @pieces << Piece.new(block, part, taken.to, @height + gap, taken.height, rows, gap)
        @height += gap + taken.height
        return unless @foot
        ids = block.notes(part, taken.to)
        @foot.add(ids, @room - @height) if ids.any?
      end

      def stop(reason, block, part, asker)
        @reason = reason
        @next = (block && @flow.blocks[block]) ? Place.new(block, part) : nil
        @reason = :end if @next.nil? && reason == :full
        @asker = asker
        self
      end

      # Nothing of the block stands here: what is kept with it goes along, unless all of the column would.
      def break_off(reason, block, part)
        chain = chain_before(block, part)
        return stop(reason, block, part, @flow.blocks[block]) unless chain
        piece, place = chain
        asker = @flow.blocks[place.block]
        take_away(piece, place)
        stop(:keep_with_next, place.block, place.part, asker)
      end

      # [the first piece that goes along, where the next column begins], nil for none.
      def chain_before(block, part)
        return unless part == 0
        piece = @pieces.size
        found = nil
        while piece.positive? && @pieces[piece - 1].block.keeps_with_next?
          piece -= 1
          block -= 1
          taken = @pieces[piece]
          tail = taken.block.tail(taken.from, taken.to)
          return [piece, Place.new(block, tail)] if tail
          return if piece.zero? || taken.from != 0
          found = [piece, Place.new(block, 0)]
        end
        found
      end

      def take_away(piece, place)
        gone = @pieces[piece]
        @foot&.back_to(@marks[piece])
        @pieces = @pieces.first(piece)
        @marks = @marks.first(piece)
        @height = @pieces.empty? ? 0.0 : @pieces.last.y + @pieces.last.height
        return if place.part == 0
        stays = TextBlock::Taken.new(place.part, gone.block.height(gone.from, place.part), nil)
        put(gone.block, gone.from, stays, gone.gap)
      end
    end
  end
end
