# frozen_string_literal: true

module Demo
  # A report as its author wrote it: in Markdown, without a style. It waits on the shelf to be dressed.
  class Gauge
    def bytes
      <<~MARKDOWN.b
        ---
        title: The tide gauge at the old pier
        subtitle: A report to the Harbour Authority of Ravelmouth
        author: Mirre Tolland
        date: October 2026
        lang: en-GB
        ---

        # What was asked

        The authority asked whether the gauge can be read at every state of the tide, and whether what it says can be
        **trusted**. This report answers both: it can be read, and it can be trusted to *two centimetres*.[^trust]

        # The gauge

        The gauge stands at the third pile of the old pier, in three metres of water. A float in a well of oak moves a
        pointer; a clockwork moves the paper.

        ## What was moved

        In September the well was moved by four metres, since it stood dry at the lowest tides:

        1. The old well was drawn and dried.
        2. The new seat was levelled against the bench mark at the salt steps.
        3. The well was set, and filled at the next flood.
           - The float hung free at once.
           - The clockwork lost a minute and was put right.

        ## What it says

        | Month     | Mean level | Highest | Lowest |
        | --------- | ---------- | ------- | ------ |
        | July      | 2.31 m     | 4.02 m  | 0.48 m |
        | August    | 2.29 m     | 4.11 m  | 0.41 m |
        | September | 2.33 m     | 4.27 m  | 0.39 m |

        The levels are over the zero of the harbour book. They are sent every six minutes, as lines like these:

        ```
        06:00  2.31  falling
        06:06  2.28  falling
        ```

        # How far it can be trusted

        > A gauge is only as good as the mark that it is levelled against.

        The mark at the salt steps was measured again in [May](https://ravelmouth.example/survey). It has sunk by
        less than half a centimetre since the great frost.[^frost]

        # What should be done

        - Bind a new harbour book, since the old one is full.
        - Read the gauge against the mark once a year.
        - Let the clerk keep the papers *dry*.

        [^trust]: Two times in three; three centimetres nearly always.
        [^frost]: The winter survey of that year has the only drawing of the mark.
      MARKDOWN
    end
  end
end
