# frozen_string_literal: true

module Norvel
  class Document
    # A stretch of the document with one page set-up (ISO/IEC 29500-1 17.6). Lengths in points; margins are to the text,
    # the gutter included. +starts+ and the number format are the words of the command line. A value.
    #   header, footer    how far running head and foot stand from the edges
    #   head_gap, foot_gap  room that stays between a running head or foot that is higher than the margin and the text
    #   fixed_top, fixed_bottom  does the margin hold however high a head or foot is?
    #   columns           how many; column_gap: between them; column_widths: [[width, gap], …] where they differ, else
    #                     nil; column_rule: is there a line between them?
    #   title_page        has its first page a head and foot of its own?
    #   heads             ids of its own heads and feet, {header: {default: id}, footer: {…}}, nil where it says that
    #                     there is none; those it does not name are as in the section before
    #   notes             how notes are numbered, {footnote: {format:, start:, restart:, place:}, endnote: {…}} of what
    #                     it says
    #   vertical_align    "top", "center", "justify" or "bottom" of the sheet
    #   line_grid         {type:, pitch:, characters:} that lines stand on, or nil
    #   page_borders      {top: Styles::BorderLine, …}; line_numbers: {every:, start:, distance:, restart:} or nil
    #   source            ordinal in the file
    Section = Value.define(:starts, *SetUp::FIELDS, :gutter, :mirrored, :number_format, :number_start, :title_page,
      :source, :column_gap, :column_widths, :column_rule, :heads, :notes, :vertical_align, :line_grid, :page_borders,
      :line_numbers, :head_gap, :foot_gap, :fixed_top, :fixed_bottom,
      head_gap: 0.0, foot_gap: 0.0, fixed_top: false, fixed_bottom: false, column_gap: 36.0, column_rule: false,
      heads: {}.freeze, notes: {}.freeze, vertical_align: "top", page_borders: {}.freeze) do
      include SetUp

      # [[width, gap], …] of its columns where they differ, nil where they are alike.
      def unequal_columns
        column_widths if columns > 1 && column_widths&.size == columns
      end

      # Does it say itself what its head or foot is?
      def says_head?(kind, which)
        heads.fetch(kind.to_sym, {}).key?(which.to_sym)
      end

      # The id of its own head or foot; nil for none, and where it says nothing of it.
      def head(kind, which)
        heads.dig(kind.to_sym, which.to_sym)
      end
    end
  end
end
