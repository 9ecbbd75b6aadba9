# frozen_string_literal: true

module Norvel
  module Layout
    # Where text stands on a sheet: the rectangle between the margins, which change sides on left pages where they are
    # mirrored. Points from the sheet's top left.
    Frame = Struct.new(:left, :right, :top, :bottom, keyword_init: true) do
      # head, foot: heights of what runs at head and foot, which push the text where they are higher than the margin,
      # unless that is fixed (ISO/IEC 29500-1 17.6.11: negative; ISO/IEC 26300-1 17.3: svg:height)
      def self.of(section, mirrored:, head: 0.0, foot: 0.0)
        left, right = section.margin_left, section.margin_right
        left, right = right, left if mirrored
        top = pushed(section.margin_top, section.header, section.fixed_top ? 0.0 : head, section.head_gap)
        bottom = pushed(section.margin_bottom, section.footer, section.fixed_bottom ? 0.0 : foot, section.foot_gap)
        bottom = [bottom, section.height - top - self::LEAST].min
        new(left:, right: section.width - right, top:, bottom: section.height - bottom)
      end

      # The margin that a head or foot of this height needs, in points.
      def self.pushed(margin, distance, height, gap)
        height.zero? ? margin : [margin, distance + height + gap].max
      end

      # [[x from the left margin, width], …] of a section's columns.
      def self.columns(section)
        count = [section.columns, 1].max
        return [[0.0, section.measure]] if count == 1
        told = section.unequal_columns
        return told.inject([]) { |all, (width, _)| all << [reached(all, told), width] } if told
        width = (section.measure - (section.column_gap * (count - 1))) / count
        return [[0.0, section.measure]] if width < LineBreaker::LEAST
        Array.new(count) { |n| [n * (width + section.column_gap), width] }
      end

      # How far the first columns reach, in points.
      def self.reached(columns, told)
        told.first(columns.size).sum { |width, gap| width + (gap || 0.0) }
      end

      # The same with so much room at its foot that no text takes.
      def above(room)
        room.zero? ? self : self.class.new(**to_h, bottom: [bottom - room, top + self.class::LEAST].max)
      end

      # In points.
      def height
        bottom - top
      end

      # In points.
      def width
        right - left
      end
    end
    Frame::LEAST = 14.0 # points that are left for text on any sheet
  end
end
