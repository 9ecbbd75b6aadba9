# frozen_string_literal: true

module Norvel
  module Layout
    # The notes at the foot of a column, under a short line. A note that does not fit goes on at the foot of the next.
    #   entries  [[note id, Column], …], from the top
    #   left     [[note id, where it goes on], …] for the next foot
    class Foot
      SEPARATOR = 8.0 # points for the line over the notes and its space: common practice
      LEAST_NOTE = 24.0 # of a divided note that must find room at least

      attr_reader :entries, :left, :height

      # notes: what gives the Flow of a note by its id; left: of the foot before
      def initialize(notes, left = [])
        @notes = notes
        @entries = []
        @here = {}
        @height = 0.0
        @waiting = left
        @left = []
      end

      # What was left by the foot before comes first.
      def begin(room)
        waiting, @waiting = @waiting, []
        waiting.each { |id, place| put(id, place, room) }
      end

      # The height that these notes add; begun: are others to be added before them?
      def need(ids, begun: false)
        fresh = ids.reject { |id| here?(id) }
        return 0.0 if fresh.empty?
        ((@height.zero? && !begun) ? SEPARATOR : 0.0) + fresh.sum { |id| @notes.call(id).height }
      end

      # The room in points that one more note needs at least.
      def least
        @height.zero? ? SEPARATOR + LEAST_NOTE : LEAST_NOTE
      end

      # Has no note been divided here yet?
      def may_split?
        @left.empty?
      end

      # Takes notes in, as much as the room holds.
      def add(ids, room)
        ids.each { |id| put(id, Column::Place.new(0, 0), room) unless here?(id) }
      end

      # The state to come back to when lines are taken away again.
      def mark
        [@entries.size, @left.size, @height]
      end

      # Forgets the notes that came since a mark.
      def back_to(mark)
        @entries = @entries.first(mark[0])
        @here = @entries.to_h { |id, _| [id, true] }
        @left = @left.first(mark[1])
        @height = mark[2]
      end

      # The same without what it was filled from (as Column#done).
      def done
        @notes = @here = @waiting = nil
        self
      end

      private

      def here?(id)
        @here.key?(id)
      end

      def put(id, place, room)
        return @left << [id, place] if @left.any?
        flow = @notes.call(id)
        own = @height.zero? ? SEPARATOR : 0.0
        column = Column.new(flow, place, [room - @height - own, 1.0].max).fill.done
        @entries << [id, column]
        @here[id] = true
        @height += own + column.height
        @left << [id, column.next] if column.next
      end
    end
  end
end
