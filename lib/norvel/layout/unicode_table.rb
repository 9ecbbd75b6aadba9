# frozen_string_literal: true

module Norvel
  module Layout
    # Tables made of the Unicode Character Database, as they stand beside the code that reads them: a line an entry, its
    # parts between spaces, comments after "#".
    module UnicodeTable
      # Classes of characters by ranges of code points, and that of all others.
      class Classes
        # ranges: [[first, last, name], …] in order
        def initialize(ranges, others)
          @ranges = ranges
          @others = others
        end

        # The class of a code point, a symbol.
        def [](code)
          found = @ranges.bsearch { |_, last, _| last >= code }
          (found && found[0] <= code) ? found[2] : @others
        end
      end

      module_function

      # The parts of each line: [["0028", "0029", "o"], …]
      def lines(name)
        File.readlines(File.join(__dir__, name), chomp: true, encoding: "UTF-8")
          .reject { |line| line.start_with?("#") }.map(&:split)
      end

      # Classes of a table whose lines are a name and its ranges: "AL 0041-005A 0061".
      def classes(name, others:)
        ranges = lines(name).flat_map do |group, *ranges|
          ranges.map { |range| [*range.split("-").map { |code| code.to_i(16) }.minmax, group.to_sym] }
        end
        Classes.new(ranges.sort.freeze, others)
      end

      # The character of a code in hexadecimal digits.
      def character(code)
        [code.to_i(16)].pack("U")
      end
    end
  end
end
