# frozen_string_literal: true

module Norvel
  class Document
    # A link that words stand in: to an address outside, or to a bookmark of this document (ISO/IEC 29500-1 17.16.22).
    Link = Value.define(:address, :bookmark, :title) do
      def kind
        :link
      end

      def key
        address || "##{bookmark}"
      end
    end
  end
end
