# frozen_string_literal: true

module Norvel
  module CLI
    # Removes direct formatting.
    class Clear < Command
      USAGE = "clear FILE --output OUT [--keep emphasis]"

      private

      def options(parser)
        output_option(parser)
        parser.on("--keep WHAT", %w[emphasis], "what stays: emphasis") { |what| @options[:keep] = what }
      end

      def perform
        path = positional(1)
        output = required(:output)
        Formats.for_path(output)
        change = Edits::ClearDirect.new(:all, keep_emphasis: @options[:keep] == "emphasis").apply(read(path))
        write(change.after, output)
        @out.puts "#{change.title}; #{change.after.word_count} words, unchanged"
        0
      end
    end
  end
end
