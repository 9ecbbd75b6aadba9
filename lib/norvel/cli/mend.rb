# frozen_string_literal: true

module Norvel
  module CLI
    # Applies every safe mend, and reports what changed and that the words did not.
    class Mend < Command
      USAGE = "mend FILE --guide GUIDE --output OUT [--only RULE,RULE] [--json]"

      private

      def options(parser)
        json_option(parser)
        guide_option(parser)
        output_option(parser)
        parser.on("--only RULES", Array, "only these rules") { |rules| @options[:only] = rules }
      end

      def perform
        path = positional(1)
        output = required(:output)
        Formats.for_path(output)
        before = read(path)
        mending = Guide::Mending.new(guide, before, only: @options[:only]).run
        write(mending.document, output)
        @options[:json] ? json(mending, before) : text(mending)
        0
      end

      def json(mending, before)
        @out.puts JSON.generate(mended: mending.mended, left: mending.left, words_unchanged: mending.words_unchanged?,
          text_digest_before: "sha256:#{before.seal.words}",
          text_digest_after: "sha256:#{mending.document.seal.words}", whitespace_removed: mending.white_space_removed)
      end

      def text(mending)
        mending.mended.each { |entry| @out.puts "mended\t#{entry[:rule]}\t#{entry[:count]}" }
        mending.left.each { |entry| @out.puts "left\t#{entry[:rule]}\t#{entry[:count]}\t#{entry[:why]}" }
        @out.puts(mending.words_unchanged? ? "#{mending.document.word_count} words, unchanged" : "the words changed")
      end
    end
  end
end
