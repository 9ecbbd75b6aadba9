# frozen_string_literal: true

module Norvel
  module CLI
    # Derives a guide from a template or a model document.
    class GuideOf < Command
      USAGE = "guide FILE --output OUT.yml"

      private

      def options(parser)
        output_option(parser)
      end

      def perform
        path = positional(1)
        output = required(:output)
        made = Guide::Derived.new(read(path)).text
        Guide.new(made) # what is written can be read
        write_text(made, output)
        @out.puts "#{output}: #{made.scan(/^ {4}\w+:|^  \w+: /).size} rules from #{File.basename(path)}"
        0
      end
    end
  end
end
