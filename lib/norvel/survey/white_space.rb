# frozen_string_literal: true

module Norvel
  module Survey
    # Whether white space in a paragraph carries sense: why it may be meant as it is, in words, nil where it is but a
    # habit of typing.
    module WhiteSpace
      # Roles whose white space is part of what they are.
      KEPT = {"code" => "code keeps its white space", "other" => "lines like these are meant as they stand",
              "contents_entry" => "contents entries are set by their tabs"}.freeze
      COLUMNS = / {4,}/ # so many spaces in a row set something under something else
      CENTRED = 12 # as many spaces at the start put a line in the middle by hand
      LINE = 60 # letters; verse, addresses and forms have shorter lines

      module_function

      # Why the tabs at its start stay, nil where they need not.
      def of_tabs(paragraph, role)
        KEPT[role] || ("more tabs set it in columns" if paragraph.seen_text.strip.count("\t") > 1)
      end

      # Why the spaces at its start stay, nil where they need not.
      def of_leading_spaces(paragraph, role)
        return KEPT[role] if KEPT[role]
        "so many spaces put it at a place" if paragraph.seen_text[ByHand::LEADING_SPACE].size >= CENTRED
      end

      # Why spaces in a row stay, nil where they need not.
      def of_double_spaces(paragraph, role)
        KEPT[role] || ("so many spaces set words in columns" if COLUMNS.match?(paragraph.seen_text.strip))
      end

      # A break goes only where the sentence runs on over a line of text.
      def of_line_breaks(paragraph, role)
        return KEPT[role] if KEPT[role]
        return "the lines are meant, as in an address" unless ByHand.running_line_break?(paragraph)
        lines = paragraph.seen_text.split("\n").map(&:strip).reject(&:empty?)
        return "short lines: verse or an address" if lines.size > 2 && lines.map(&:size).max <= LINE
        "short lines: verse or an address" if lines.map(&:size).min < 20 && lines.sum(&:size) < LINE * 2
      end
    end
  end
end
