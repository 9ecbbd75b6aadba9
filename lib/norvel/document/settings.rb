# frozen_string_literal: true

module Norvel
  class Document
    # What a document says of all its pages and lines (ISO/IEC 29500-1 17.15.1). A value.
    #   mirrored          are inside and outside margins swapped on left pages?
    #   gutter_at_top     does the binding take room above?
    #   even_and_odd      have left pages heads and feet of their own?
    #   hyphenated        may words be divided at line ends?
    #   sum_spaces        do space after and space before add up?
    #   default_tab_stop  distance of tab stops that no one set, in points
    #   embedded_fonts    names of fonts that the file holds, in any of their faces
    #   compatibility     the number of the behaviour it was written for, nil for the oldest
    Settings = Value.define(:mirrored, :gutter_at_top, :even_and_odd, :hyphenated, :sum_spaces, :default_tab_stop,
      :compatibility, :embedded_fonts,
      mirrored: false, gutter_at_top: false, even_and_odd: false, hyphenated: false, sum_spaces: false,
      default_tab_stop: 36.0, embedded_fonts: [].freeze)
  end
end
