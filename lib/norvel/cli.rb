# frozen_string_literal: true

require "optparse"

module Norvel
  # The core without the web (docs/command-line.md). Exit status: 0 done; 1 (check only) there are findings of severity
  # must; 2 the input or the arguments are unusable, said in one line on standard error.
  module CLI
    COMMANDS = {"survey" => "Survey", "inspect" => "Inspect", "pages" => "Pages", "check" => "Check", "mend" => "Mend",
                "sweep" => "Sweep", "apply" => "Apply", "clear" => "Clear", "set" => "Set", "convert" => "Convert",
                "guides" => "Guides", "guide" => "GuideOf", "report" => "ReportOf"}.freeze

    module_function

    # Returns the exit status.
    def run(arguments, out: $stdout, err: $stderr)
      name, *rest = arguments
      return help(out) if name.nil? || %w[help --help -h].include?(name)
      unless COMMANDS.key?(name)
        raise Refused, "there is no command “#{name}”: it is one of #{COMMANDS.keys.join(", ")}"
      end
      const_get(COMMANDS.fetch(name)).new(rest, out, err).call
    rescue Error => error
      err.puts "norvel: #{error.message.tr("\n", " ")}"
      2
    rescue OptionParser::ParseError => error
      err.puts "norvel: #{error.message}"
      2
    rescue Errno::EPIPE
      0
    rescue SystemCallError => error
      err.puts "norvel: #{error.message.split(" @ ").first}"
      2
    rescue => error
      raise if ENV["NORVEL_DEBUG"]
      err.puts "norvel: the file met a fault of Norvel's own (#{error.class}); nothing was written"
      2
    rescue NoMemoryError
      err.puts "norvel: the file needs more memory than there is"
      2
    end

    def help(out)
      out.puts "norvel: brings a text to its style guide", "", *COMMANDS.map { |name, command|
        "  norvel #{const_get(command)::USAGE}"
      }
      0
    end

    private_class_method :help
  end
end
