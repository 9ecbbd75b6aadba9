# frozen_string_literal: true

module Norvel
  class Document
    # Mathematics that stands between runs (ISO/IEC 29500-1 22.1). +display+: does it have a line of its own?
    Equation = Value.define(:text, :display, display: false) do
      def kind
        :equation
      end

      def key
        text
      end
    end
  end
end
