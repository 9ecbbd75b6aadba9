# frozen_string_literal: true

module Norvel
  class Document
    # A row. height in points, nil for what its contents need; height_rule: "at_least" or "exact".
    #   header     is it repeated at the head of every page?
    #   may_split  may it go over the end of a page?
    #   skipped    columns of the grid before its first cell
    Row = Value.define(:height, :height_rule, :header, :may_split, :skipped, :cells,
      height_rule: "at_least", header: false, may_split: true, skipped: 0, cells: [].freeze)
  end
end
