# frozen_string_literal: true

module Norvel
  class Document
    # What an object in the text answers that the inventory does not count.
    module Uncounted
      def kind
      end

      def key
      end
    end
  end
end
