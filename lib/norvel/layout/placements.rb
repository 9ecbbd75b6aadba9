# frozen_string_literal: true

module Norvel
  module Layout
    # What stands at a place of a sheet, not of its paragraph, and where that comes to lie in the text on it as it was
    # laid out: which lines give way, and whether the text ends above it. Lengths in points.
    class Placements
      # What lines of a paragraph give way to, from the top of its first line; wrap: "beside" or "apart"; left, all:
      # what a line beside it loses at its left, and in all.
      Place = Struct.new(:wrap, :top, :bottom, :left, :all)
      NEAR_FOOT = 36.0 # from the foot of the text: what leaves less below it ends the sheet
      SLACK = 0.005 # for sums of fractions

      # beside: {paragraph id => [Place, …]}; reserved: room at the foot of the text; anchors: ids of the paragraphs
      # that it hangs at; crossed: what a table does not give way to
      attr_reader :beside, :reserved, :anchors, :crossed

      # bands: [[x, y, Column], …] of a sheet; frame: its Frame
      def initialize(bands, frame)
        @beside, @reserved, @anchors, @crossed = {}, 0.0, [], []
        @bands, @frame = bands, frame
        bands.each { |x, y, column| hold_all(x, y, column) }
        @bands = nil
      end

      NONE = new([], nil)

      def ==(other)
        [beside, reserved, anchors] == [other.beside, other.reserved, other.anchors]
      end

      private

      def hold_all(x, y, column)
        column.pieces.each do |piece|
          next if piece.detail || piece.from.positive?
          Placing.places(piece.block, x, y + piece.y) do |one, left, top|
            hold(one, left, top, piece.block.paragraph.id) if one.elsewhere?
          end
        end
      end

      def hold(one, left, top, anchor)
        from, to = top - one.edges[1], top + one.height + one.edges[3]
        return if to <= @frame.top || from >= @frame.bottom
        beneath(one, left).each do |x, measure, pieces|
          @anchors << anchor unless @anchors.include?(anchor)
          wrap = one.wrap_in(left - x, measure)
          next reserve(from) if wrap == "apart" && to >= @frame.bottom - NEAR_FOOT
          place = Place.new(wrap, from, to, *one.takes(left - x, measure))
          giving(pieces, place).each { |at, piece| give_way(one, piece, at, place) }
        end
      end

      def reserve(from)
        @reserved = [@reserved, (@frame.bottom - from).round(2)].max
      end

      # The pieces that stand where it does; what stands apart parts the first from those after it.
      def giving(pieces, place)
        below = pieces.select { |at, piece| at + piece.height > place.top + SLACK }
        (place.wrap == "apart") ? below.first(1) : below.take_while { |at, _| at < place.bottom - SLACK }
      end

      # place: on the sheet
      def give_way(one, piece, y, place)
        return @crossed << one unless piece.block.is_a?(TextBlock)
        first = piece.block.top_of_lines(y, piece.from)
        top = piece.from.zero? ? place.top : [place.top, y].max # lines on the sheet before stand as they are
        lengths = [top - first, place.bottom - first, place.left, place.all].map { |length| length.round(2) }
        (@beside[piece.block.paragraph.id] ||= []) << Place.new(place.wrap, *lengths)
      end

      # [[x, measure, [[y, piece], …]], …] of the columns that it covers something of.
      def beneath(one, left)
        @bands.group_by(&:first).filter_map do |x, bands|
          pieces = bands.sort_by { |band| band[1] }
            .flat_map { |_, y, column| column.pieces.map { |piece| [y + piece.y, piece] } }
          measure = pieces.filter_map { |_, piece| piece.block.setting.measure if piece.block.is_a?(TextBlock) }.first
          [x, measure, pieces] if measure && left < x + measure && left + one.width > x
        end
      end
    end
  end
end
