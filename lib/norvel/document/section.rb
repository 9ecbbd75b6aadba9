# frozen_string_literal: true

module Norvel
  class Document
    # A stretch of the document with one page set-up (ISO/IEC 29500-1 17.6). Lengths in points; margins are to the text, the
    # gutter included. +starts+ and the number format are the words of the command line. +source+: ordinal in the file.
    Section = Value.define(:starts, :width, :height, :margin_top, :margin_bottom, :margin_left, :margin_right, :header, :footer, :gutter, :mirrored,
      :number_format, :number_start, :columns, :title_page, :source) do
      # The width of a line from margin to margin.
      def measure
        width - margin_left - margin_right
      end

      def landscape?
        width > height
      end
    end
  end
end
