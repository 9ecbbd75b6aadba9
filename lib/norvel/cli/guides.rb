# frozen_string_literal: true

module Norvel
  module CLI
    # Lists the shipped guides.
    class Guides < Command
      USAGE = "guides"

      private

      def perform
        positional(0)
        Guide.shipped.each { |id, guide| @out.puts "#{id}\t#{guide.name}" }
        0
      end
    end
  end
end
