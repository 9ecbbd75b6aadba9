# frozen_string_literal: true

module Norvel
  module CLI
    # A command: its arguments parsed, its output on +out+, its exit status returned by call.
    class Command
      def initialize(arguments, out, err = $stderr)
        @out = out
        @err = err
        @options = {}
        parser = OptionParser.new { |options| options(options) }
        parser.banner = "Usage: norvel #{self.class::USAGE}"
        parser.on("-h", "--help") { @options[:help] = parser.to_s }
        @arguments = parser.parse(arguments)
      end

      # Does it. Returns the exit status: 0, 1 where something is left, 2 where it was asked in vain.
      def call
        return out_and_done(@options[:help]) if @options[:help]
        perform
      end

      private

      def options(_parser)
      end

      def json_option(parser)
        parser.on("--json", "as JSON") { @options[:json] = true }
      end

      def output_option(parser)
        parser.on("--output OUT", "the file to write") { |path| @options[:output] = path }
      end

      def guide_option(parser)
        parser.on("--guide GUIDE", "a shipped guide's name or a YAML file") { |name| @options[:guide] = name }
      end

      def guide
        @guide ||= Guide.find(required(:guide))
      end

      # The guide that is named, else none.
      def any_guide
        @options[:guide] ? guide : Guide.none
      end

      def required(name)
        @options[name] or raise Refused, "--#{name} is missing: norvel #{self.class::USAGE}"
      end

      # Exactly so many arguments that are no options.
      def positional(number)
        raise Refused, "usage: norvel #{self.class::USAGE}" unless @arguments.size == number
        (number == 1) ? @arguments.first : @arguments
      end

      def read(path, template: nil)
        Formats.read_file(path, template:)
      end

      # The document with its pages, so that rules on them are judged; without where they can't be worked out.
      def laid_out(document)
        document.tap { |one| Layout.of(one) }
      rescue Layout::Defeated
        document
      end

      # A document, whole or not at all.
      def write(document, path)
        Formats.write_for(document, path).tap { |written| write_text(written.bytes, path) }
      end

      # The same of bytes: into a file beside it, then renamed.
      def write_text(bytes, path)
        temporary = "#{path}.#{Process.pid}.part"
        File.binwrite(temporary, bytes)
        File.rename(temporary, path)
      ensure
        File.delete(temporary) if temporary && File.exist?(temporary)
      end

      def out_and_done(text)
        @out.puts text
        0
      end
    end
  end
end
