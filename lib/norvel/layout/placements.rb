# frozen_string_literal: true

module Norvel
  module Layout
    # Where what stands at a place of the page, not of its paragraph, comes to lie in the text, as the sheets of the
    # round before have it: which paragraphs give way to it, and which sheets end above it. Lengths in points.
    class Placements
      # What lines of a paragraph give way to, from the top of its first line; wrap: "beside" or "apart"; left, all:
      # what a line beside it loses at its left, and in all.
      Place = Struct.new(:wrap, :top, :bottom, :left, :all)
      NEAR_FOOT = 36.0 # from the foot of the text: what leaves less below it ends the sheet
      SLACK = 0.005 # for sums of fractions

      # beside: {paragraph id => [Place, …]}; reserved: {index of a sheet => room at its foot}; held: {[paragraph id,
      # which of its objects] => true} of those whose place in the text is known; seen: {the same => [index of the sheet
      # it stood on, from round to round, …]}; pushed: {paragraph id => true} of those that begin a page, since they
      # would go to and fro: what hangs at them leaves no room for them where it stands
      attr_reader :beside, :reserved, :held, :seen, :pushed

      # Those of a Result; nil where nothing stands so.
      def self.from(result)
        new(result) if result.stories.setting.elsewhere?
      end

      def initialize(result)
        @beside, @reserved, @held = {}, {}, {}
        @before = result.values.placements
        @seen, @pushed = @before&.seen || {}, @before&.pushed || {}
        result.sheets.each_with_index { |sheet, index| hold_all(sheet, index) }
      end

      def ==(other)
        other.is_a?(Placements) &&
          [beside, reserved, held, pushed] == [other.beside, other.reserved, other.held, other.pushed]
      end

      # Is the place of one that hangs at a paragraph known?
      def held?(id, which)
        @held.key?([id, which])
      end

      private

      def hold_all(sheet, index)
        sheet.bands.each do |x, y, column|
          column.pieces.each do |piece|
            next if piece.detail || piece.from.positive?
            which = -1
            Placing.places(piece.block, x, y + piece.y) do |one, left, top|
              which += 1
              next unless one.elsewhere?
              name = [piece.block.paragraph.id, which]
              see(name, index)
              @held[name] = true if hold(one, left, top, sheet, index)
            end
          end
        end
      end

      # Where it stood on another sheet and is back again, its paragraph begins the later one from now on.
      def see(name, index)
        sheets = @seen.fetch(name, [])
        return if sheets.last == index
        @seen = @seen.merge(name => [*sheets, index])
        @pushed = @pushed.merge(name.first => true) if sheets.size >= 2
      end

      # Does the text give way to it now? A table does not.
      def hold(one, left, top, sheet, index)
        from, to = top - one.edges[1], top + one.height + one.edges[3]
        foot = sheet.frame.bottom
        return true if to <= sheet.frame.top || from >= foot
        beneath(one, left, sheet).all? do |x, measure, pieces|
          wrap = one.wrap_in(left - x, measure)
          next reserve(index, foot - from) if wrap == "apart" && to >= foot - NEAR_FOOT
          y, piece = pieces.find { |at, part| at + part.height > from + SLACK }
          next true if piece.nil?
          takes = one.takes(left - x, measure)
          piece.block.is_a?(TextBlock) && give_way(piece, y, Place.new(wrap, from, to, *takes))
        end
      end

      def reserve(index, room)
        @reserved[index] = [@reserved.fetch(index, 0.0), room.round(2)].max
      end

      # place: on the sheet
      def give_way(piece, y, place)
        first = piece.block.top_of_lines(y, piece.from)
        top = piece.from.zero? ? place.top : [place.top, y].max # lines on the sheet before stand as they are
        lengths = [top - first, place.bottom - first, place.left, place.all].map { |length| length.round(2) }
        (@beside[piece.block.paragraph.id] ||= []) << Place.new(place.wrap, *lengths)
      end

      # [[x, measure, [[y, piece], …]], …] of the columns that it covers something of.
      def beneath(one, left, sheet)
        sheet.bands.group_by(&:first).filter_map do |x, bands|
          pieces = bands.sort_by { |band| band[1] }
            .flat_map { |_, y, column| column.pieces.map { |piece| [y + piece.y, piece] } }
          measure = pieces.filter_map { |_, piece| piece.block.setting.measure if piece.block.is_a?(TextBlock) }.first
          [x, measure, pieces] if measure && left < x + measure && left + one.width > x
        end
      end
    end
  end
end
