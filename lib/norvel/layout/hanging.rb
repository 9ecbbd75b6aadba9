# frozen_string_literal: true

module Norvel
  module Layout
    # An image or box that hangs at a paragraph and stands in none of its lines. Lengths in points.
    #   inside  the Column of a box, nil for an image
    class Hanging
      NO_EDGES = [0.0, 0.0, 0.0, 0.0].freeze
      LEAST_BESIDE = 72.0 # points: text does not go beside what leaves it less than an inch (common practice)

      attr_reader :object, :width, :height, :inside

      # measure: of its paragraph; section: Document::Section that it stands in, or nil; text: does it hang at a
      # paragraph of the text itself, whose lines give way to it wherever it stands?
      def initialize(object, width, height, inside, measure:, section:, text: false)
        @object, @width, @height, @inside = object, width, height, inside
        @measure, @section = measure, section
        @said = object.anchorage
        @text = text
      end

      # "apart", "beside" or "none": Document::Anchorage. Text that has no room beside it stands apart.
      def wrap
        @wrap ||= wrap_in(across_column, @measure)
      end

      # The same in a column of this measure, from whose left it stands so far.
      def wrap_in(across, measure)
        (@said.nil? || (@said.wrap == "beside" && spare(across, measure) < LEAST_BESIDE)) ? "apart" : @said.wrap
      end

      # Do lines give way to it where it stands on the sheet, not where its paragraph does?
      def elsewhere?
        @text && far?
      end

      # Do lines of its own paragraph stand beside it?
      def beside?
        wrap == "beside" && !elsewhere?
      end

      # Room that text keeps from it: [left, top, right, bottom].
      def edges
        @said ? @said.edges : NO_EDGES
      end

      # Does where it stands hang on the page?
      def placed?
        !@said.nil?
      end

      # What it takes above the first line of its paragraph.
      def above
        (wrap == "apart" && !elsewhere?) ? height + edges[1] + edges[3] : 0.0
      end

      # [left, top] where it is drawn. x: of its column; y: where its place above the paragraph begins; top: of the
      # paragraph
      def place(x, y, top)
        left = (across[0] == :page) ? across[1] : x + across[1]
        return [left, y + edges[1]] if wrap == "apart" && down[0] == :paragraph && !elsewhere?
        [left, (down[0] == :page) ? down[1] : top + down[1]]
      end

      # [top, bottom] of what it takes of the lines of its paragraph, from their begin.
      def span
        from = (down[0] == :paragraph) ? [down[1], 0.0].max : 0.0
        [[from - edges[1], 0.0].max, from + height + edges[3]]
      end

      # What a line beside it loses at its left, and of its room: [from the left, in all]. across: how far it is from
      # the left of the column of that measure
      def takes(across = across_column, measure = @measure)
        return [across + width + edges[2], across + width + edges[2]] if across + (width / 2) <= measure / 2
        [0.0, measure - across + edges[0]]
      end

      # Is where lines end by it an estimate? Where it stands on the page is not where its paragraph does.
      def estimate?
        @said.nil? || (far? && !@text)
      end

      private

      def far?
        !@said.nil? && @said.wrap != "none" && (down[0] == :page || down[1].abs > height)
      end

      def spare(across, measure)
        measure - takes(across, measure)[1]
      end

      # How far it is from the left of its column.
      def across_column
        found = (across[0] == :page) ? across[1] - left_margin : across[1]
        found.clamp(0.0, [@measure - width, 0.0].max)
      end

      def across
        @across ||= begin
          from, place = @said ? @said.across : ["column", 0.0]
          if from == "page" && @section
            [:page, at(place, @section.width)]
          else
            [:column, at(place, @measure)]
          end
        end
      end

      def at(place, room)
        {"left" => 0.0, "center" => (room - width) / 2, "right" => room - width}.fetch(place) { place.to_f }
      end

      def down
        @down ||= begin
          from, place = @said ? @said.down : ["paragraph", 0.0]
          (from == "paragraph" || @section.nil?) ? [:paragraph, from_top(place, 0.0)] : [:page, on_page(from, place)]
        end
      end

      def on_page(from, place)
        top = (from == "margin") ? @section.margin_top.abs : 0.0
        bottom = (from == "margin") ? @section.margin_bottom.abs : 0.0
        top + from_top(place, @section.height - top - bottom)
      end

      def from_top(place, room)
        {"top" => 0.0, "center" => (room - height) / 2, "bottom" => room - height}.fetch(place) { place.to_f }
      end

      def left_margin
        @section&.margin_left || 0.0
      end
    end
  end
end
