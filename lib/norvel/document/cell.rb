# frozen_string_literal: true

module Norvel
  class Document
    # Where in a table a paragraph stands, as far as its look goes: the table style and the conditional formats that reach
    # the cell, in order of application. Shared by all paragraphs that stand alike.
    Cell = Struct.new(:style_id, :conditions) do
      def initialize(*)
        super
        freeze
      end
    end
  end
end
