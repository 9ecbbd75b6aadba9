# frozen_string_literal: true

module Norvel
  class Document
    # The set-up of pages, as a section says it and a page style names it: the sheet, its margins, the place of running
    # head and foot, columns; lengths in points.
    module SetUp
      FIELDS = %i[width height margin_top margin_bottom margin_left margin_right header footer columns].freeze

      # {field => value}
      def set_up
        to_h.slice(*FIELDS)
      end

      # The width of a line from margin to margin.
      def measure
        width - margin_left - margin_right
      end

      # Does the sheet lie on its long side?
      def landscape?
        width > height
      end
    end
  end
end
