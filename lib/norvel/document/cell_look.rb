# frozen_string_literal: true

module Norvel
  class Document
    # What a cell says of the looks of the paragraphs in it: the style of its table and the conditional formats that
    # reach the cell, in order of application. Shared by all paragraphs that stand alike; where in which table is Cell's
    # to say.
    CellLook = Struct.new(:style_id, :conditions) do
      def initialize(*)
        super
        freeze
      end
    end
  end
end
