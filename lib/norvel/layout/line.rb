# frozen_string_literal: true

module Norvel
  module Layout
    # One line of a paragraph: items +from+ to +to+ of its Copy. +x+ from the paragraph's left margin side to its first
    # letter, +width+ without the spaces that hang at its end, +room+ the width it might take, in points. +ending+: what
    # ended it, nil for its measure, :hyphen for a divided word, :line, :page, :column, :end. +tabs+: {item => width}.
    Line = Struct.new(:from, :to, :x, :width, :room, :ending, :tabs)
  end
end
