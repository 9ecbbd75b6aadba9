# frozen_string_literal: true

module Norvel
  class Guide
    # A computed change that puts findings right. +safe+ ones change no text and no meaning and may run in bulk.
    # +make+ gets the findings of a group and the guide, and returns the edit.
    Mend = Struct.new(:name, :label, :safe, :make) do
      def edit(findings, guide)
        make.call(findings, guide)
      end
    end
  end
end
