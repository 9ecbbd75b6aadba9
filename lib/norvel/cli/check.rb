# frozen_string_literal: true

module Norvel
  module CLI
    # Findings against a guide, for one file or many; without a guide each is held against itself. One that can't be
    # read never stops the others.
    class Check < Command
      USAGE = "check FILE... [--guide GUIDE] [--json] [--html OUT] [--csv OUT] [--junit OUT] [--baseline FILE]"
      FORMS = {html: Report::CheckPage, csv: Report::CheckTable, junit: Report::CheckSuite}.freeze

      private

      def options(parser)
        json_option(parser)
        guide_option(parser)
        FORMS.each_key { |form| parser.on("--#{form} OUT", "a report as #{form}") { |path| @options[form] = path } }
        parser.on("--baseline FILE", "the JSON of an earlier check: only what is new counts") do |path|
          @options[:baseline] = path
        end
      end

      def perform
        raise Refused, "usage: norvel #{USAGE}" if @arguments.empty?
        any_guide
        baseline = @options[:baseline] && Baseline.read(@options[:baseline])
        reports = InProcesses.map(@arguments, told: progress) { |path| report(path) }
        reports = reports.zip(@arguments).map { |one, path| one || refusal(path, "its check was broken off") }
        reports.each { |one| baseline&.mark(one) }
        say(reports)
        FORMS.each { |form, kind| write_text(kind.new(reports, any_guide).text, @options[form]) if @options[form] }
        status(reports)
      end

      # What is told of a file, or why it can't be: {file:, …}
      def report(path)
        check = Guide::Check.new(any_guide, laid_out(read(path)))
        Report::CheckReport.new(check).whole(file: File.basename(path), path:)
      rescue Error => error
        refusal(path, error.message.tr("\n", " "))
      rescue SystemCallError => error
        refusal(path, error.message.split(" @ ").first)
      rescue SystemStackError, NoMemoryError, StandardError => error
        raise if ENV["NORVEL_DEBUG"]
        refusal(path, "the file met a fault of Norvel's own (#{error.class})")
      end

      def refusal(path, error)
        {file: File.basename(path), path:, error:}
      end

      def progress
        return ->(_) {} unless @err.respond_to?(:tty?) && @err.tty? && @arguments.size > InProcesses::FEW
        ->(done) { @err.print "\r#{done} of #{@arguments.size}#{"\n" if done == @arguments.size}" }
      end

      def say(reports)
        reports.select { |one| one[:error] }.each { |one| @err.puts "norvel: #{named(one)}" }
        @options[:json] ? json(reports) : text(reports)
      end

      # The fault with the file that has it.
      def named(report)
        report[:error].include?(report[:file]) ? report[:error] : "#{report[:path]}: #{report[:error]}"
      end

      OURS = %i[path groups rules pages words].freeze # not in the JSON

      def json(reports)
        plain = reports.map { |one| one.except(*OURS) }
        return @out.puts(JSON.generate(files: plain)) if plain.size > 1
        @out.puts JSON.generate(plain.first.except(:file)) unless plain.first[:error]
      end

      def text(reports)
        reports.reject { |one| one[:error] }.each do |one|
          counts = one[:counts].map { |severity, count| "#{count} #{severity}" }
          counts << "#{one[:new]} new" if one.key?(:new)
          @out.puts "#{one[:path]}: #{counts.join(", ")}"
          one[:groups].each { |group| group_line(group) }
          one[:exceptions].each { |granted| exception_line(granted) }
          one[:unchecked].each { |entry| @out.puts "  not checked\t#{entry[:rule]}\t#{entry[:why]}" }
        end
      end

      def group_line(group)
        said = [group[:severity], group[:rule], "#{group[:size]} ×", group[:message], group[:label]]
        @out.puts "  #{said.compact.join("\t")}"
      end

      def exception_line(granted)
        by = [granted[:by], granted[:on]].compact.join(", ")
        said = ["granted", granted[:rule], "#{granted[:count]} ×", granted[:because], (by unless by.empty?)]
        @out.puts "  #{said.compact.join("\t")}"
      end

      def status(reports)
        return 2 if reports.any? { |one| one[:error] }
        if reports.any? { |one| one.key?(:new_must) ? one[:new_must].positive? : !one[:meets] }
          1
        else
          0
        end
      end
    end
  end
end
