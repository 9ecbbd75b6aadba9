# frozen_string_literal: true

module Norvel
  module CLI
    # Writes a file in the format that the output's extension names.
    class Convert < Command
      USAGE = "convert FILE OUT"

      private

      def perform
        path, output = positional(2)
        Formats.for_path(output)
        write(read(path), output)
        0
      end
    end
  end
end
